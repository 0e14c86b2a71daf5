import fc from 'fast-check';
import { layPieces, type PieceInHand } from '../../edit';
import { emptyCourse } from '../../course';
import { buildWorld, newContact, type World } from '../world';
import { initialState } from '../play';
import type { RunState } from '../state';
import { boxAround, castCapsule, outsideBox, runnerPath, signedDistance } from '.';

/** A floor whose top is at 0, and a block of 2 m whose near side stands 4 m ahead of the runner. */
const FLOOR: PieceInHand = { family: 'slab', at: [0, -1, 0], size: [60, 1, 60] };
const BLOCK: PieceInHand = { family: 'block', at: [5, 0, 0], size: [2, 2, 2] };

function standing(...pieces: PieceInHand[]): { world: World; s: RunState } {
  const world = buildWorld(
    layPieces(emptyCourse('Cast', 'free'), [{ family: 'start', at: [0, 0, 0] }, FLOOR, ...pieces]),
  );
  return { world, s: initialState(world) };
}
const colliderOf = (world: World, family: string) =>
  world.colliders.find(({ piece }) => world.pieces[piece].family === family)!;
const touched = newContact();

test('a way ends where the body comes to touch, a radius before the wall', () => {
  const { world, s } = standing(BLOCK);
  expect(castCapsule(world, s, runnerPath(world, s, 10, 0, 0), touched)).toBe(true);
  expect(touched.collider).toBe(colliderOf(world, 'block').index);
  expect(10 * touched.t).toBeCloseTo(4 - world.bodies[0].radius, 9);
  expect(touched.nx).toBeCloseTo(-1, 12);
});

test('nothing is touched beside it, short of it, away from it, or when it is left out', () => {
  const { world, s } = standing(BLOCK);
  const { index } = colliderOf(world, 'block');
  const hits = (dx: number, dy: number, dz: number, skip = -1) =>
    castCapsule(world, s, runnerPath(world, s, dx, dy, dz, skip), touched);
  expect(hits(0, 0, 10)).toBe(false);
  expect(hits(3, 0, 0)).toBe(false);
  expect(hits(-10, 0, 0)).toBe(false);
  expect(hits(10, 0, 0, index)).toBe(false);
  const own = runnerPath(world, s, 10, 0, 0);
  own.own = colliderOf(world, 'block').piece;
  expect(castCapsule(world, s, own, touched)).toBe(false);
  own.own = -1;
});

test('what is most likely to be touched is asked first, and the nearer one is told all the same', () => {
  const { world, s } = standing(BLOCK, { ...BLOCK, at: [9, 0, 0] });
  const far = world.colliders.filter(({ piece }) => world.pieces[piece].family === 'block')[1];
  const path = runnerPath(world, s, 20, 0, 0);
  path.first = far.index;
  expect(castCapsule(world, s, path, touched)).toBe(true);
  expect(touched.collider).toBe(colliderOf(world, 'block').index);
});

test('a face stopping from above lets through from below, beside, and who drops', () => {
  const shelf: PieceInHand = {
    family: 'slab',
    at: [0, 3, 0],
    size: [4, 0.25, 4],
    oneWay: { side: 0, drop: true },
  };
  const { world, s } = standing(shelf);
  const shelfPiece = world.pieces.findIndex(({ oneWay }) => oneWay);
  const cast = (y: number, dx: number, dy: number) => {
    const path = runnerPath(world, s, dx, dy, 0);
    path.y = y;
    return castCapsule(world, s, path, touched);
  };
  expect(cast(6, 0, -4)).toBe(true);
  expect(touched.ny).toBeCloseTo(1, 9);
  expect(cast(0.01, 0, 6)).toBe(false);
  s.x = -6;
  expect(cast(3, 6, 0)).toBe(false);
  s.x = 0;
  s.drop = shelfPiece;
  s.dropTick = s.tick;
  expect(cast(6, 0, -2.8)).toBe(false);
});

test('no cast ends deeper in anything than it began', () => {
  const { world, s } = standing(
    BLOCK,
    { family: 'ramp', at: [-5, 0, 2] },
    { family: 'boulder', at: [0, 0, 5] },
    { family: 'loop', at: [0, 0, -8] },
  );
  const metres = (most: number) =>
    fc.integer({ min: -most * 100, max: most * 100 }).map((n) => n / 100);
  const depthAt = () =>
    Math.min(
      ...world.colliders
        .filter(({ role }) => role === 'solid')
        .map((c) => signedDistance(world, s, world.bodies[0], c, s).distance),
    );
  let met = 0;
  fc.assert(
    fc.property(
      metres(7),
      metres(3),
      metres(9),
      fc.tuple(metres(9), metres(5), metres(9)),
      (x, y, z, by) => {
        Object.assign(s, { x, y: y + 3.01, z });
        fc.pre(depthAt() > 0.001);
        const path = runnerPath(world, s, ...(by as [number, number, number]));
        const hit = castCapsule(world, s, path, touched);
        if (hit) met++;
        const t = hit ? touched.t : 1;
        Object.assign(s, { x: x + by[0] * t, y: y + 3.01 + by[1] * t, z: z + by[2] * t });
        expect(depthAt()).toBeGreaterThan(-1e-6);
      },
    ),
    { numRuns: 1000, seed: 4, endOnFailure: true },
  );
  expect(met).toBeGreaterThan(200);
});

test('the box about a body holds it, and a box beside it is outside', () => {
  const { world, s } = standing();
  const box = boxAround(world.bodies[0], s);
  const { radius } = world.bodies[0];
  expect(box.x1 - box.x0).toBeCloseTo(2 * radius, 12);
  expect(box.y0).toBe(s.y);
  const beside = Float64Array.of(box.x1 + 0.1, 0, -1, box.x1 + 1, 1, 1);
  const across = Float64Array.of(box.x1 - 0.1, 0, -1, box.x1 + 1, 1, 1);
  expect(outsideBox(box, beside, 0)).toBe(true);
  expect(outsideBox(box, across, 0)).toBe(false);
});
