import { FAMILIES } from '@/core/pieces';
import { Feather } from './icons';
import { REGION_ICONS } from './regionIcons';

jest.mock('@expo/vector-icons/Feather', () => ({
  __esModule: true,
  default: {
    glyphMap: jest.requireActual(
      '@expo/vector-icons/build/vendor/react-native-vector-icons/glyphmaps/Feather.json',
    ),
  },
}));

test('every region has a sign of its own, and nothing else has one', () => {
  const regions = FAMILIES.filter(({ group }) => group === 'regions').map(({ id }) => id);
  expect(Object.keys(REGION_ICONS).sort()).toEqual([...regions].sort());
  expect(new Set(Object.values(REGION_ICONS)).size).toBe(regions.length);
  for (const icon of Object.values(REGION_ICONS)) expect(Feather.glyphMap).toHaveProperty(icon);
});
