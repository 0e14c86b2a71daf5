import fc from 'fast-check';
import { fitTrack, groupPieces, layPieces, ringCopies, type PieceInHand } from '../edit';
import { ROUTES } from '../edit/routes.testing';
import { emptyCourse, type Course } from '../course';
import { DEMO_COURSES } from '../../demo/courses';
import { fromShareCode, toShareCode } from '.';
import { FAMILIES } from '../pieces';
import { FAMILIES as NAMED } from './dictionary';
import { packCourse, unpackCourse } from './packed';

const back = (course: Course) => unpackCourse(packCourse(course));

test.each(DEMO_COURSES.map(({ course }) => [course.name, course] as const))(
  '%s comes back from its packed form the same',
  (_, course) => expect(back(course)).toEqual(JSON.parse(JSON.stringify(course))),
);

test('any places, turns, names and ids come back, as fine as they are', () => {
  const number = fc.oneof(
    fc.integer({ min: -20000, max: 20000 }).map((n) => n / 10),
    fc.double({ min: -1900, max: 1900, noNaN: true }),
  );
  const angle = fc.integer({ min: 0, max: 7200 }).map((n) => n / 20);
  const piece = fc.record(
    {
      family: fc.constantFrom('slab', 'bend', 'crate', 'straight', 'wall', 'none-such'),
      at: fc.tuple(number, number, number),
      turn: fc.tuple(angle, angle, angle),
      size: fc.tuple(angle, fc.constantFrom(0.5, 1.0000000001, 3), angle),
      name: fc.string({ maxLength: 20 }),
      flip: fc.constant(true as const),
      params: fc.constant({ radius: 7.5 }),
      painter: fc.constant({ hue: 3 }),
    },
    { requiredKeys: ['family', 'at'] },
  );
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 30 }), (pieces) => {
      const course: Course = {
        ...emptyCourse('Any'),
        pieces: pieces.map((p, i) => ({
          ...p,
          id: i % 5 === 3 ? `x-${i}` : `p${i + 1}`,
        })) as Course['pieces'],
      };
      expect(back(course)).toEqual(JSON.parse(JSON.stringify(course).replaceAll('-0,', '0,')));
    }),
    { numRuns: 60, seed: 31 },
  );
});

test('what is joined takes next to no room', () => {
  const { points, closed } = ROUTES[0];
  const { pieces } = fitTrack({ points, closed, width: 3, tolerance: 1 });
  const fitted = layPieces(emptyCourse('Oval', 'free'), pieces);
  const loose: PieceInHand[] = pieces.map((p, i) => ({
    ...p,
    at: [p.at[0], p.at[1] + i * 0.0123457, p.at[2]],
  }));
  const apart = layPieces(emptyCourse('Oval', 'free'), loose);
  expect(packCourse(fitted).length).toBeLessThan(packCourse(apart).length * 0.75);
});

test('groups and rings survive a code; bytes that are none are refused in words', () => {
  const ring = ringCopies(
    layPieces(emptyCourse('Ring', 'free'), [{ family: 'crate', at: [4, 0, 0] }]),
    new Set(['p1']),
    [0, 0],
    8,
  ).course;
  const grouped = groupPieces(ring, new Set(['p1', 'p2']));
  expect(fromShareCode(toShareCode(grouped))).toEqual(grouped);
  const picture = {
    data: 'data:image/png;base64,AAAA',
    at: [0, 0, 0] as [number, number, number],
    width: 9,
    aspect: 1,
  };
  const sketched: Course = { ...grouped, sketch: { points: [], picture } };
  expect(fromShareCode(toShareCode(sketched)).sketch).toEqual({ points: [] });
  expect(() => unpackCourse(new Uint8Array([1, 2, 3]))).toThrow();
});

test('every family is named in a code by its place, and none twice', () => {
  expect(new Set(NAMED).size).toBe(NAMED.length);
  for (const { id } of FAMILIES) expect(NAMED).toContain(id);
});

test('sizes are told by what of them is not as the last of their family had it', () => {
  const row = (height: (i: number) => number) =>
    layPieces(
      emptyCourse('Row'),
      Array.from({ length: 40 }, (_, i): PieceInHand => ({
        family: 'block',
        at: [i * 7, 0, 0],
        size: [5.31 + i / 100, height(i), 2.4],
      })),
    );
  const [level, rough] = [row(() => 3.2), row((i) => 3 + (i * 37) / 1000)];
  expect(packCourse(level).length).toBeLessThan(packCourse(rough).length - 40);
});

test('demo courses of fifty pieces take at most fourteen characters a piece, smaller ones little', () => {
  const told = DEMO_COURSES.map(({ course }) => ({
    length: toShareCode(course).length,
    count: course.pieces.length,
  }));
  const large = told.filter(({ count }) => count >= 50);
  const sum = (key: 'length' | 'count') => large.reduce((n, one) => n + one[key], 0);
  expect(sum('length') / sum('count')).toBeLessThanOrEqual(14);
  // What a course says of itself weighs more than its pieces where these are few.
  const small = told.filter(({ count }) => count < 50);
  expect(Math.max(...small.map(({ length }) => length))).toBeLessThanOrEqual(800);
});
