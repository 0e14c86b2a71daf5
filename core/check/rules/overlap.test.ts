import { layPieces, type PieceInHand } from '../../edit';
import { emptyCourse } from '../../course';
import { pieceBounds } from '../../pieces';
import { applyFix, checkCourse } from '..';

const course = (...pieces: PieceInHand[]) => layPieces(emptyCourse('Trial', 'free'), pieces);
const overlaps = (...pieces: PieceInHand[]) =>
  checkCourse(course(...pieces)).filter(({ rule }) => rule === 'overlap');
const block = (x: number, y = 0): PieceInHand => ({
  family: 'block',
  at: [x, y, 0],
  size: [4, 2, 4],
});

test('two blocks in each other are told by how deep, and moved out by just that', () => {
  const [found] = overlaps(block(0), block(3.5));
  expect(found.message).toBe('Block reaches 50 cm into block.');
  const mended = applyFix(course(block(0), block(3.5)), found.fix!);
  const [a, b] = mended.pieces.map(pieceBounds);
  expect(b.low[0]).toBeCloseTo(a.high[0], 6);
  expect(checkCourse(mended).filter(({ rule }) => rule === 'overlap')).toEqual([]);
});

test('the deepest are told first', () => {
  const found = overlaps(block(0), block(3.7), block(20), block(22.5));
  expect(found.map(({ message }) => /(\d+(\.\d)?) (cm|m)/.exec(message)![0])).toEqual([
    '1.5 m',
    '30 cm',
  ]);
});

test('what touches, is sunk a little, is grouped, or is no solid overlaps nothing', () => {
  expect(overlaps(block(0), block(4))).toEqual([]);
  expect(overlaps(block(0), block(0, 1.7))).toEqual([]);
  expect(overlaps({ ...block(0), group: 'g' }, { ...block(3), group: 'g' })).toEqual([]);
  expect(overlaps(block(0), { family: 'bush', at: [1.8, 0, 0] })).toEqual([]);
  expect(overlaps({ ...block(0), collision: 'off' }, block(3))).toEqual([]);
});

test('sunk far deeper than on purpose, it is told', () => {
  expect(overlaps(block(0), block(0, 1.2))).toHaveLength(1);
});
