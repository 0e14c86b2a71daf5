import { emptyCourse } from '../course';
import { layPieces, type PieceInHand } from '../edit';
import { overlappingFields } from './overlapping';

const field = (family: string, change: Partial<PieceInHand> = {}): PieceInHand => ({
  ...{ family, at: [0, 0, 0], size: [6, 6, 6] },
  ...change,
});
const told = (...pieces: PieceInHand[]) => {
  const course = layPieces(emptyCourse('Fields', 'free'), pieces);
  return overlappingFields(course, course.pieces[0]).map(({ piece, does }) => [piece.id, does]);
};

test('of weights the smaller counts, and the larger gives way', () => {
  const small = field('weight', { size: [2, 2, 2] });
  const large = field('weight', { size: [20, 20, 20] });
  expect(told(field('weight'), small, large)).toEqual([
    ['p2', 'counts'],
    ['p3', 'gives way'],
  ]);
});

test('winds add up; of boosts the faster counts; unlike kinds and far ones have nothing to do with each other', () => {
  const boost = (top: number) => field('boost', { params: { top } });
  expect(
    told(field('wind'), field('wind'), field('weight'), field('wind', { at: [30, 0, 0] })),
  ).toEqual([['p2', 'adds']]);
  expect(told(boost(10), boost(14), boost(8), field('wind'))).toEqual([
    ['p2', 'counts'],
    ['p3', 'gives way'],
  ]);
  expect(told(field('slab'), field('wind'))).toEqual([]);
});
