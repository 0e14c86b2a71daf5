import { layPieces, type PieceInHand } from '../edit';
import { emptyCourse, type Course, type RunnerKind, type RunnerSettings } from '../course';
import { FAMILIES } from '../pieces';
import { DEFAULT_GRAVITY as G, mayStrike, NO_INPUT, RUNNER_SPECS, type Input } from '.';
import { Trial } from './testing';

const rad = (degrees: number) => (degrees * Math.PI) / 180;

/** A plane that rises along x by degrees, through the origin. */
const hill = (degrees: number): PieceInHand => ({
  family: 'slab',
  at: [0, -1 / Math.cos(rad(degrees)), 0],
  turn: [0, 0, degrees],
  size: [190, 1, 20],
});

const onHill = (
  kind: RunnerKind,
  degrees: number,
  settings: RunnerSettings = {},
  heading = 0,
): Course =>
  layPieces({ ...emptyCourse('Hill', 'free'), runner: { kind, settings }, tide: -300 }, [
    { family: 'start', at: [0, 0, 0], turn: [0, heading, 0] },
    hill(degrees),
  ]);
const go = (x: number, z: number, jump = false): Input => ({ x, z, jump });
const climbed = ({ x, y }: { x: number; y: number }) => Math.hypot(x, y) * Math.sign(x);

test('a slab turned about its foot lies where the hills here say', () => {
  const { size } = FAMILIES.find(({ id }) => id === 'slab')!;
  expect(size).toHaveLength(3);
  const trial = new Trial(onHill('roller', 10)).go(NO_INPUT, 2);
  expect(trial.state.ground).toBeGreaterThanOrEqual(0);
  expect(trial.state.gy).toBeCloseTo(Math.cos(rad(10)), 9);
});

test.each([0.01, 0.5, 2, 5, 10, 15, 18])(
  'a cart starts up a hill of %f° by a = F - g sin a, forwards and backwards',
  (degrees) => {
    const { acceleration } = RUNNER_SPECS.cart.defaults;
    for (const heading of [0, 180]) {
      const trial = new Trial(onHill('cart', degrees, { topSpeed: 40 }, heading)).go(NO_INPUT, 1);
      const rolled = climbed(trial.state);
      trial.go(go(0, heading === 0 ? -16 : 16), 120);
      const a = acceleration - G * Math.sin(rad(degrees));
      // Backing up has a top speed of its own, 12 m/s here, which a second does not reach.
      expect(Math.abs(climbed(trial.state) - rolled - a / 2)).toBeLessThan(0.04);
    }
  },
);

test('where drive alone is not enough the brake holds the cart, and steeper yet it slips back', () => {
  const end = (degrees: number) =>
    climbed(new Trial(onHill('cart', degrees)).go(go(0, -16), 240).state);
  expect(end(25)).toBeCloseTo(0, 1);
  expect(end(50)).toBeLessThan(-1);
});

test.each([0.01, 1, 5, 10, 20])('a roller starts up a hill of %f°', (degrees) => {
  const trial = new Trial(onHill('roller', degrees, { topSpeed: 40, grip: 5 })).go(go(16, 0), 120);
  const { acceleration, friction } = RUNNER_SPECS.roller.defaults;
  // The push is level, and what of it lies along the hill counts; of the pull a rolling sphere feels 5/7.
  const [c, n] = [Math.cos(rad(degrees)), Math.sin(rad(degrees))];
  const a = acceleration * c - (5 / 7) * G * n - friction * G * c;
  expect(Math.abs(climbed(trial.state) - a / 2)).toBeLessThan(0.06);
});

test.each([0.01, 5, 20, 40])(
  'a hopper runs up a hill of %f° at its pace over the map',
  (degrees) => {
    const way = (slope: number) => {
      const trial = new Trial(onHill('hopper', slope)).go(NO_INPUT, 30);
      const { x } = trial.state;
      return trial.go(go(16, 0), 120).state.x - x;
    };
    expect(way(degrees)).toBeCloseTo(way(0.0001), 6);
  },
);

test.each([0.01, 5, 9])(
  'a stone struck up a hill of %f° slides v²/2(μ g cos a + g sin a)',
  (degrees) => {
    const { friction } = RUNNER_SPECS.flick.defaults;
    const trial = new Trial(onHill('flick', degrees, { strength: 8 })).go(NO_INPUT, 60);
    const from = climbed(trial.state);
    expect(mayStrike(trial.state)).toBe(true);
    trial.go(go(1000, 0, true), 1).go(NO_INPUT, 2000, (s) => mayStrike(s));
    const slows = friction * G * Math.cos(rad(degrees)) + G * Math.sin(rad(degrees));
    expect(climbed(trial.state) - from).toBeCloseTo(64 / (2 * slows), 0);
  },
);

test.each([5, 10, 20, 30, 45])(
  'put on a slope of %f° a round runner stands on it, and loses no tick',
  (degrees) => {
    const trial = new Trial(onHill('roller', -degrees, { friction: 0, grip: 5 }));
    const { state, world } = trial;
    // The middle stands a radius off the plane, and a skin.
    const radius = world.bodies[0].radius;
    const [mx, my] = [state.x, state.y + radius];
    const off = mx * Math.sin(rad(degrees)) + my * Math.cos(rad(degrees));
    expect(off).toBeCloseTo(radius + 0.001, 6);
    trial.go(NO_INPUT, 120);
    const pulls = (5 / 7) * G * Math.sin(rad(degrees));
    expect(Math.hypot(state.x - mx, state.y + radius - my)).toBeGreaterThan(0.94 * (pulls / 2));
  },
);

test('a return to a cairn on a rising track goes on from there', () => {
  const course = layPieces({ ...emptyCourse('Rise', 'free'), runner: { kind: 'cart' }, tide: -9 }, [
    { family: 'start', at: [1, 0.3, 0] },
    { family: 'straight', at: [0, 0, 0], params: { length: 60, rise: 3 } },
    { family: 'cairn', at: [20, 1.3, 0] },
  ]);
  const trial = new Trial(course).go(go(0, -16), 900, (s) => s.checkpoint === 0);
  trial.state.y = -20;
  trial.go(NO_INPUT, 1);
  expect(trial.happened('respawn')).toHaveLength(1);
  expect(trial.state.x).toBeCloseTo(20, 1);
  trial.go(go(0, -16), 240);
  expect(trial.state.x).toBeGreaterThan(24);
});
