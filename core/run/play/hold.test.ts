import fc from 'fast-check';
import { courseOf, floor, right, Trial } from '../testing';
import type { RunEvent } from '../state';
import { cloneState } from '../state';
import { heldRunner, tickFlown, tickHeld } from './hold';
import { tick } from './tick';

/** Ground to 20 m with thorns, a checkpoint and a block that stands in the way, and something that swings. */
const COURSE = courseOf(
  floor(-5, 20),
  { family: 'thorns', at: [4, 0, 0] },
  { family: 'cairn', at: [8, 0, 0] },
  { family: 'block', at: [12, 0, 0], size: [2, 2, 2] },
  { family: 'drift', at: [0, 6, 0], params: { direction: 'along', span: 4, period: 3 } },
);
const unharmed = (trial: Trial) => ({ ...trial.world, unharmed: true });

test('held, the runner stays as it was while the world goes on as without it', () => {
  const trial = new Trial(COURSE).go(right, 30);
  const { world, state } = trial;
  const before = cloneState(state);
  const held = heldRunner(state);
  for (let i = 0; i < 200; i++) tickHeld(world, state, held, () => {});
  expect(heldRunner(state)).toEqual(held);
  expect(state.tick).toBe(before.tick + 200);
  // Let go, it goes on as it would have from there.
  const there = cloneState(state);
  for (let i = 0; i < 20; i++) {
    tick(world, state, right, () => {});
    tick(world, there, right, () => {});
  }
  expect(state.x).toBe(there.x);
  expect(state.x).toBeGreaterThan(before.x + 0.3);
});

test('a flight goes where it is told, through what stands there, unhurt', () => {
  const { state, ...trial } = new Trial(COURSE);
  const world = unharmed(trial as Trial);
  const events: RunEvent[] = [];
  const fly = (speed: [number, number, number], ticks: number) => {
    for (let i = 0; i < ticks; i++) tickFlown(world, state, speed, (event) => events.push(event));
  };
  const y = state.y;
  fly([6, 0, 0], 240);
  expect(state.x).toBeCloseTo(12, 6);
  expect(state.y).toBeCloseTo(y, 9);
  expect(state.falls).toBe(0);
  // What it passes counts.
  expect(state.passed[0]).toBe(1);
  fly([0, 3, 0], 120);
  expect(state.y).toBeCloseTo(y + 3, 6);
  // Let go over the block, it comes down on it.
  for (let i = 0; i < 240; i++) tick(world, state, { x: 0, z: 0, jump: false }, () => {});
  expect(state.y).toBeCloseTo(2, 1);
});

test('a flight never ends at the goal nor in the tide, wherever it goes', () => {
  const course = courseOf(floor(-5, 20), { family: 'lantern', at: [6, 0, 0] });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: -30, max: 30 }), fc.integer({ min: -30, max: 30 })), {
        maxLength: 8,
      }),
      (ways) => {
        const { state, ...trial } = new Trial(course);
        const world = unharmed(trial as Trial);
        for (const [x, y] of ways) {
          for (let i = 0; i < 60; i++) tickFlown(world, state, [x, y, 0], () => {});
        }
        expect(state.finish).toBe(-1);
        expect(state.over).toBe(false);
        expect(state.falls).toBe(0);
        expect(state.tick).toBe(60 * ways.length);
        const way = ways.reduce((sum, [x]) => sum + x / 2, 0);
        expect(state.x).toBeCloseTo(way, 6);
      },
    ),
    { numRuns: 40 },
  );
});
