import type { PieceInHand } from '../edit';
import { layPieces } from '../edit';
import { type Course } from '../course';
import { worldParts } from '../pieces';
import { PROJECTILE_SIZE, copyPlace, copySpeed, hiddenPieces, NO_INPUT } from '.';
import { free, slab } from './field.testing';
import { courseOf, floor, jumpOnly, right, Trial } from './testing';

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
