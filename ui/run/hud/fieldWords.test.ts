import { layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { buildWorld, NO_INPUT, initialState, tick } from '@/core/run';
import { fieldWords } from './fieldWords';

/** What is said to a runner that stands in the middle of a region for a moment. */
function said(region: PieceInHand | null): string[] {
  const course = layPieces(emptyCourse('Regions', 'free'), [
    { family: 'slab', at: [0, -1, 0], size: [40, 1, 40] },
    { family: 'start', at: [0, 0, 0] },
    ...(region ? [region] : []),
  ]);
  const world = buildWorld(course);
  const state = initialState(world);
  for (let i = 0; i < 12; i++) tick(world, state, NO_INPUT, () => {});
  return fieldWords(world, state);
}

test('nothing is said where nothing is', () => {
  expect(said(null)).toEqual([]);
});

test.each([
  ['boost', /Boost/],
  ['wind', /Wind|Updraught/],
  ['drag', /Slow ground/],
  ['slick', /Slippery/],
  ['weight', /Light/],
  ['grow', /Another size/],
])('a region of %s tells the runner what it does', (family, words) => {
  expect(said({ family, at: [0, 0, 0], size: [6, 3, 6] }).join(' ')).toMatch(words);
});
