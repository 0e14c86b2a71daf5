import fc from 'fast-check';
import { layPieces, type PieceInHand } from '../edit';
import { BOUNDS, CUES, EFFECTS, emptyCourse, RUNNERS, type Course, type Link } from '../course';
import { cosDeg, sinDeg } from '../geometry';
import { FAMILIES } from '../pieces';
import { buildWorld, initialState, tick, type Input } from '.';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const place = fc.tuple(number(-12, 12), number(-3, 5), number(-12, 12));
const seconds = fc.oneof(number(0.1, 6), fc.constant(0.1));
const timed = { period: seconds, phase: number(0, 1), beats: fc.constantFrom(undefined, true) };
const axis = fc.constantFrom('x', 'y', 'z');

/** Motions of every kind with anything that may be set of them. */
export const anyMotion = fc.oneof(
  fc.record({
    kind: fc.constant('path'),
    points: fc.array(place, { minLength: 1, maxLength: 4 }),
    speed: number(0.05, 20),
    smooth: fc.constantFrom(undefined, true),
    after: fc.constantFrom(undefined, 'round', 'once', 'back'),
  }),
  fc.record({
    kind: fc.constant('poses'),
    poses: fc.array(
      fc.record({
        at: place,
        turn: fc.tuple(number(-90, 90), number(-180, 180), number(-90, 90)),
        scale: number(0.3, 2),
        time: seconds,
      }),
      { minLength: 1, maxLength: 3 },
    ),
  }),
  fc.record({ kind: fc.constant('swing'), axis, angle: number(0, 120), ...timed }),
  fc.record({ kind: fc.constant('spin'), axis, ...timed }),
  fc.record({ kind: fc.constant('circle'), axis, radius: number(0.1, 6), ...timed }),
  fc.record({ kind: fc.constant('hop'), height: number(0.1, 4), along: number(-4, 4), ...timed }),
  fc.record({ kind: fc.constant('chase'), range: number(1, 12), speed: number(0.1, 8) }),
  fc.record({ kind: fc.constant('arrive'), from: place, distance: number(1, 8) }),
  fc.record({ kind: fc.constant('drift'), velocity: place, spread: place }),
);

/** Round about the start, which is left clear: who is crushed there does nothing else. */
const about = fc
  .tuple(number(0, 360), number(4, 13), number(-3, 5))
  .map(([angle, far, y]): [number, number, number] => [
    far * cosDeg(angle),
    y,
    far * sinDeg(angle),
  ]);

/** A setting that about one piece in so many has. */
const optional = <T>(value: fc.Arbitrary<T>, oneIn = 5) =>
  fc.oneof(
    { weight: oneIn - 1, arbitrary: fc.constant(undefined) },
    { weight: 1, arbitrary: value },
  );
const laid = FAMILIES.filter(({ drawn }) => !drawn).map(({ id }) => id);
const piece = fc.record({
  family: fc.oneof(fc.constantFrom(...laid), fc.constantFrom('slab', 'block', 'ramp')),
  at: about,
  turn: fc.tuple(fc.constantFrom(0, 0, 15, -30), number(0, 360), fc.constantFrom(0, 0, 20)),
  motion: optional(fc.array(anyMotion, { minLength: 1, maxLength: 2 }), 3),
  wake: optional(
    fc.record({ by: fc.constantFrom('near', 'touch'), range: number(1, 6), sleep: number(2, 9) }),
  ),
  role: optional(fc.constantFrom('solid', 'hazard', 'pickup', 'scenery')),
  hurt: optional(
    fc.record({ does: fc.constantFrom('back', 'push', 'slow'), force: number(0.5, 30) }),
  ),
  breaks: optional(fc.record({ touches: fc.integer({ min: 1, max: 3 }) })),
  oneWay: optional(fc.record({ side: number(0, 360), drop: fc.constant(true) })),
  allowance: optional(fc.record({ by: fc.constantFrom('cm', 'percent'), value: number(-60, 60) })),
  thrower: optional(
    fc.record({
      what: fc.constant('boulder'),
      size: number(0.2, 1.5),
      interval: number(0.3, 2),
      speed: number(0, 25),
      life: number(0.5, 4),
      spread: number(0, 60),
    }),
    16,
  ),
});

const link = fc.record({
  cue: fc.record({
    kind: fc.constantFrom(...CUES),
    pieces: fc.array(
      fc.integer({ min: 1, max: 14 }).map((n) => `p${n}`),
      { maxLength: 3 },
    ),
    count: fc.integer({ min: 1, max: 4 }),
    seconds,
  }),
  effects: fc.array(
    fc.record({
      kind: fc.constantFrom(...EFFECTS.filter((kind) => kind !== 'win')),
      pieces: fc.array(
        fc.integer({ min: 1, max: 14 }).map((n) => `p${n}`),
        { maxLength: 3 },
      ),
      value: number(0.2, 3),
      seconds,
    }),
    { minLength: 1, maxLength: 3 },
  ),
  delay: optional(number(0, 2)),
  chance: optional(number(0, 1)),
});

/** Courses of anything a maker can set, with the inputs to run them by. */
export const anyRun = fc
  .record({
    pieces: fc.array(piece, { minLength: 3, maxLength: 12 }),
    links: fc.array(link, { maxLength: 4 }),
    runner: fc.constantFrom(...RUNNERS),
    space: fc.constantFrom('free' as const, 'side-on' as const),
    gravity: number(3, 40),
    seed: fc.integer({ min: 0, max: 0xffff }),
    inputs: fc.array(
      fc.tuple(fc.integer({ min: -16, max: 16 }), fc.integer({ min: -16, max: 16 }), fc.boolean()),
      { minLength: 5, maxLength: 20 },
    ),
  })
  .map(({ pieces, links, runner, space, gravity, seed, inputs }) => {
    const list = [
      { family: 'start', at: [0, 0.1, 0] },
      { family: 'slab', at: [0, -1, 0], size: [16, 1, 16] },
      ...pieces,
    ] as PieceInHand[];
    const course: Course = {
      ...layPieces({ ...emptyCourse('Any', space), runner: { kind: runner } }, list),
      gravity,
      links: links.map((one, i) => ({ ...one, id: `l${i}` })) as unknown as Link[],
    };
    return { course, seed, inputs: inputs.map(([x, z, jump]): Input => ({ x, z, jump })) };
  });

/** What stands close about the start: corners, gaps of all widths, and movers that pass along them. */
const closeBy = fc.record({
  family: fc.constantFrom('slab', 'ashlar', 'crate', 'drift', 'drift', 'ramp', 'bend', 'boulder'),
  at: fc.tuple(number(-3, 3), number(-1, 1.5), number(-3, 3)),
  turn: fc.tuple(fc.constantFrom(0, 0, 20), number(0, 360), fc.constantFrom(0, 0, -25)),
  motion: optional(fc.array(anyMotion, { minLength: 1, maxLength: 2 }), 3),
  direction: fc.constantFrom('along', 'up'),
  span: number(0.5, 4),
  period: number(0.8, 5),
});

/** Courses whose runner is held against corners, edges and movers, far from the goal. */
export const pressedRun = fc
  .record({
    pieces: fc.array(closeBy, { minLength: 3, maxLength: 9 }),
    runner: fc.constantFrom(...RUNNERS),
    space: fc.constantFrom('free' as const, 'side-on' as const),
    seed: fc.integer({ min: 0, max: 0xffff }),
    inputs: fc.array(
      fc.tuple(
        fc.constantFrom(-16, -16, 0, 16, 16, 7),
        fc.constantFrom(-16, -16, 0, 16, 16, -5),
        fc.boolean(),
      ),
      { minLength: 3, maxLength: 8 },
    ),
  })
  .map(({ pieces, runner, space, seed, inputs }) => {
    const list = [
      { family: 'start', at: [0, 0.1, 0] },
      { family: 'lantern', at: [70, 25, space === 'free' ? 70 : 0] },
      { family: 'slab', at: [0, -1, 0], size: [12, 1, 12] },
      ...pieces.map(({ direction, span, period, ...piece }) => ({
        ...piece,
        ...(piece.family === 'drift' ? { params: { direction, span, period } } : {}),
      })),
    ] as PieceInHand[];
    const course = {
      ...layPieces({ ...emptyCourse('Pressed', space), runner: { kind: runner } }, list),
      tide: -20,
    };
    return {
      course,
      seed,
      inputs: inputs.map(([x, z, jump]): Input => ({ x, z, jump })),
      every: 90,
    };
  });

/** A course with the inputs to run it by, and for how many ticks each is held. */
export interface AnyRun {
  readonly course: Course;
  readonly seed: number;
  readonly inputs: readonly Input[];
  readonly every?: number;
}

/**
 * Runs a course by its inputs in turn; throws when its runner is nowhere or out of all bounds, or when the
 * run finishes with its runner nowhere near a goal.
 */
export function runAny({ course, seed, inputs, every = 30 }: AnyRun, ticks: number): void {
  const world = buildWorld(course);
  const state = initialState(world, seed);
  for (let i = 0; i < ticks; i++) {
    const { x: fromX, y: fromY, z: fromZ } = state;
    tick(world, state, inputs[Math.floor(i / every) % inputs.length], () => {});
    const { x, y, z, vx, vy, vz } = state;
    const sum = x + y + z + vx + vy + vz;
    if (!Number.isFinite(sum)) throw new Error(`No number at tick ${i}: ${[x, y, z, vx, vy, vz]}`);
    if (Math.max(Math.abs(x), Math.abs(y), Math.abs(z)) > 2 * BOUNDS + 10) {
      throw new Error(`Out of bounds at tick ${i}: ${[x, y, z]}`);
    }
    if (state.finish < 0) continue;
    const near = world.colliders.some(
      ({ role, low, high }) =>
        role === 'goal' &&
        [fromX, fromY, fromZ].every((from, axis) => {
          const to = [x, y, z][axis];
          return Math.min(from, to) < high[axis] + 2 && Math.max(from, to) > low[axis] - 2;
        }),
    );
    if (!near) throw new Error(`Finished at ${[x, y, z]}, far from every goal, at tick ${i}`);
    return;
  }
}
