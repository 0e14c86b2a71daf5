import fc from 'fast-check';
import { emptyCourse, type Course, type Piece } from '../../course';
import { distance, type Vec3 } from '../../geometry';
import { worldParts } from '../../pieces';
import {
  chooseAlike,
  chooseInRegion,
  chooseOthers,
  clearMarks,
  duplicatePieces,
  exemptPieces,
  groupPieces,
  keepSymmetry,
  layPieces,
  markPieces,
  mirrorCopies,
  mirrorPiece,
  movePieces,
  removePieces,
  ringCopies,
  setSymmetry,
  stepCopies,
  swapPieces,
  turnAbout,
  ungroupPieces,
  withGroups,
} from '..';
import { cases } from '../../deep.testing';

const course = layPieces(emptyCourse('Trial', 'free'), [
  { family: 'bend', at: [5, 0, 1], turn: [0, 30, 0] },
  { family: 'cairn', at: [3, 0, 0] },
  { family: 'slab', at: [0, 0, 8], size: [3, 0.5, 2] },
]);
const of = (...ids: string[]) => new Set(ids);
const points = (piece: Piece): Vec3[] =>
  worldParts(piece).flatMap(({ solid }) => solid.points as Vec3[]);
const angle = fc.integer({ min: 0, max: 719 }).map((n) => n / 2);

test('a mirrored piece is the mirror image, corner by corner, and twice mirrored is itself', () => {
  fc.assert(
    fc.property(angle, angle, fc.constantFrom('x' as const, 'z' as const), (x, y, axis) => {
      const piece: Piece = { id: 'a', family: 'bend', at: [5, 2, 1], turn: [x, y, 20] };
      const plane = { axis, at: 1.5 };
      const image = { ...mirrorPiece(piece, plane), id: 'b' };
      const over = (p: Vec3): Vec3 =>
        axis === 'x' ? [3 - p[0], p[1], p[2]] : [p[0], p[1], 3 - p[2]];
      const wanted = points(piece).map(over);
      for (const p of points(image)) {
        expect(Math.min(...wanted.map((q) => distance(p, q)))).toBeLessThan(1e-6);
      }
      const again = points({ ...mirrorPiece(image, plane), id: 'c' });
      points(piece).forEach((p, i) => expect(distance(p, again[i])).toBeLessThan(1e-6));
    }),
    { numRuns: cases(40), seed: 4 },
  );
});

test('a ring of eight lies evenly about its pivot, and a step too many changes nothing', () => {
  const { course: next, copies } = ringCopies(course, of('p3'), [0, 0], 8);
  expect(copies).toHaveLength(7);
  const ring = next.pieces.filter(({ family }) => family === 'slab');
  for (const { at } of ring) expect(Math.hypot(at[0], at[2])).toBeCloseTo(8, 6);
  const [a, b] = [ring[0], ring[1]];
  expect(distance(a.at, b.at)).toBeCloseTo(2 * 8 * Math.sin(Math.PI / 8), 6);
  expect(turnAbout(turnAbout(a, [1, 2], 77), [1, 2], -77)).toEqual(a);
  expect(() => stepCopies(course, of('p3'), [1, 0, 0], 20_000)).toThrow(/at most 2000/);
  expect(() => stepCopies(course, of('p3'), [0, 0, 0], 3)).toThrow(/step/);
  expect(() => ringCopies(course, of('p3'), [0, 0], 1.5)).toThrow(/whole number/);
});

test('copies stand a step apart, cairns get numbers of their own, groups stay apart', () => {
  const grouped = groupPieces(course, of('p1', 'p2'));
  const { course: next, copies } = stepCopies(grouped, of('p1', 'p2'), [0, 0, 4], 2);
  const copy = next.pieces.filter(({ id }) => copies.includes(id));
  expect(copy.map(({ at }) => at[2])).toEqual([5, 4, 9, 8]);
  expect(
    copy.filter(({ family }) => family === 'cairn').map(({ params }) => params?.number),
  ).toEqual([2, 3]);
  expect(new Set(copy.map(({ group }) => group)).size).toBe(2);
  expect(withGroups(next, [copies[0]]).size).toBe(2);
  const nested = groupPieces(next, new Set(next.pieces.map(({ id }) => id)));
  expect(withGroups(nested, ['p3']).size).toBe(7);
  expect(withGroups(ungroupPieces(nested, withGroups(nested, ['p3'])), ['p1'])).toEqual(
    of('p1', 'p2'),
  );
});

test('duplicates and mirrored copies leave what is there alone', () => {
  const { course: next } = duplicatePieces(course, of('p3'), [4, 0, 0]);
  expect(next.pieces.slice(0, 3)).toEqual(course.pieces);
  const mirrored = mirrorCopies(course, of('p1'), { axis: 'z', at: 0 });
  expect(mirrored.course.pieces[3]).toMatchObject({ at: [5, 0, -1], flip: true });
});

describe('symmetry', () => {
  const on = (kind: 'mirror-x' | 'turn-4'): Course => setSymmetry(course, { kind, at: [0, 0] });
  const edit = (before: Course, change: (c: Course) => Course) =>
    keepSymmetry(before, change(before));

  test('what is laid, moved or deleted takes its images along; what was there before is exempt', () => {
    let now = edit(on('turn-4'), (c) => layPieces(c, [{ family: 'crate', at: [6, 0, 2] }]));
    const crates = (c: Course) => c.pieces.filter(({ family }) => family === 'crate');
    expect(crates(now).map(({ at }) => at)).toEqual([
      [6, 0, 2],
      [2, 0, -6],
      [-6, 0, -2],
      [-2, 0, 6],
    ]);
    now = edit(now, (c) => movePieces(c, of(crates(c)[2].id), [-1, 1, 0]));
    expect(crates(now)[0].at).toEqual([7, 1, 2]);
    expect(edit(now, (c) => movePieces(c, of('p1'), [1, 0, 0])).pieces).toHaveLength(7);
    expect(crates(edit(now, (c) => removePieces(c, of(crates(c)[1].id))))).toHaveLength(0);
    // Unlinked, the copies stay and go their own ways.
    const off = setSymmetry(now, null);
    expect(crates(off)).toHaveLength(4);
    expect(crates(edit(off, (c) => removePieces(c, of(crates(c)[1].id))))).toHaveLength(3);
  });

  test('an exempt piece stays alone, and goes its own way', () => {
    const laid = edit(on('turn-4'), (c) => layPieces(c, [{ family: 'crate', at: [6, 0, 2] }]));
    const crates = (c: Course) => c.pieces.filter(({ family }) => family === 'crate');
    const { id } = crates(laid)[1];
    const alone = edit(laid, (c) => exemptPieces(c, of(id)));
    expect(crates(alone)).toEqual([{ id, family: 'crate', at: [2, 0, -6], turn: [0, 90, 0] }]);
    const moved = edit(alone, (c) => movePieces(c, of(id), [1, 0, 0]));
    expect(crates(moved).map(({ at }) => at)).toEqual([[3, 0, -6]]);
    expect(exemptPieces(alone, of(id))).toBe(alone);
  });

  test('a piece on the axis has no image', () => {
    const now = edit(on('mirror-x'), (c) => layPieces(c, [{ family: 'crate', at: [0, 0, 3] }]));
    expect(now.pieces).toHaveLength(4);
  });
});

test('pieces are alike in what they are to the runner, whatever they look like', () => {
  const mixed = layPieces(emptyCourse('Roles', 'free'), [
    { family: 'slab', at: [0, 0, 0] },
    { family: 'thorns', at: [4, 0, 0] },
    { family: 'saw', at: [8, 0, 0] },
    { family: 'block', at: [12, 0, 0] },
    { family: 'block', at: [16, 0, 0], role: 'hazard' },
    { family: 'bush', at: [20, 0, 0] },
  ]);
  expect(chooseAlike(mixed, of('p1'), 'role')).toEqual(['p1', 'p4']);
  expect(chooseAlike(mixed, of('p2'), 'role')).toEqual(['p2', 'p3', 'p5']);
  expect(chooseAlike(mixed, of('p6'), 'role')).toEqual(['p6']);
});

test('choosing, hiding and swapping', () => {
  expect(chooseAlike(course, of('p3'), 'family')).toEqual(['p3']);
  expect(chooseOthers(course, of('p3'))).toEqual(['p1', 'p2']);
  const square = [
    [-2, 6],
    [2, 6],
    [2, 10],
    [-2, 10],
  ] as const;
  expect(chooseInRegion(course, square)).toEqual(['p3']);
  const hidden = markPieces(course, of('p3'), 'hidden', true);
  expect(chooseInRegion(hidden, square)).toEqual([]);
  expect(clearMarks(hidden, 'hidden')).toEqual(course);
  const swapped = swapPieces(course, of('p3'), 'boards').pieces[2];
  expect(swapped).toEqual({ ...course.pieces[2], family: 'boards' });
  expect(swapPieces(course, of('p1'), 'banked').pieces[0]).toMatchObject({
    at: [5, 0, 1],
    turn: [0, 30, 0],
  });
});
