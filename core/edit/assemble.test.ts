import fc from 'fast-check';
import { checkCourse } from '../check';
import { legOf } from '../pieces';
import { emptyCourse, type Course } from '../course';
import {
  duplicatePieces,
  groundBelow,
  layPieces,
  movePieces,
  namePieces,
  nextLeg,
  onWorkPlane,
  pickPiece,
  readDial,
  refusal,
  removePieces,
  setChoiceParam,
  setDial,
  paintPieces,
  snapToGrid,
  turnPieces,
} from '.';

const course = layPieces(emptyCourse('Trial'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'slab', at: [0, -0.5, 0] },
  { family: 'cairn', at: [4, 0, 0] },
  { family: 'drift', at: [8, 0, 0] },
]);
const one = (id: string) => new Set([id]);
const piece = (of: Course, id: string) => of.pieces.find((p) => p.id === id)!;

test('pieces are laid with fresh ids and taken away without touching the others', () => {
  expect(course.pieces.map(({ id }) => id)).toEqual(['p1', 'p2', 'p3', 'p4']);
  const fewer = removePieces(course, one('p2'));
  expect(fewer.pieces).toHaveLength(3);
  expect(layPieces(fewer, [{ family: 'slab', at: [1, 0, 0] }]).pieces[3].id).toBe('p5');
  const moved = movePieces(course, one('p4'), [1, 2, 3]);
  expect(piece(moved, 'p4').at).toEqual([9, 2, 3]);
  expect(piece(moved, 'p1')).toBe(piece(course, 'p1'));
});

test('a laid or copied cairn gets the next number', () => {
  const { course: next, copies } = duplicatePieces(course, one('p3'), [2, 0, 0]);
  expect(piece(next, copies[0])).toMatchObject({
    family: 'cairn',
    at: [6, 0, 0],
    params: { number: 2 },
  });
});

test('what equals its default is left out', () => {
  let tuned = setDial(course, one('p4'), { kind: 'param', key: 'span' }, 9);
  tuned = setChoiceParam(tuned, one('p4'), 'direction', 'up');
  tuned = paintPieces(tuned, one('p2'), { material: 'moss' });
  tuned = namePieces(
    turnPieces(setDial(tuned, one('p2'), { kind: 'size', axis: 0 }, 7), one('p2'), -15),
    one('p2'),
    ' Quay ',
  );
  expect(piece(tuned, 'p4').params).toEqual({ span: 9, direction: 'up' });
  expect(piece(tuned, 'p2')).toMatchObject({
    size: [7, 0.5, 2],
    turn: [0, 345, 0],
    name: 'Quay',
    look: { material: 'moss' },
  });
  let back = setDial(tuned, one('p4'), { kind: 'param', key: 'span' }, 4);
  back = setChoiceParam(back, one('p4'), 'direction', 'along');
  back = namePieces(
    turnPieces(
      setDial(
        paintPieces(back, one('p2'), { material: 'stone' }),
        one('p2'),
        { kind: 'size', axis: 0 },
        2,
      ),
      one('p2'),
      15,
    ),
    one('p2'),
    '',
  );
  expect(back.pieces).toEqual(course.pieces);
});

test.each([NaN, Infinity, 0, -3, 1e6])(
  'a size of %d is refused in words and changes nothing',
  (value) => {
    expect(() => setDial(course, one('p2'), { kind: 'size', axis: 1 }, value)).toThrow(RangeError);
    expect(readDial(piece(course, 'p2'), { kind: 'size', axis: 1 })).toBe(0.5);
  },
);

test('the grid takes the nearest place, whatever the step', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -5000, max: 5000 }),
      fc.constantFrom(0.25, 0.5, 1, 2),
      (n, step) => {
        const v = n / 100;
        const [x] = snapToGrid([v, 0, 0], step);
        return (
          Math.abs(x - v) <= step / 2 + 1e-9 && Number.isInteger(Math.round((x / step) * 1e6) / 1e6)
        );
      },
    ),
    { seed: 2 },
  );
});

test('a ray meets the work plane ahead of it only, and picks the nearest piece', () => {
  const down = { from: [0.2, 9, 0.1], along: [0, -1, 0] } as const;
  expect(onWorkPlane(down, { axis: 'y', value: 2 })).toEqual([0.2, 2, 0.1]);
  expect(onWorkPlane(down, { axis: 'y', value: 10 })).toBeNull();
  expect(onWorkPlane(down, { axis: 'z', value: 0 })).toBeNull();
  expect(pickPiece(removePieces(course, one('p1')), down)?.id).toBe('p2');
  expect(pickPiece(course, { from: [30, 9, 0], along: [0, -1, 0] })).toBeNull();
});

test('the ground below a place is the highest solid under it', () => {
  expect(groundBelow(course, [0.2, 3, 0.1])).toBeCloseTo(0, 9);
  expect(groundBelow(course, [0.2, -0.3, 0.1])).toBeCloseTo(0, 9);
  expect(groundBelow(course, [30, 3, 0])).toBeNull();
});

test('a nineteenth start and a twin in the same place are refused', () => {
  expect(refusal(course, { family: 'start', at: [5, 0, 0] })).toBeNull();
  const more = Array.from({ length: 17 }, (_, i) => [i + 3, 0, 3] as const);
  const full = layPieces(
    course,
    more.map((at) => ({ family: 'start', at: [...at] })),
  );
  expect(full.legs).toHaveLength(18);
  expect(refusal(full, { family: 'start', at: [5, 0, 0] })).toMatch(/18 legs already/);
  expect(refusal(course, { family: 'slab', at: [0, -0.5, 0] })).toMatch(/lies there/);
  expect(refusal(course, { family: 'slab', at: [2, -0.5, 0] })).toBeNull();
});

test('another start begins another leg, and lanterns go to the legs that lack one', () => {
  const plain = layPieces(emptyCourse('Legs', 'free'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'lantern', at: [9, 0, 0] },
  ]);
  expect(plain.legs).toBeUndefined();
  const two = layPieces(plain, [{ family: 'start', at: [0, 0, 5] }]);
  expect([two.legs?.length, legOf(two.pieces[2])]).toEqual([2, 2]);
  const ended = layPieces(two, [
    { family: 'lantern', at: [9, 0, 5] },
    { family: 'lantern', at: [12, 0, 5] },
  ]);
  // Once every leg has its goal, one more is another way to end the first.
  expect(ended.pieces.slice(3).map(legOf)).toEqual([2, 1]);
  expect(checkCourse(ended).filter(({ rule }) => rule === 'leg' || rule === 'starts')).toEqual([]);
  // What leg one's start leaves open when it goes is begun anew first.
  const gap = removePieces(ended, new Set([ended.pieces[0].id]));
  expect(nextLeg(gap, 'start')).toBe(1);
});
