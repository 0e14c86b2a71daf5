import fc from 'fast-check';
import { cases } from '../deep.testing';
import type { Course } from '../course';
import { movePieces } from '../edit';
import { sweep, newTouch, inflateHull, clearance, newClearance } from '../collision';
import { ballAt } from '../collision/ball.testing';
import { add, scale, sub, type Vec3 } from '../geometry';
import { anyRun, pressedRun, type AnyRun } from './fuzz.testing';
import { boxAround, isDisabled, outsideBox, signedDistance } from './contact';
import {
  buildWorld,
  cloneState,
  initialState,
  loadPhysics,
  tick,
  type Input,
  type RunState,
  type World,
} from '.';

/** About one crate or slab in three of a course is loose. */
const withLoose = (any: AnyRun): AnyRun => {
  const pieces = any.course.pieces.map((piece, i) =>
    i > 1 && i % 3 === 0 && (piece.role ?? 'solid') === 'solid'
      ? {
          ...piece,
          family: 'block',
          size: [1, 1, 1] as [number, number, number],
          loose: true as const,
        }
      : piece,
  );
  return { ...any, course: { ...any.course, pieces } as Course };
};
const looseRun = anyRun.map(withLoose);

beforeAll(async () => {
  const [{ course }] = fc.sample(looseRun, { numRuns: 1, seed: 3 });
  await loadPhysics(course);
});

const inputAt = ({ inputs, every = 30 }: AnyRun, i: number): Input =>
  inputs[Math.floor(i / every) % inputs.length];

/** All of a state that a run goes on from, as text. */
const told = (s: RunState): string =>
  JSON.stringify(s, (key, value: unknown) =>
    key === 'bodies' || key === 'touching' || key === 'snapshot'
      ? undefined
      : ArrayBuffer.isView(value)
        ? Array.from(value as Float64Array)
        : value,
  );

const step = (world: World, s: RunState, any: AnyRun, i: number) =>
  tick(world, s, inputAt(any, i), () => {});

test('a copied state goes on bit for bit, with loose pieces, copies and links under way', () => {
  let [loose, thrown, linked] = [0, 0, 0];
  fc.assert(
    fc.property(looseRun, fc.integer({ min: 1, max: 400 }), (any, at) => {
      const world = buildWorld(any.course);
      const one = initialState(world, any.seed);
      for (let i = 0; i < at; i++) step(world, one, any, i);
      const other = cloneState(one);
      // The first goes on alone, and then the copy: neither may hear of the other.
      for (let i = at; i < at + 120; i++) step(world, one, any, i);
      for (let i = at; i < at + 120; i++) step(world, other, any, i);
      if (world.loose.length > 0) loose++;
      if (world.emitters.length > 0) thrown++;
      if (world.links.length > 0) linked++;
      expect(told(other)).toBe(told(one));
    }),
    { numRuns: cases(60), seed: 11, endOnFailure: true },
  );
  expect(Math.min(loose, thrown, linked)).toBeGreaterThanOrEqual(cases(8));
});

test('two runs by turns on one world are the same as each alone', () => {
  fc.assert(
    fc.property(looseRun, (any) => {
      const backwards = { ...any, inputs: [...any.inputs].reverse() };
      const alone = [any, backwards].map((one) => {
        const world = buildWorld(one.course);
        const state = initialState(world, one.seed);
        for (let i = 0; i < 240; i++) step(world, state, one, i);
        return told(state);
      });
      const world = buildWorld(any.course);
      const [a, b] = [initialState(world, any.seed), initialState(world, any.seed)];
      for (let i = 0; i < 240; i++) {
        step(world, a, any, i);
        step(world, b, backwards, i);
      }
      expect([told(a), told(b)]).toEqual(alone);
    }),
    { numRuns: cases(40), seed: 12, endOnFailure: true },
  );
});

/** How deep the runner stands in solids that are there, m. */
function depth(world: World, s: RunState): number {
  const body = world.bodies[s.size];
  const box = boxAround(body, s);
  const { solids } = world.broadPhase.query(box);
  let deepest = 0;
  solids.list.forEach((c, i) => {
    if (outsideBox(box, solids.boxes, 6 * i) || c.oneWay || isDisabled(world, s, c)) return;
    deepest = Math.max(deepest, -signedDistance(world, s, body, c, s).distance);
  });
  return deepest;
}

/** Deeper than this what a mover pushed would have been crushed, m. */
const CRUSH = 0.03;

test('after no tick does a runner that came clear of everything stand in a solid deeper than crushes', () => {
  fc.assert(
    fc.property(pressedRun, (any) => {
      const world = buildWorld(any.course);
      const s = initialState(world, any.seed);
      let clear = false;
      for (let i = 0; i < 600 && s.finish < 0; i++) {
        let putBack = false;
        tick(world, s, inputAt(any, i), ({ kind }) => (putBack ||= kind === 'respawn'));
        // Put back, it may be put into what stands there now.
        if (putBack) clear = false;
        const deep = depth(world, s);
        if (deep < CRUSH / 3) clear = true;
        // A lane's runner cannot leave it for what pushes it out of its plane.
        if (clear && world.lane === null) expect(deep).toBeLessThan(CRUSH + 1e-6);
      }
    }),
    { numRuns: cases(120), seed: 13, endOnFailure: true },
  );
});

test('a course laid elsewhere is run as it was, elsewhere', () => {
  const tenth = fc.integer({ min: -16, max: 16 });
  fc.assert(
    fc.property(pressedRun, fc.tuple(tenth, tenth, tenth), (any, by) => {
      const ids = new Set(any.course.pieces.map(({ id }) => id));
      const { links: _, ...course } = any.course;
      const moved = movePieces({ ...course, tide: undefined } as Course, ids, by);
      const worlds = [course as Course, { ...moved, tide: -20 + by[1] }].map(buildWorld);
      const [a, b] = worlds.map((world) => initialState(world, any.seed));
      let before = 0;
      for (let i = 0; i < 300; i++) {
        step(worlds[0], a, any, i);
        step(worlds[1], b, any, i);
        const off = Math.hypot(b.x - a.x - by[0], b.y - a.y - by[1], b.z - a.z - by[2]);
        // Squeezed between solids that touch it alike, the last bit decides which of them counts.
        if (depth(worlds[0], a) > 0) return;
        // Last bits grow from touch to touch; what is laid wrongly differs at once.
        if (before < 1e-9) expect(off).toBeLessThan(1e-6);
        if (off > 1e-9) return;
        before = off;
      }
    }),
    { numRuns: cases(80), seed: 14, endOnFailure: true },
  );
});

test('a sweep never passes what dense sampling meets', () => {
  const worlds = fc
    .sample(pressedRun, { numRuns: 12, seed: 15 })
    .map(({ course }) =>
      buildWorld(course).colliders.flatMap(({ form }) =>
        form.kind === 'hull' ? [form.solid] : [],
      ),
    );
  const solids = worlds.flat();
  const c = fc.integer({ min: -5000, max: 5000 }).map((n) => n / 1000);
  const place = fc.tuple(c, c, c);
  let met = 0;
  fc.assert(
    fc.property(
      fc.nat(solids.length - 1),
      place,
      place,
      fc.constantFrom(0, 0.4),
      (which, from, past, half) => {
        const hull = inflateHull(solids[which], half);
        // Past one of its corners, by a little or by much.
        const [corner] = solids[which].points;
        const by = sub(add(corner, scale(past, 0.2)), from);
        const at = (t: number): Vec3 => add(from, scale(by, t));
        const gap = (t: number) => clearance(hull, ballAt(at(t), 0.3), newClearance()).distance;
        fc.pre(gap(0) > 1e-6);
        const touch = newTouch();
        const first = sweep(hull, ballAt(from, 0.3, by), touch) ? touch.t : Infinity;
        for (let i = 0; i <= 200; i++) {
          if (gap(i / 200) > -1e-9) continue;
          met++;
          expect(first).toBeLessThanOrEqual(i / 200);
          return;
        }
      },
    ),
    { numRuns: cases(3000), seed: 16, endOnFailure: true },
  );
  expect(met).toBeGreaterThan(cases(300));
});
