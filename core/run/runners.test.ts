import fc from 'fast-check';
import { layPieces, type PieceInHand } from '../edit';
import { emptyCourse, type Course, type RunnerKind, type RunnerSettings } from '../course';
import { BED } from '../pieces';
import { cloneState, DEFAULT_GRAVITY, mayStrike, NO_INPUT, tick, type Input } from '.';
import { Trial } from './testing';

const G = DEFAULT_GRAVITY;
const field = (
  kind: RunnerKind,
  settings: RunnerSettings = {},
  pieces: readonly PieceInHand[] = [{ family: 'slab', at: [0, -1, 0], size: [200, 1, 200] }],
): Course =>
  layPieces({ ...emptyCourse('Field', 'free'), runner: { kind, settings }, tide: -300 }, [
    { family: 'start', at: [0, 0, 0] },
    ...pieces,
  ]);
const settled = (course: Course) => new Trial(course).go(NO_INPUT, 30);
const speedOf = ({ vx, vy, vz }: { vx: number; vy: number; vz: number }) => Math.hypot(vx, vy, vz);
const drive = (x: number, z: number, jump = false): Input => ({ x, z, jump });

/** A slope that falls along x by degrees, the start near its top. */
const slope = (degrees: number): PieceInHand => ({
  family: 'slab',
  at: [18, -20 * Math.tan((degrees * Math.PI) / 180) - 1, 0],
  turn: [0, 0, -degrees],
  size: [60, 0.5, 20],
});

test('a roller gains 5/7 of g sin a down a slope of 10°, and less where it slips', () => {
  const gain = (settings: RunnerSettings, degrees: number) => {
    const trial = new Trial(field('roller', { friction: 0, ...settings }, [slope(degrees)]));
    trial.go(NO_INPUT, 600, (s) => s.ground >= 0 && s.tick > 150);
    const before = speedOf(trial.state);
    trial.go(NO_INPUT, 60);
    return (speedOf(trial.state) - before) / 0.5;
  };
  const a = (10 * Math.PI) / 180;
  expect(gain({}, 10)).toBeCloseTo((5 / 7) * G * Math.sin(a), 2);
  // Hardly any hold: friction alone, μ g cos a, works against the slide.
  const b = (30 * Math.PI) / 180;
  expect(gain({ grip: 0.05 }, 30)).toBeCloseTo(G * Math.sin(b) - 0.05 * G * Math.cos(b), 1);
});

test('a roller is pushed no faster than its top speed, and bounces by its setting', () => {
  const trial = settled(field('roller')).go(drive(16, 0), 600);
  expect(speedOf(trial.state)).toBeCloseTo(12, 0);
  const wall: PieceInHand = { family: 'ashlar', at: [6, 0, 0], size: [1, 3, 10] };
  const floor: PieceInHand = { family: 'slab', at: [0, -1, 0], size: [40, 1, 40] };
  const back = (bounce: number) => {
    const run = settled(field('roller', { bounce, friction: 0 }, [floor, wall]));
    run.go(drive(16, 0), 400, (s) => s.x > 3.5);
    const into = run.state.vx;
    run.go(NO_INPUT, 300, (s) => s.vx <= 0);
    return -run.state.vx / into;
  };
  expect(back(0.6)).toBeCloseTo(0.6, 1);
  expect(back(0)).toBeCloseTo(0, 1);
});

test('a cart at full lock drives the circle of its turning radius', () => {
  const trial = settled(field('cart', { turnRadius: 5, topSpeed: 4 })).go(drive(16, -16), 240);
  let [x0, x1, z0, z1] = [Infinity, -Infinity, Infinity, -Infinity];
  trial.go(drive(16, -16), 1200, ({ x, z }) => {
    [x0, x1, z0, z1] = [Math.min(x0, x), Math.max(x1, x), Math.min(z0, z), Math.max(z1, z)];
    return false;
  });
  expect((x1 - x0) / 2).toBeCloseTo(5, 1);
  expect((z1 - z0) / 2).toBeCloseTo(5, 1);
});

test('a cart stops within v²/2b, and drifts with the hand brake', () => {
  const trial = settled(field('cart', { brake: 10 })).go(drive(0, -16), 400);
  const [v, x] = [trial.state.vx, trial.state.x];
  expect(v).toBeCloseTo(14, 0);
  trial.go(drive(0, 16), 400, (s) => s.vx <= 1e-9);
  expect(trial.state.x - x).toBeCloseTo((v * v) / 20, 0);
  const aside = (jump: boolean) => {
    const run = settled(field('cart', { topSpeed: 8 }))
      .go(drive(0, -16), 300)
      .go(drive(16, -16, jump), 40);
    const { vx, vz, fx, fz } = run.state;
    return Math.abs(vx * -fz + vz * fx);
  };
  expect(aside(true)).toBeGreaterThan(3 * aside(false) + 0.4);
});

test.each([
  [0.75, false],
  [1.25, true],
])('a loop is kept to at %f times the speed it needs: %s', (times, kept) => {
  const radius = 3;
  // From the foot of a loop v² = 5 g r is needed for g at its top; the body's own radius is within it.
  const inner = radius - BED - 0.4;
  const need = Math.sqrt(5 * G * inner);
  const pieces: PieceInHand[] = [
    { family: 'slab', at: [-10, -1, 0], size: [40, 1, 8] },
    { family: 'loop', at: [10, -BED, 0], params: { radius } },
  ];
  const trial = new Trial(field('cart', { topSpeed: 30 }, pieces));
  trial.go(NO_INPUT, 30);
  trial.state.vx = need * times;
  let top = 0;
  trial.go(NO_INPUT, 700, (s) => {
    top = Math.max(top, s.y);
    return s.y < -3;
  });
  expect(top > 2 * inner - 0.2).toBe(kept);
});

test('a flick stone slides v²/2μg, counts its strokes and is struck only when it lies still', () => {
  const trial = settled(field('flick', { strength: 10, friction: 0.25 }));
  expect(mayStrike(trial.state)).toBe(true);
  trial.go({ x: 1000, z: 0, jump: true }, 1).go(NO_INPUT, 30);
  expect(trial.state.jumps).toBe(1);
  trial.go({ x: 0, z: 1000, jump: true }, 1).go(NO_INPUT, 1);
  expect([trial.state.jumps, trial.state.vz]).toEqual([1, 0]);
  trial.go(NO_INPUT, 2000, (s) => mayStrike(s));
  expect(trial.state.x).toBeCloseTo(100 / (2 * 0.25 * G), 1);
  const half = settled(field('flick', { strength: 10, friction: 0.25 }));
  half.go({ x: 0, z: -500, jump: true }, 1).go(NO_INPUT, 900);
  expect(half.state.z).toBeCloseTo(-25 / (2 * 0.25 * G), 1);
});

test('a stone lies still on a slope that friction holds, and slides down a steeper one', () => {
  const moved = (degrees: number) => {
    const trial = new Trial(field('flick', { friction: 0.3 }, [slope(degrees)]));
    trial.go(NO_INPUT, 600);
    const { x } = trial.state;
    return trial.go(NO_INPUT, 120).state.x - x;
  };
  expect(moved(12)).toBeCloseTo(0, 3);
  expect(moved(25)).toBeGreaterThan(1);
});

test('the hopper holds on to walls, jumps off them and once more in the air, where it may', () => {
  const shaft: PieceInHand[] = [
    { family: 'slab', at: [0, -1, 0], size: [12, 1, 12] },
    { family: 'ashlar', at: [2, 0, 0], size: [1, 12, 8] },
  ];
  const fallen = (settings: RunnerSettings) => {
    const trial = settled(field('hopper', settings, shaft)).go(drive(16, 0, true), 40);
    return trial.go(drive(16, 0, false), 30).state.vy;
  };
  expect(fallen({ wallHold: true })).toBeGreaterThan(-1.7);
  expect(fallen({})).toBeLessThan(-2.5);
  const top = (settings: RunnerSettings) => {
    const trial = settled(field('hopper', settings, shaft)).go(drive(16, 0, true), 56);
    let high = trial.state.y;
    trial.go(drive(16, 0, false), 2).go(drive(-16, 0, true), 80, (s) => {
      high = Math.max(high, s.y);
      return false;
    });
    return high;
  };
  expect(top({ wallJump: true })).toBeGreaterThan(top({}) + 0.8);
  expect(top({ doubleJump: true })).toBeGreaterThan(top({}) + 0.8);
  const auto = settled(field('hopper', { autorun: true })).go(NO_INPUT, 120);
  expect(auto.state.vx).toBeCloseTo(6, 6);
});

test('whatever the runner, a copy of its state goes on as the state itself does', () => {
  const kinds = fc.constantFrom<RunnerKind>('hopper', 'roller', 'cart', 'flick');
  const steps = fc.array(
    fc.tuple(fc.integer({ min: -16, max: 16 }), fc.integer({ min: -16, max: 16 }), fc.boolean()),
    { minLength: 4, maxLength: 12 },
  );
  const pieces: PieceInHand[] = [
    { family: 'slab', at: [0, -1, 0], size: [30, 1, 30] },
    { family: 'ramp', at: [6, 0, 0] },
    { family: 'drift', at: [-6, 0, 0] },
    { family: 'boost', at: [0, 0, 5] },
  ];
  fc.assert(
    fc.property(kinds, steps, (kind, inputs) => {
      const { world, state } = settled(field(kind, {}, pieces));
      const go = (s: typeof state) => {
        for (const [x, z, jump] of inputs) {
          for (let i = 0; i < 20; i++) tick(world, s, drive(x, z, jump), () => {});
        }
        return [s.x, s.y, s.z, s.vx, s.vy, s.vz, s.heading];
      };
      const [a, b] = [cloneState(state), cloneState(state)];
      const first = go(a);
      expect(first.every(Number.isFinite)).toBe(true);
      expect(go(b)).toEqual(first);
    }),
    { numRuns: 40, seed: 12 },
  );
});
