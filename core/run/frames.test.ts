import type { PieceInHand } from '../edit';
import type { Course, PieceMotion, RunnerKind } from '../course';
import { DEFAULT_GRAVITY as G, loadPhysics, NO_INPUT, poseMover, type RunState } from '.';
import { free, slab } from './field.testing';
import { right, Trial } from './testing';

// Everything acts in the frame of what it stands on, and up is against gravity.

const ferry: PieceMotion = { kind: 'path', points: [[0, 0, -12]], speed: 3, after: 'once' };
const KINDS: readonly RunnerKind[] = ['hopper', 'roller', 'cart', 'flick'];
const settled = (course: Course) => new Trial(course).go(NO_INPUT, 60);
const pace = ({ vx, vy, vz }: RunState) => Math.hypot(vx, vy, vz);

test('a portal on a ferry lets go where the ferry is, at the ferry’s speed', () => {
  const course = free(
    slab([20, 2, 0], { size: [4, 0.5, 4], motion: [ferry] }),
    { family: 'portal', at: [2, 0, 0] },
    { family: 'portal', at: [20, 2.5, 0], attach: 'p3' },
  );
  const trial = new Trial(course).go(right, 120, ({ portal }) => portal >= 0);
  const { state: s } = trial;
  const far = (3 * s.tick) / 120;
  expect([s.x, s.z]).toEqual([expect.closeTo(20, 1), expect.closeTo(-far, 1)]);
  expect(s.vz).toBeCloseTo(-3, 6);
  trial.go(NO_INPUT, 100);
  expect(s.z).toBeCloseTo((-3 * s.tick) / 120, 1);
  expect(s.ground).toBeGreaterThanOrEqual(0);
});

test('what carries a runner into a portal is not lost, and is turned with it', () => {
  const belt: PieceMotion = {
    kind: 'path',
    points: [[14, 0, 0]],
    speed: 10,
    after: 'once',
    waits: [0.5],
  };
  const course: Course = {
    ...free(
      slab([0, 0.1, 0], { size: [3, 0.4, 3], motion: [belt] }),
      { family: 'portal', at: [8, 0.5, 0] },
      { family: 'portal', at: [0, 0.5, 20], turn: [0, 90, 0] },
    ),
  };
  const pieces = course.pieces.map((p) =>
    p.family === 'start' ? { ...p, at: [0, 0.6, 0] as const } : p,
  );
  const trial = new Trial({ ...course, pieces } as Course);
  trial.go(NO_INPUT, 200, ({ portal }) => portal >= 0);
  expect(trial.state.z).toBeGreaterThan(15);
  expect(trial.state.vz).toBeCloseTo(-10, 1);
});

test('a return to a checkpoint on a ferry comes to where that is now', () => {
  const course = free(slab([3, -0.4, 0], { size: [4, 0.5, 4], motion: [ferry] }), {
    family: 'cairn',
    at: [3, 0.1, 0],
    attach: 'p3',
  });
  const trial = new Trial(course).go(right, 90, ({ checkpoint }) => checkpoint >= 0);
  expect(trial.state.checkpoint).toBe(0);
  trial.state.y = -30;
  trial.go(NO_INPUT, 1);
  expect(trial.happened('respawn')).toHaveLength(1);
  expect(trial.state.z).toBeCloseTo((-3 * trial.state.tick) / 120, 1);
  trial.go(NO_INPUT, 60);
  expect(trial.state.z).toBeCloseTo((-3 * trial.state.tick) / 120, 1);
  expect(trial.state.ground).toBeGreaterThanOrEqual(0);
});

test.each(KINDS)('a %s on a turntable turns with it', (kind) => {
  const course: Course = {
    ...free(
      slab([0, 0.1, 0], { size: [6, 0.4, 6], motion: [{ kind: 'spin', axis: 'y', period: 8 }] }),
    ),
    runner: { kind },
  };
  const pieces = course.pieces.map((p) =>
    p.family === 'start' ? { ...p, at: [0.5, 0.55, 0] as const } : p,
  );
  const trial = new Trial({ ...course, pieces } as Course).go(NO_INPUT, 480);
  const { heading, fx, fz, x, z } = trial.state;
  trial.go(NO_INPUT, 240);
  const s = trial.state;
  const turned = (((s.heading - heading) % 360) + 360) % 360;
  if (kind === 'hopper' || kind === 'cart') {
    expect(Math.min(Math.abs(turned - 90), Math.abs(turned - 270))).toBeLessThan(
      kind === 'cart' ? 15 : 0.1,
    );
    expect(Math.abs(fx * s.fx + fz * s.fz)).toBeLessThan(0.01);
  }
  // A quarter round with it.
  expect(Math.abs(x * s.x + z * s.z)).toBeLessThan(0.01);
  expect(Math.hypot(s.x, s.z)).toBeCloseTo(Math.hypot(x, z), 2);
});

const weight = (change: Partial<PieceInHand>): PieceInHand => ({
  family: 'weight',
  at: [0, -0.5, 0],
  size: [20, 9, 20],
  ...change,
});

test.each(KINDS)(
  'a %s stands on the ceiling when gravity is turned over, and goes there',
  (kind) => {
    const course: Course = {
      ...free(weight({ params: { part: 1, lean: 180 } }), slab([0, 4, 0], { size: [40, 1, 40] })),
      runner: { kind },
    };
    const trial = settled(course).go(NO_INPUT, 500);
    const { state: s, world } = trial;
    const body = world.bodies[0];
    expect(s.ground).toBeGreaterThanOrEqual(0);
    expect(s.y + 2 * (body.radius + body.half)).toBeCloseTo(4, 1);
    expect(pace(s)).toBeLessThan(0.1);
  },
);

test('a hopper under gravity turned over runs and jumps from the ceiling, as high as from a floor', () => {
  const ceiling = slab([0, 4, 0], { size: [40, 1, 40] });
  const hop = (course: Course, up: 1 | -1) => {
    const trial = settled(course).go(NO_INPUT, 120).go(right, 60);
    const { x, y } = trial.state;
    expect(trial.state.vx).toBeCloseTo(6, 3);
    let high = 0;
    trial.go({ ...right, jump: true }, 60, (s) => {
      high = Math.max(high, up * (s.y - y));
      return false;
    });
    return { high, far: trial.state.x - x };
  };
  const above = hop(free(weight({ params: { part: 1, lean: 180 } }), ceiling), -1);
  const below = hop(free(), 1);
  expect(above.high).toBeCloseTo(below.high, 2);
  expect(above.high).toBeCloseTo(1.6, 1);
  expect(above.far).toBeCloseTo(below.far, 2);
});

test('a hopper where gravity leans stands where it may, and slides where the floor is too steep', () => {
  const moved = (lean: number) => {
    const trial = settled(free(weight({ size: [60, 9, 60], params: { part: 1, lean } })));
    const { x } = trial.state;
    return Math.abs(trial.go(NO_INPUT, 60).state.x - x);
  };
  expect(moved(45)).toBeLessThan(0.05);
  expect(moved(60)).toBeGreaterThan(0.5);
});

test('a weight turns with the piece that bears it; of several the innermost counts, and winds add up', () => {
  const field = (...pieces: PieceInHand[]) => {
    const trial = new Trial(free(...pieces)).go(NO_INPUT, 30);
    return [...trial.state.field];
  };
  // A quarter turn about z brings down to the side.
  const turned = field(
    slab([0, 8, 0], { motion: [{ kind: 'spin', axis: 'z', period: 1 }] }),
    weight({ at: [0, 0, 0], size: [40, 40, 40], attach: 'p3', params: { part: 1, lean: 0 } }),
  );
  expect(Math.hypot(turned[11], turned[12])).toBeCloseTo(G, 6);
  expect(Math.abs(turned[11])).toBeCloseTo(G, 3);
  const wide = weight({ params: { part: 0.2 } });
  const narrow = weight({ size: [4, 6, 4], params: { part: 3 } });
  for (const order of [
    [wide, narrow],
    [narrow, wide],
  ]) {
    expect(field(...order)[12]).toBeCloseTo(-3 * G, 6);
  }
  const wind = (force: number): PieceInHand => ({
    ...{ family: 'wind', at: [0, -0.5, 0], size: [20, 9, 20] },
    params: { force },
  });
  expect(field(wind(4), wind(3))[0]).toBeCloseTo(7, 9);
});

test('wind and weight act on what is loose as they act on the runner, turned as their piece is', async () => {
  const cask = (at: PieceInHand['at']): PieceInHand => ({
    ...{ family: 'block', at, size: [0.8, 0.8, 0.8], loose: true, look: { material: 'timber' } },
  });
  const blown = free(
    cask([10, 0, 10]),
    slab([10, 30, 10], {
      motion: [
        { kind: 'poses', poses: [{ at: [0, 0, 0], turn: [0, 180, 0], time: 0.01 }], after: 'once' },
      ],
    }),
    { family: 'wind', at: [10, -0.5, 10], size: [20, 6, 20], params: { force: 30 }, attach: 'p4' },
  );
  await loadPhysics(blown);
  const drift = (course: Course, axis: number) => {
    const trial = new Trial(course).go(NO_INPUT, 90);
    const { drive } = trial.world.loose[0];
    return trial.state.dynamicPoses[drive + axis];
  };
  expect(drift(blown, 0)).toBeLessThan(-1);
  const light = free(
    cask([10, 0, 10]),
    weight({ at: [10, -0.5, 10], params: { part: 0.5, lean: 180 } }),
  );
  expect(drift(light, 1)).toBeGreaterThan(2);
});

test.each([5, 10, 22, 40])(
  'a springboard throws as high as it says under a gravity of %d m/s²',
  (gravity) => {
    for (const weighs of [1, 0.5]) {
      const course: Course = {
        ...free(
          { family: 'spring', at: [0, 0, 0], size: [3, 0.5, 3], params: { height: 3.2 } },
          ...(weighs < 1 ? [weight({ params: { part: weighs } })] : []),
        ),
        gravity,
      };
      const pieces = course.pieces.map((p) =>
        p.family === 'start' ? { ...p, at: [0, 0.55, 0] as const } : p,
      );
      const trial = new Trial({ ...course, pieces } as Course);
      let high = 0;
      trial.go(NO_INPUT, 500, (s) => {
        high = Math.max(high, s.y - 0.5);
        return false;
      });
      expect(high).toBeGreaterThan(3.15);
      expect(high).toBeLessThan(3.25);
    }
  },
);

test('what goes back again waits as long as was set at each end, and takes the period that is told', () => {
  const path: PieceMotion = {
    ...{
      kind: 'path',
      points: [[4, 0, 0]],
      speed: 2,
      waits: [1, 0.5],
      after: 'back',
      ease: 'even',
    },
  };
  const poses: PieceMotion = {
    ...{
      kind: 'poses',
      poses: [{ at: [4, 0, 0], time: 2, wait: 0.5, ease: 'even' }],
      after: 'back',
    },
  };
  const still = (motion: PieceMotion) => {
    const trial = new Trial(free(slab([10, 4, 5], { motion: [motion] })));
    const at: number[] = [];
    for (let i = 0; i < 2400; i++) {
      trial.go(NO_INPUT, 1);
      at.push(poseMover(trial.world.movers, trial.state, 0).pose.shift[0]);
    }
    // Ticks on end at which it stands, at each end of its way, once it has been round.
    const waits: number[][] = [[], []];
    let run = 0;
    for (let i = 700; i < at.length; i++) {
      if (at[i] === at[i - 1]) run++;
      else {
        if (run > 2) waits[at[i - 1] < 2 ? 0 : 1].push(run);
        run = 0;
      }
    }
    const first = at.findIndex((v, i) => i > 700 && v !== at[i - 1] && at[i - 1] === 0);
    const again = at.findIndex((v, i) => i > first && v !== at[i - 1] && at[i - 1] === 0);
    return { near: waits[0][1] ?? 0, far: waits[1][1] ?? 0, period: again - first };
  };
  const gone = still(path);
  expect([gone.near, gone.far, gone.period]).toEqual([
    expect.closeTo(120, -0.5),
    expect.closeTo(60, -0.5),
    5.5 * 120,
  ]);
  const posed = still(poses);
  expect([posed.far, posed.period]).toEqual([expect.closeTo(60, -0.5), 4.5 * 120]);
});

test('a jump is kept as many ticks before a landing as one counts after leaving the ground', () => {
  const coyote = (ticks: number) => {
    const trial = new Trial(free(slab([2, 1, 0]))).go(NO_INPUT, 10);
    Object.assign(trial.state, { x: 2, y: 1.501, z: 0 });
    trial.go(right, 300, ({ ground, air, y }) => ground < 0 && air >= 0 && y < 1.5);
    // Off the edge for one tick now.
    trial.go(right, ticks - 1).go({ ...right, jump: true }, 1);
    return trial.state.jumps;
  };
  const buffer = (ticks: number) => {
    const drop = () => {
      const trial = new Trial(free()).go(NO_INPUT, 10);
      trial.state.y = 1;
      trial.state.ground = -1;
      return trial;
    };
    const lands = drop().go(NO_INPUT, 200, ({ ground }) => ground >= 0).state.tick - 10;
    // The tick after the landing is the first that may jump from it.
    const trial = drop()
      .go(NO_INPUT, lands - ticks)
      .go({ x: 0, z: 0, jump: true }, 1);
    return trial.go({ x: 0, z: 0, jump: true }, 40).state.jumps;
  };
  const last = (jumps: (ticks: number) => number) => {
    let ticks = 1;
    while (jumps(ticks) > 0 && ticks < 40) ticks++;
    return ticks - 1;
  };
  expect([last(coyote), last(buffer)]).toEqual([12, 12]);
});

test('a hopper that holds on to a wall slides down it at a metre and a half a second', () => {
  const course: Course = {
    ...free({ family: 'ashlar', at: [2, 0, 0], size: [1, 30, 20] }),
    runner: { kind: 'hopper', settings: { wallHold: true } },
  };
  const trial = new Trial(course).go(NO_INPUT, 10);
  Object.assign(trial.state, { x: 1.24, y: 20, vy: -3 });
  trial.go(right, 60);
  const { y } = trial.state;
  trial.go(right, 120);
  expect(y - trial.state.y).toBeCloseTo(1.5, 3);
});

test('a hopper that stands on a wall, as gravity there says, is pushed along it by what comes along it', () => {
  const comes: PieceMotion = {
    ...{ kind: 'path', points: [[0, 40, 0]], speed: 4, ease: 'even', after: 'once' },
  };
  const course = free(
    weight({ at: [0, -20, 0], size: [60, 60, 60], params: { part: 1, lean: 90 } }),
    { family: 'slab', at: [10, -20, 0], size: [1, 60, 40] },
    { family: 'slab', at: [-10, -20, 0], size: [1, 60, 40] },
    { family: 'slab', at: [8.5, -9, 0], size: [1.6, 0.5, 6], motion: [comes] },
    { family: 'slab', at: [-8.5, -9, 0], size: [1.6, 0.5, 6], motion: [comes] },
  );
  const trial = new Trial(course).go(NO_INPUT, 200);
  const { state: s } = trial;
  // It fell sideways, on to one of the two, and stands there.
  expect(Math.abs(s.x)).toBeGreaterThan(8);
  expect(s.ground).toBeGreaterThanOrEqual(0);
  let most = 0;
  trial.go(NO_INPUT, 400, ({ vy }) => {
    most = Math.max(most, vy);
    return false;
  });
  expect(most).toBeGreaterThan(4 - 24 / 120 - 0.05);
  expect(most).toBeLessThan(4.05);
});
