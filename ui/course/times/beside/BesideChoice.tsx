import { View } from 'react-native';
import { Chip, Text } from '../../../parts';
import { toggleBeside, useShownRuns } from '../../../state/shownRuns';
import { SPACE } from '../../../theme';
import type { KnownRuns } from '../../runs/useKnownRuns';

/** What the shown run is held against: the best, the proof, and whichever were picked from the list. */
export function BesideChoice({ known }: { readonly known: KnownRuns }) {
  const beside = useShownRuns((s) => s.beside);
  const { best, proof, find } = known;
  const picked = beside.filter((key) => key !== 'best' && key !== 'proof' && find(key));
  const usual = [
    ...(best || proof ? [{ key: 'best', label: 'Best' }] : []),
    ...(proof ? [{ key: 'proof', label: 'Proof' }] : []),
  ];
  const chips = [...usual, ...picked.map((key) => ({ key, label: find(key)!.name }))];
  return (
    <View style={{ gap: SPACE.xs }} testID="beside-choice">
      <Text as="smallStrong">Held against</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        {chips.map(({ key, label }) => (
          <Chip
            key={key}
            role="checkbox"
            label={label}
            on={beside.includes(key)}
            onPress={() => toggleBeside(key)}
          />
        ))}
      </View>
    </View>
  );
}
