import type { PieceInHand } from '../edit';
import { layPieces } from '../edit';
import { type Course } from '../course';
import { contactShapes, KINDNESS } from '../pieces';
import { hiddenPieces, isPickupPresent, NO_INPUT, type Input } from '.';
import { free, slab } from './field.testing';
import { courseOf, floor, jumpOnly, right, Trial } from './testing';

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
