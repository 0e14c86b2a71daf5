import type { PieceInHand } from '../edit';
import { layPieces } from '../edit';
import { emptyCourse, type Course, type PieceMotion } from '../course';
import { applyPose } from '../motion';
import { contactShapes, KINDNESS, worldParts } from '../pieces';
import {
  PROJECTILE_SIZE,
  copyPlace,
  copySpeed,
  hiddenPieces,
  isPickupPresent,
  NO_INPUT,
  poseMover,
  initialState,
  tick,
  type Input,
} from '.';
import { courseOf, floor, jumpOnly, right, Trial } from './testing';

const slab = (at: PieceInHand['at'], change: Partial<PieceInHand> = {}): PieceInHand => ({
  family: 'slab',
  at,
  size: [2, 0.5, 2],
  ...change,
});
const free = (...pieces: PieceInHand[]): Course =>
  layPieces(emptyCourse('Field', 'free'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [0, -1, 0], size: [60, 1, 60] },
    ...pieces,
  ]);
/** Where a piece's place has got to after so many ticks of standing. */
const carried = (motion: PieceMotion[], ticks: number, change: Partial<PieceInHand> = {}) => {
  const trial = new Trial(free(slab([10, 4, 5], { motion, ...change }))).go(NO_INPUT, ticks);
  const index = trial.world.pieces.findIndex(({ id }) => id === 'p3');
  const { pose } = poseMover(trial.world.movers, trial.state, trial.world.pieceMovers[index]);
  return applyPose(pose, [10, 4, 5]).map((v) => Math.round(v * 1000) / 1000);
};

test('a path starts where the piece stands, is gone at its speed, waits, and turns with the piece', () => {
  const path: PieceMotion = {
    kind: 'path',
    points: [
      [4, 0, 0],
      [4, 2, 0],
    ],
    speed: 2,
    waits: [0, 1],
  };
  expect(carried([path], 0)).toEqual([10, 4, 5]);
  expect(carried([path], 120)).toEqual([12, 4, 5]);
  expect(carried([path], 300)).toEqual([14, 4, 5]);
  expect(carried([path], 480)).toEqual([14, 6, 5]);
  expect(carried([path], 960)).toEqual([10, 4, 5]);
  expect(carried([path], 120, { turn: [0, 90, 0] })).toEqual([10, 4, 3]);
  const round: PieceMotion = { ...path, waits: undefined, after: 'round', times: [1, 1, 1] };
  expect(carried([round], 360)).toEqual([10, 4, 5]);
  expect(carried([{ ...round, after: 'once' }], 5000)).toEqual([14, 6, 5]);
  const smooth = carried([{ ...path, smooth: true, waits: undefined }], 60);
  expect(smooth[0]).toBeGreaterThan(10.5);
});

test('poses, circles, hops and bobs go where they say, and add up', () => {
  expect(carried([{ kind: 'poses', poses: [{ at: [0, 3, 0], time: 1 }] }], 120)).toEqual([
    10, 7, 5,
  ]);
  expect(carried([{ kind: 'circle', axis: 'y', radius: 2, period: 4 }], 240)).toEqual([6, 4, 5]);
  expect(carried([{ kind: 'hop', height: 2, along: 4, period: 1 }], 60)).toEqual([12, 6, 5]);
  expect(carried([{ kind: 'hop', height: 2, along: 4, period: 1 }], 180)).toEqual([12, 6, 5]);
  expect(carried([{ kind: 'bob', height: 1, period: 2 }], 120)).toEqual([10, 5, 5]);
  const both = carried(
    [
      { kind: 'spin', axis: 'y', period: 2 },
      { kind: 'bob', height: 1, period: 2 },
    ],
    120,
  );
  expect(both).toEqual([10, 5, 5]);
});

test('what is attached goes along, and so does who rides it', () => {
  const lift: PieceMotion = { kind: 'path', points: [[0, 0, -6]], speed: 2 };
  const course = free(slab([0, 0.2, 0], { size: [3, 0.3, 3], motion: [lift] }), {
    family: 'shell',
    at: [1, 1, 0],
    attach: 'p3',
  });
  const trial = new Trial({
    ...course,
    pieces: course.pieces.map((p) => (p.family === 'start' ? { ...p, at: [0, 0.5, 0] } : p)),
  });
  trial.go(NO_INPUT, 60);
  const { z, tick } = trial.state;
  trial.go(NO_INPUT, 180);
  expect(trial.state.z - z).toBeCloseTo((-2 * (trial.state.tick - tick)) / 120, 6);
  expect(trial.state.vz).toBeCloseTo(0, 6);
  const other = new Trial(course).go(NO_INPUT, 150);
  const shell = other.world.pieces.findIndex(({ id }) => id === 'p4');
  expect(other.world.pieceMovers[shell]).toBeGreaterThanOrEqual(0);
});

test('what sleeps wakes by nearness or touch, and sleeps again when left behind', () => {
  const motion: PieceMotion[] = [{ kind: 'bob', height: 1, period: 2 }];
  const asleep = (wake: PieceInHand['wake'], x: number, input: Input, ticks: number) => {
    const trial = new Trial(free(slab([x, 0, 0], { motion, wake }))).go(input, ticks);
    return [trial.state.moverFrom[0] < 0, trial.state.moverAt[0] >= 0];
  };
  expect(asleep({ by: 'near', range: 3 }, 8, NO_INPUT, 60)).toEqual([true, false]);
  expect(asleep({ by: 'near', range: 3 }, 8, right, 120)).toEqual([false, false]);
  expect(asleep({ by: 'near', range: 3, sleep: 5 }, -4, { x: -16, z: 0, jump: false }, 40)[0]).toBe(
    false,
  );
  const passed = new Trial(
    free(slab([3, 3, 0], { motion, wake: { by: 'near', range: 3, sleep: 5 } })),
  );
  passed.go(right, 300);
  expect(passed.state.moverAt[0]).toBeGreaterThanOrEqual(0);
  expect(asleep({ by: 'touch' }, 2.5, NO_INPUT, 60)).toEqual([true, false]);
  expect(asleep({ by: 'touch' }, 2.5, right, 120)).toEqual([false, false]);
});

test('what one run touched wakes nothing in another run of the same course', () => {
  const motion: PieceMotion[] = [{ kind: 'bob', height: 1, period: 2 }];
  const course = free(slab([2.5, 0, 0], { motion, wake: { by: 'touch' } }));
  const touching = new Trial(course).go(right, 120);
  expect(touching.state.moverFrom[0]).toBeGreaterThanOrEqual(0);
  const other = initialState(touching.world);
  for (let i = 0; i < 30; i++) tick(touching.world, other, NO_INPUT, () => {});
  expect(other.moverFrom[0]).toBe(-1);
});

test('a chaser follows within its range and goes home; an arrival slides into its place', () => {
  const chase: PieceMotion = { kind: 'chase', range: 6, speed: 3, home: true };
  const near = new Trial(free({ family: 'saw', at: [5, 0, 0], motion: [chase] })).go(NO_INPUT, 600);
  expect(near.happened('hazard').length).toBeGreaterThan(0);
  const far = new Trial(free({ family: 'saw', at: [12, 0, 0], motion: [chase] })).go(NO_INPUT, 600);
  expect(far.happened('hazard')).toHaveLength(0);
  const arrive: PieceMotion = { kind: 'arrive', from: [0, -3, 0], distance: 4 };
  const step = new Trial(free(slab([6, 0, 0], { motion: [arrive] })));
  const shift = () => poseMover(step.world.movers, step.state, 0).pose.shift[1];
  expect(step.go(NO_INPUT, 60) && shift()).toBe(-3);
  expect(step.go(right, 60).go(NO_INPUT, 200) && shift()).toBeCloseTo(0, 9);
});

test('a drift takes its speed from the run’s seed within its spread', () => {
  const drift: PieceMotion = { kind: 'drift', velocity: [1, 0, 0], spread: [0.5, 0, 0] };
  const x = (seed: number) => {
    const trial = new Trial(free(slab([10, 4, 5], { motion: [drift] })), seed).go(NO_INPUT, 120);
    return poseMover(trial.world.movers, trial.state, 0).pose.shift[0];
  };
  expect(x(1)).toBe(x(1));
  expect(x(1)).not.toBe(x(2));
  for (let seed = 0; seed < 20; seed++) expect(Math.abs(x(seed) - 1)).toBeLessThanOrEqual(0.5);
});

test('a one-way face is passed from below and stood on, and dropped through where it may', () => {
  const ledge = slab([0, 1.2, 0], { size: [4, 0.2, 4], oneWay: { side: 0, drop: true } });
  const trial = new Trial(courseOf(floor(-5, 5), ledge)).go(NO_INPUT, 5);
  trial.go(jumpOnly, 60).go(NO_INPUT, 60);
  expect(trial.state.y).toBeCloseTo(1.401, 3);
  trial.go({ x: 0, z: 16, jump: false }, 5).go({ x: 0, z: 16, jump: true }, 60);
  expect(trial.state.y).toBeLessThan(0.1);
  const solid = new Trial(courseOf(floor(-5, 5), { ...ledge, oneWay: undefined })).go(NO_INPUT, 5);
  expect(solid.go(jumpOnly, 60).go(NO_INPUT, 60).state.y).toBeLessThan(0.1);
  // Turned to the left it stops who comes from the left, and lets pass who comes back.
  const turned = { ...ledge, at: [3, 0, 0] as const, size: [0.4, 2, 4], oneWay: { side: 90 } };
  const from = (x: number, input: Input) =>
    new Trial({ ...courseOf(floor(-9, 9), turned as never) }).go(NO_INPUT, x).go(input, 120).state
      .x;
  expect(from(5, right)).toBeLessThan(3);
  const back = new Trial(courseOf(floor(-9, 9), { ...turned, at: [-3, 0, 0] } as never));
  expect(back.go({ x: -16, z: 0, jump: false }, 120).state.x).toBeLessThan(-4);
});

test('a lift with a one-way face takes along who stands on it and passes who is under it', () => {
  const lift = slab([0, 0.6, 0], {
    size: [4, 0.2, 4],
    oneWay: { side: 0 },
    motion: [{ kind: 'bob', height: -0.58, period: 4 } as never],
  });
  const under = new Trial(
    courseOf(floor(-5, 5), { ...lift, motion: [{ kind: 'bob', height: 2, period: 4 }] }),
  ).go(NO_INPUT, 400);
  expect(under.happened('crush')).toHaveLength(0);
  expect(under.state.y).toBeCloseTo(0.001, 2);
});

test('roles, hurts, worth and respawning pickups are as the maker gave them', () => {
  const hurtBy = (hurt: PieceInHand['hurt']) =>
    new Trial(free(slab([3, 0, 0], { role: 'hazard', hurt }))).go(right, 70);
  expect(hurtBy(undefined).happened('respawn')).toHaveLength(1);
  const pushed = hurtBy({ does: 'push', force: 8 });
  expect(pushed.happened('respawn')).toHaveLength(0);
  expect(pushed.state.vx).toBeLessThan(0);
  const slowed = hurtBy({ does: 'slow', force: 2 });
  expect(slowed.state.vx).toBeLessThan(3);
  const scenery = new Trial(free(slab([3, 0, 0], { role: 'scenery' }))).go(right, 120);
  expect(scenery.state.x).toBeGreaterThan(4);
  const pickup = new Trial(free(slab([3, 0, 0], { role: 'pickup', worth: 7, respawn: 1 })));
  pickup.go(right, 110);
  expect([pickup.state.worth, pickup.state.gatheredCount]).toEqual([7, 1]);
  expect(isPickupPresent(pickup.world, pickup.state, 0)).toBe(false);
  pickup.go(NO_INPUT, 100);
  expect(isPickupPresent(pickup.world, pickup.state, 0)).toBe(true);
});

test('what breaks does so by touches or by speed, and is gone', () => {
  const wall = (breaks: PieceInHand['breaks']) =>
    new Trial(free(slab([3, 0, 0], { size: [0.5, 2, 4], breaks })));
  const rammed = wall({ speed: 3 }).go(right, 120);
  expect(rammed.state.x).toBeGreaterThan(4);
  const tough = wall({ speed: 12 }).go(right, 120);
  expect(tough.state.x).toBeLessThan(3);
  const twice = wall({ touches: 2 }).go(right, 90);
  expect(hiddenPieces(twice.world, twice.state).size).toBe(0);
  twice.go({ x: -16, z: 0, jump: false }, 40).go(right, 90);
  expect(hiddenPieces(twice.world, twice.state)).toEqual(new Set(['p3']));
});

test('allowances make hazards smaller and ground wider, for a piece, a family or a role', () => {
  const met = (change: Partial<Course>, own: Partial<PieceInHand> = {}) => {
    const course = free({ family: 'thorns', at: [3, 0, 0], size: [2, 0.7, 2], ...own });
    const trial = new Trial({ ...course, ...change });
    trial.go(right, 120, () => trial.happened('hazard').length > 0);
    return trial.events.find(({ kind }) => kind === 'hazard')!.x;
  };
  const usual = met({});
  expect(met({ allowances: KINDNESS.kind })).toBeGreaterThan(usual + 0.04);
  expect(met({ allowances: KINDNESS.strict })).toBeLessThan(usual - 0.04);
  const family = { allowances: { families: { thorns: { by: 'percent' as const, value: -50 } } } };
  expect(met(family)).toBeGreaterThan(usual + 0.3);
  expect(met({}, { allowance: { by: 'cm', value: -20 } })).toBeGreaterThan(usual + 0.1);
});

test('a part of a drawn shape may have an allowance of its own, in centimetres or percent', () => {
  const part = (by: 'cm' | 'percent', value: number) => ({
    kind: 'box' as const,
    at: [0, 0.5, 0] as [number, number, number],
    size: [1, 1, 1] as [number, number, number],
    allowance: { by, value },
  });
  const shape = { size: [1, 1, 1] as [number, number, number], parts: [part('cm', -20)] };
  const width = (own: typeof shape, roles = {}) => {
    const [crate] = layPieces(courseOf(), [
      { family: 'crate', at: [0, 0, 0], shape: own },
    ]).pieces.slice(-1);
    const [{ form }] = contactShapes({ allowances: { roles } }, crate);
    if (form.kind !== 'hull') throw new Error('No hull.');
    const xs = form.solid.points.map(([x]) => x);
    return Math.max(...xs) - Math.min(...xs);
  };
  expect(width(shape)).toBeCloseTo(0.6, 9);
  expect(width({ ...shape, parts: [part('percent', 25)] })).toBeCloseTo(1.25, 9);
  // It goes before that of its role.
  expect(width(shape, { solid: { by: 'cm', value: 10 } })).toBeCloseTo(0.6, 9);
});

test('a drawn shape replaces the family’s, stretches with the piece, and mirrors with it', () => {
  const shape = {
    size: [2, 2, 2] as [number, number, number],
    parts: [
      {
        kind: 'outline' as const,
        points: [
          [-1, 0],
          [0, 0],
          [0, 2],
          [-1, 2],
        ] as [number, number][],
      },
    ],
  };
  const stop = (change: Partial<PieceInHand>) =>
    new Trial(courseOf(floor(-9, 20), { family: 'ashlar', at: [6, 0, 0], shape, ...change })).go(
      right,
      240,
    ).state.x;
  expect(stop({ size: [2, 2, 2] })).toBeCloseTo(5 - 0.25, 1);
  expect(stop({ size: [4, 2, 2] })).toBeCloseTo(4 - 0.25, 1);
  expect(stop({ size: [2, 2, 2], turn: [0, 180, 0] })).toBeCloseTo(6 - 0.25, 1);
  const ball = {
    ...shape,
    parts: [{ kind: 'ball' as const, at: [0, 1, 0] as [number, number, number], radius: 0.5 }],
  };
  expect(stop({ size: [2, 2, 2], shape: ball })).toBeGreaterThan(5);
  const capsule = {
    kind: 'capsule' as const,
    from: [0, 0] as [number, number],
    to: [0, 2] as [number, number],
    radius: 0.4,
  };
  expect(stop({ size: [2, 2, 2], shape: { ...shape, parts: [capsule] } })).toBeCloseTo(6 - 0.65, 1);
});

test('regions push, boost past the usual top, slow, lift, shrink, count and hurt', () => {
  const inside = (family: string, params: object = {}, change: Partial<PieceInHand> = {}) =>
    new Trial(
      free({ family, at: [0, 0, 0], size: [50, 10, 50], params: params as never, ...change }),
    );
  expect(inside('wind', { force: 6 }).go(NO_INPUT, 300).state.x).toBeGreaterThan(1);
  expect(inside('boost', { top: 15 }).go(right, 120).state.vx).toBeCloseTo(15, 0);
  expect(inside('drag', { part: 0.5 }).go(right, 240).state.vx).toBeCloseTo(3, 1);
  const slick = inside('slick').go(right, 60).state.vx;
  expect(slick).toBeLessThan(3);
  const top = (trial: Trial) => {
    let high = 0;
    trial.go(NO_INPUT, 10).go(jumpOnly, 200, ({ y }) => ((high = Math.max(high, y)), false));
    return high;
  };
  expect(inside('tramp', { speed: 9 }).go(NO_INPUT, 40).state.y).toBeGreaterThan(0.5);
  const up = inside('weight', { part: 0.25 });
  up.go(NO_INPUT, 30);
  up.state.vy = 5;
  up.state.ground = -1;
  up.go(NO_INPUT, 60);
  expect(up.state.vy).toBeCloseTo(5 - 22 * 0.25 * 0.5, 1);
  expect(top(inside('weight', { part: 0.25 }))).toBeCloseTo(1.6, 1);
  expect(inside('grow', { part: 0.5 }).go(NO_INPUT, 5).state.size).toBe(1);
  expect(inside('tally', { rate: 10 }).go(NO_INPUT, 121).state.worth).toBeCloseTo(10, 0);
  expect(
    inside('sting', {}, { at: [5, 0, 0], size: [2, 2, 2] }).go(right, 200).state.falls,
  ).toBeGreaterThan(0);
});

test('a pool is a tide line of its own, and its top is drawn as water', () => {
  const pool: PieceInHand = { family: 'pool', at: [6, 0, 0] };
  const trial = new Trial(free(pool)).go(right, 240);
  expect(trial.happened('fall').length).toBeGreaterThan(0);
  expect(new Trial(free()).go(right, 240).happened('fall')).toHaveLength(0);
  const seen = worldParts({ ...pool, id: 'p' }).filter(({ unseen }) => !unseen);
  const heights = seen.flatMap(({ solid }) => solid.points.map(([, y]) => y));
  expect(Math.max(...heights)).toBeCloseTo(0.5, 9);
  expect(Math.min(...heights)).toBeGreaterThan(0.4);
});

test('a thrower sends copies at its interval, no more than it may, and they hurt', () => {
  const thrower = { what: 'boulder', size: 0.6, interval: 0.5, speed: 8, life: 4, most: 3 };
  const course = free({ family: 'crate', at: [12, 0, 0], turn: [0, 180, 0], thrower });
  const trial = new Trial(course);
  const live = () =>
    [0, 1, 2].filter((k) => trial.state.projectiles[k * PROJECTILE_SIZE] >= 0).length;
  trial.go(NO_INPUT, 62);
  expect(live()).toBe(1);
  expect(trial.go(NO_INPUT, 60) && live()).toBe(2);
  trial.go(NO_INPUT, 600);
  expect(live()).toBeLessThanOrEqual(3);
  expect(trial.happened('hazard').length).toBeGreaterThan(0);
});

test('a thrown copy flies as gravity has it and goes on evenly from tick to tick', () => {
  const thrower = { what: 'boulder', size: 0.4, interval: 20, speed: 6, rise: 60, life: 4 };
  const trial = new Trial(free({ family: 'crate', at: [12, 0, 0], turn: [0, 180, 0], thrower }));
  while (trial.state.projectiles[0] < 0) trial.go(NO_INPUT, 1);
  const way: number[][] = [];
  for (let i = 0; i < 60; i++) {
    way.push([...copyPlace(trial.state, 0)]);
    trial.go(NO_INPUT, 1);
  }
  const paces = way.slice(1).map((p, i) => Math.hypot(...p.map((v, k) => v - way[i][k])) * 120);
  expect(Math.max(...paces)).toBeLessThan(6.6);
  // Up for v²/2g.
  const rise = Math.max(...way.map(([, y]) => y)) - way[0][1];
  expect(Math.abs(rise - (6 * Math.sin(Math.PI / 3)) ** 2 / 44)).toBeLessThan(0.01);
});

test('a thrown copy bounces lower each time and comes to roll, slowing down', () => {
  const thrower = { what: 'boulder', size: 0.4, interval: 20, speed: 5, life: 20 };
  const crate: PieceInHand = { family: 'crate', at: [-2, 0, 3], thrower };
  const course = free(crate, { family: 'slab', at: [20, -1, 3], size: [60, 1, 4] });
  const trial = new Trial(course);
  while (trial.state.projectiles[0] < 0) trial.go(NO_INPUT, 1);
  trial.go(NO_INPUT, 360);
  const heights = new Set<number>();
  const before = copySpeed(trial.state, 0);
  for (let i = 0; i < 120; i++) heights.add(copyPlace(trial.go(NO_INPUT, 1).state, 0)[1]);
  const after = copySpeed(trial.state, 0);
  expect(Math.max(...heights) - Math.min(...heights)).toBeLessThan(1e-6);
  expect(after[0]).toBeLessThan(before[0]);
  expect(after[0]).toBeGreaterThan(3);
});

test('legs are run one after the other from their own starts; the time limit ends a run', () => {
  const base = layPieces(courseOf(floor(-2, 40)), [
    { family: 'lantern', at: [4, 0, 0] },
    { family: 'start', at: [20, 0, 0], params: { leg: 2 } },
    { family: 'lantern', at: [25, 0, 0], params: { leg: 2 } },
  ]);
  const course: Course = { ...base, legs: [{ par: 2 }, { par: 3 }] };
  const trial = new Trial(course).go(right, 120, (s) => s.leg === 1);
  expect(trial.state.x).toBe(20);
  expect(trial.happened('leg')).toHaveLength(1);
  trial.go(right, 300);
  expect(trial.state.finish).toBeGreaterThan(0);
  expect(trial.state.legs[1] + trial.state.legs[3]).toBe(trial.state.tick);
  const late = new Trial({ ...course, limit: 1 }).go(NO_INPUT, 200);
  expect([late.state.over, late.state.tick]).toEqual([true, 120]);
});

test('a goal or gate opens by what was gathered; portals by chance take each exit once', () => {
  const shells: PieceInHand[] = [2, 3].map((x) => ({ family: 'shell', at: [x, 0.2, 0] }));
  const goal = (amount: number): PieceInHand => ({
    family: 'lantern',
    at: [8, 0, 0],
    params: { opens: 'count', amount },
  });
  const done = (amount: number) =>
    new Trial(courseOf(floor(-2, 20), ...shells, goal(amount))).go(right, 300);
  expect(done(2).state.finish).toBeGreaterThan(0);
  expect(done(3).state.finish).toBe(-1);
  expect(done(3).happened('shut').length).toBeGreaterThan(0);
  const mouths = free(
    { family: 'portal', at: [3, 0, 0], params: { exits: 'chance', speed: 'stops' } },
    ...[10, 15, 20].map((z): PieceInHand => ({ family: 'portal', at: [-20, 0, z] })),
  );
  const trial = new Trial(mouths, 5);
  const exits: number[] = [];
  for (let i = 0; i < 3; i++) {
    trial.go(right, 300, (s) => s.x < -10);
    exits.push(trial.state.z);
    Object.assign(trial.state, { x: 0, y: 0.01, z: 0, vx: 0, vz: 0, portal: -1 });
  }
  expect(exits.sort((a, b) => a - b)).toEqual([10, 15, 20]);
});

test('a checkpoint that restores has things as they were when it was reached', () => {
  const course = courseOf(
    floor(-2, 12),
    { family: 'cairn', at: [2, 0, 0], params: { resets: 'resets' } },
    slab([5, 0, 0], { size: [0.4, 2, 4], breaks: { touches: 1 } }),
  );
  const trial = new Trial(course).go(right, 200, (s) => s.x > 6);
  expect(hiddenPieces(trial.world, trial.state).size).toBe(1);
  trial.go(right, 400, (s) => s.falls > 0);
  expect(hiddenPieces(trial.world, trial.state).size).toBe(0);
});
