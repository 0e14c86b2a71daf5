import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { FAMILIES, FAMILY_GROUPS, familyOf, localGeometry } from '@/core/pieces';
import { useCourse } from '../../../state/courseStore';
import { useLay } from '../../open/laying';
import { findFamilies, GROUPS, onShelf, takeFamily, useUsed } from './families';

jest.mock('../../../scene', () => jest.requireActual('../../../scene/view'));

const empty = emptyCourse('Trial', 'free');
const used = { recent: [], favourites: [] };

beforeEach(() => {
  Object.assign(globalThis, { document: { activeElement: null } });
  useCourse.getState().open('a', 1, empty, { kind: 'saved', at: 0 });
});

test('every family stands on a shelf, under a name of its own', () => {
  expect(FAMILIES.length).toBeGreaterThanOrEqual(90);
  expect(new Set(FAMILIES.map(({ label }) => label)).size).toBe(FAMILIES.length);
  expect(GROUPS.map(({ id }) => id)).toEqual([...FAMILY_GROUPS]);
  for (const { id } of GROUPS)
    expect(onShelf(id, empty, [0, 0, 0], used).length).toBeGreaterThan(3);
  for (const { id } of FAMILIES)
    expect(localGeometry({ family: id }).parts.length).toBeGreaterThan(0);
});

test.each([
  ['stairs', 'steps'],
  ['checkpoint', 'cairn'],
  ['finish', 'lantern'],
  ['teleport', 'portal'],
  ['pendulum', 'arm'],
  ['curve', 'bend'],
  ['trampoline', 'spring'],
  ['sign', 'board'],
])('%s is found as what it is called here', (words, id) => {
  expect(
    findFamilies(words)
      .slice(0, 4)
      .map((family) => family.id),
  ).toContain(id);
});

test('what fits the open end near the view comes first, what was used is remembered', () => {
  const course = layPieces(empty, [{ family: 'straight', at: [0, 0, 0] }]);
  const fits = onShelf('fits', course, [4, 0, 0], used);
  expect(fits[0].group).toBe('track');
  expect(fits.some(({ id }) => id === 'panel')).toBe(false);
  expect(onShelf('fits', empty, [0, 0, 0], used)).toEqual([]);
  takeFamily(familyOf('crate'));
  takeFamily(familyOf('slab'));
  takeFamily(familyOf('crate'));
  expect(useUsed.getState().recent.slice(0, 2)).toEqual(['crate', 'slab']);
  expect(useCourse.getState().inHand?.family).toBe('crate');
  useUsed.getState().favour('pine');
  expect(onShelf('favourite', empty, [0, 0, 0], useUsed.getState()).map(({ id }) => id)).toEqual([
    'pine',
  ]);
  useUsed.getState().favour('pine');
  expect(useUsed.getState().favourites).toEqual([]);
});

test('what is drawn takes up its tool instead of lying in the hand', () => {
  takeFamily(familyOf('wall'));
  expect([useLay.getState().tool, useCourse.getState().inHand]).toEqual(['wall', null]);
  takeFamily(familyOf('platform'));
  expect(useLay.getState().tool).toBe('outline');
  takeFamily(familyOf('slab'));
  expect(useLay.getState().tool).toBe('pieces');
});
