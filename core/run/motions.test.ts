import type { PieceInHand } from '../edit';
import { type PieceMotion } from '../course';
import { applyPose } from '../motion';
import { NO_INPUT, poseMover, initialState, tick, type Input } from '.';
import { free, slab } from './field.testing';
import { right, Trial } from './testing';

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
  // The shell lies as it lay to the lift, wherever that has got to.
  for (const ticks of [0, 150, 330]) {
    const other = new Trial(course).go(NO_INPUT, ticks);
    const placeOf = (id: string) => {
      const index = other.world.pieces.findIndex((piece) => piece.id === id);
      const { pose } = poseMover(other.world.movers, other.state, other.world.pieceMovers[index]);
      return applyPose(pose, other.world.pieces[index].at);
    };
    const [liftAt, shellAt] = [placeOf('p3'), placeOf('p4')];
    expect(liftAt[2]).toBeCloseTo(ticks === 0 ? 0 : -ticks / 60, 6);
    expect([0, 1, 2].map((i) => shellAt[i] - liftAt[i])).toEqual([
      expect.closeTo(1, 9),
      expect.closeTo(0.8, 9),
      expect.closeTo(0, 9),
    ]);
  }
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
