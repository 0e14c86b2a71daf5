import fc from 'fast-check';
import { lerp, type Vec3 } from '../../geometry';
import { courseOf, floor } from '../testing';
import { beginAt, buildWorld, facingAlong, laneOf, spotAt } from '..';

const along = (x: number, y: number, z: number): Vec3 => [x, y, z];

test('a place faces along the way that passes it, not towards the next mark', () => {
  // Out along x, round a bend, and back above.
  const way = [along(0, 0, 0), along(20, 0, 0), along(20, 0, 6), along(0, 0, 6)];
  expect(facingAlong([5, 0, 0.4], way, null)).toEqual([5, 0, 0.4, 0]);
  expect(facingAlong([5, 0, 5.5], way, null)).toEqual([5, 0, 5.5, 180]);
  expect(facingAlong([20, 0, 2], way, null)[3]).toBe(270);
  // At the very end it faces as it came.
  expect(facingAlong([0, 0, 6], way, null)[3]).toBe(180);
});

test('without a way nothing is said, and a run faces the next mark', () => {
  expect(facingAlong([1, 0, 0], [], null)).toEqual([1, 0, 0]);
  const course = { ...courseOf(floor(-5, 30)), space: 'free' as const };
  const world = buildWorld(course);
  expect(beginAt(course, world, [5, 0, 0, 90]).world.starts[0][0].heading).toBe(90);
  expect(beginAt(course, world, [5, 0, 0]).world.starts[0][0].heading).toBe(0);
});

test('on a side-on course it faces one way or the other', () => {
  const way = [along(0, 0, 0), along(9, 3, 0), along(4, 6, 0)];
  expect(facingAlong([1, 0, 0], way, 0)[3]).toBe(0);
  expect(facingAlong([6, 5, 0], way, 0)[3]).toBe(180);
});

test('a law: what is faced is never further than 15 degrees from where the way goes on', () => {
  const place = fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: -30, max: 30 })));
  fc.assert(
    fc.property(fc.array(place, { minLength: 2, maxLength: 6 }), (places) => {
      const way = places.map(([x, , z]) => along(4 * x, 0, 4 * z));
      if (way.some((p, i) => i > 0 && p[0] === way[i - 1][0] && p[2] === way[i - 1][2])) return;
      const [from, to] = way;
      const near = lerp(from, to, 1e-3);
      const heading = facingAlong(near, way.slice(0, 2), null)[3]!;
      const { ahead } = spotAt(near, heading);
      const far = Math.hypot(to[0] - from[0], to[2] - from[2]);
      const cos = (ahead[0] * (to[0] - from[0]) + ahead[2] * (to[2] - from[2])) / far;
      expect(cos).toBeGreaterThan(Math.cos((8 * Math.PI) / 180));
    }),
  );
});

test('the lane is the depth of the first start by leg, whatever the order of the pieces', () => {
  const start = (id: string, z: number, leg: number) => ({
    ...{ id, family: 'start', at: along(0, 0, z) as [number, number, number], params: { leg } },
  });
  const pieces = [start('p10', 9, 1), start('p2', 4, 2), start('p9', 0, 1)];
  expect(laneOf({ space: 'side-on', pieces })).toBe(0);
  expect(laneOf({ space: 'side-on', pieces: pieces.slice(0, 2) })).toBe(9);
  expect(laneOf({ space: 'free', pieces })).toBeNull();
  expect(laneOf({ space: 'side-on', pieces: [] })).toBeNull();
});
