import { layPieces, type PieceInHand } from '../../edit';
import { emptyCourse } from '../../course';
import { applyFix, checkCourse } from '..';

const course = (...pieces: PieceInHand[]) => layPieces(emptyCourse('Trial', 'free'), pieces);
const seams = (...pieces: PieceInHand[]) =>
  checkCourse(course(...pieces)).filter(({ rule }) => rule === 'seam');
const block = (x: number, y = 0, z = 0): PieceInHand => ({
  family: 'block',
  at: [x, y, z],
  size: [4, 2, 4],
});

test.each([
  [0.004, '4 mm'],
  [0.012, '1 cm'],
  [0.05, '5 cm'],
])(
  'tops %s m apart are told as %s, in the middle of the gap, and brought together',
  (gap, words) => {
    const [found, ...more] = seams(block(0), block(4 + gap, 0.1, 1));
    expect(more).toEqual([]);
    expect(found.message).toBe(`Block stands ${words} off block beside it.`);
    expect(found.at![0]).toBeCloseTo(2 + gap / 2, 6);
    expect(found.at![2]).toBeCloseTo(0.5, 6);
    const mended = applyFix(course(block(0), block(4 + gap, 0.1, 1)), found.fix!);
    expect(mended.pieces[1].at).toEqual([4, 0.1, 1]);
    expect(checkCourse(mended).filter(({ rule }) => rule === 'seam')).toEqual([]);
  },
);

test('a jump, a step up, a corner’s touch, or a gap with ground in it is none', () => {
  expect(seams(block(0), block(4.6))).toEqual([]);
  expect(seams(block(0), block(4.02, 0.5))).toEqual([]);
  expect(seams(block(0), block(4.02, 0, 3.9))).toEqual([]);
  expect(
    seams(block(0), block(4.02), { family: 'slab', at: [2.1, 1.8, 0], size: [2, 0.1, 4] }),
  ).toEqual([]);
  expect(seams(block(0), block(4))).toEqual([]);
});

test.each([0.06, 0.1, 0.35, 0.7])('a gap of %s m is seen, and meant, whatever the grid', (gap) => {
  expect(seams(block(0), block(4 + gap))).toEqual([]);
  const grid = { steps: [0.75, 0.75, 0.75], turn: 15 } as never;
  const gridded = { ...course(block(0), block(4 + gap)), grid };
  expect(checkCourse(gridded).filter(({ rule }) => rule === 'seam')).toEqual([]);
});

test('what moves away by itself leaves no gap', () => {
  const drifts: PieceInHand = {
    ...block(4.02),
    motion: [{ kind: 'bob', height: 1, period: 4 }],
  };
  expect(seams(block(0), drifts)).toEqual([]);
});
