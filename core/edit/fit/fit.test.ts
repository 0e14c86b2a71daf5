import type { Piece } from '../../course';
import { distance, type Vec3 } from '../../geometry';
import { endsOf, fitTrack, ownCrossings } from '..';
import { ROUTES } from '../routes.testing';

const wish = { width: 3, tolerance: 1 };
const laid = (pieces: ReturnType<typeof fitTrack>['pieces']): Piece[] =>
  pieces.map((piece, i) => ({ ...piece, id: `p${i}` }));
const ahead = (turn: readonly number[]): Vec3 => [turn[0], turn[3], turn[6]];

test.each(ROUTES.map((route) => [route.name, route] as const))(
  '%s is followed within the width of the track, end to end',
  (_, { points, closed }) => {
    const fit = fitTrack({ ...wish, points, closed });
    expect(fit.deviation).toBeLessThanOrEqual(wish.width);
    const pieces = laid(fit.pieces);
    const last = closed ? pieces.length : pieces.length - 1;
    for (let i = 0; i < last; i++) {
      const out = endsOf(pieces[i])[1];
      const into = endsOf(pieces[(i + 1) % pieces.length])[0];
      expect(distance(out.at, into.at)).toBeLessThan(1e-6);
      const apart = distance(ahead(out.turn), ahead(into.turn).map((v) => -v) as unknown as Vec3);
      // A millionth of a degree, as a chord of the unit circle.
      expect(apart).toBeLessThan(1.8e-8);
    }
  },
);

test('a line that crosses itself is carried over itself by a bridge', () => {
  const eight = ROUTES.find(({ name }) => name === 'figure of eight')!;
  const fit = fitTrack({ ...wish, ...eight });
  const way = fit.pieces.map(({ at }): Vec3 => [at[0], at[1], at[2]]);
  expect(ownCrossings([...way, way[0]])).toEqual([]);
  expect(Math.max(...way.map(([, y]) => y))).toBeGreaterThan(2.5);
});

test('bends may be banked, none tighter than asked, and round and climbing they join as exactly', () => {
  for (const name of ['oval', 'climbing spiral']) {
    const route = ROUTES.find((one) => one.name === name)!;
    const fit = fitTrack({ ...wish, ...route, bends: 'banked', tightest: 6 });
    const pieces = laid(fit.pieces);
    const bends = pieces.filter(({ family }) => family !== 'straight');
    expect(new Set(bends.map(({ family }) => family))).toEqual(new Set(['banked']));
    for (const { params } of bends) expect(Number(params?.radius ?? 9)).toBeGreaterThanOrEqual(6);
    for (let i = 0; i < pieces.length - 1; i++) {
      expect(distance(endsOf(pieces[i])[1].at, endsOf(pieces[i + 1])[0].at)).toBeLessThan(1e-6);
    }
  }
});

test('a scribble and a dot are refused in words', () => {
  const scribble = Array.from({ length: 200 }, (_, i): Vec3 => [
    3 * Math.sin(i * 2.1),
    0,
    3 * Math.cos(i * 3.7),
  ]);
  expect(() => fitTrack({ ...wish, points: scribble, closed: false })).toThrow(/too tightly/);
  expect(() => fitTrack({ ...wish, points: [[0, 0, 0]], closed: false })).toThrow(/too short/);
  const long: Vec3[] = [
    [0, 0, 0],
    [1900, 0, 0],
  ];
  expect(() => fitTrack({ ...wish, points: long, closed: false })).toThrow(/at most 1500 m/);
});
