import { emptyCourse, type Course } from '@/core/course';
import { layPieces } from '@/core/edit';
import { beginCopies, COPY_WAYS, type CopyFigures, type CopyKind, type CopyWay } from './copies';

const course = (): Course =>
  layPieces(emptyCourse('Trial', 'free'), [{ family: 'ashlar', at: [2, 0, 1], size: [3, 1, 2] }]);
const CHOICE = new Set(['p1']);
const make = (kind: CopyKind, change: Partial<CopyFigures>) => {
  const base = course();
  const figures = { ...beginCopies(base, CHOICE, [20, 0, 0]), ...change };
  return COPY_WAYS[kind].make(base, CHOICE, figures);
};
const places = ({ course: made, copies }: ReturnType<typeof make>) =>
  made.pieces.filter(({ id }) => copies.includes(id)).map(({ at }) => at);

test('copies begin side by side, round what is looked at', () => {
  expect(beginCopies(course(), CHOICE, [20.2, 5, 0.6])).toMatchObject({
    x: 3,
    spacing: 3,
    length: 15,
    px: 20,
    pz: 0.5,
  });
});

test('looked at from above itself, a ring begins about a place beside the piece', () => {
  expect(beginCopies(course(), CHOICE, [2, 0, 1])).toMatchObject({ px: 2, pz: -3 });
});

test('steps go on from copy to copy', () => {
  expect(places(make('steps', { x: 4, y: 1, z: 0, count: 2 }))).toEqual([
    [6, 1, 1],
    [10, 2, 1],
  ]);
});

test('a row fills its length evenly along its axis, and says how', () => {
  const figures = { length: 10, spacing: 3, axis: 'z' as const };
  expect(places(make('row', figures))).toHaveLength(3);
  expect(places(make('row', figures)).at(-1)).toEqual([2, 0, 11]);
  const words = (COPY_WAYS.row as CopyWay).words!;
  expect(words({ ...beginCopies(course(), CHOICE, [0, 0, 0]), ...figures })).toBe(
    '3 copies, 3.33 m apart.',
  );
});

test('a ring has as many as it was asked for, all as far from its middle', () => {
  const made = places(make('ring', { count: 4, sweep: 360, px: 2, pz: 6 }));
  expect(made).toHaveLength(3);
  for (const [x, , z] of made) expect(Math.hypot(x - 2, z - 6)).toBeCloseTo(5, 6);
});

test('a mirrored copy stands as far behind the plane', () => {
  expect(places(make('mirror', { plane: 'z', at: 4 }))[0][2]).toBeCloseTo(7, 9);
});

test('what cannot be copied says so', () => {
  expect(() => make('steps', { count: 0 })).toThrow(RangeError);
});
