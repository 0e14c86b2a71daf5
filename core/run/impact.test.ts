import type { PieceInHand } from '../edit';
import type { PieceMotion, RunnerKind } from '../course';
import { loadPhysics, NO_INPUT, type Input } from '.';
import { after, bounceOf, field, KINDS, PHASES, STONES, wall } from './impact.testing';
import { Trial } from './testing';

// One law of impact: relative to the surface that is met where it is met, with the bounce of the runner, whichever of
// the two closed the gap, and wherever within a tick.

const spread = (list: readonly number[]): number => Math.max(...list) - Math.min(...list);

describe.each(KINDS)('a %s', (kind) => {
  const e = bounceOf(kind);
  // Within the tick its own legs have slowed a hopper by this, m/s.
  const legs = kind === 'hopper' ? 24 / 120 : 0;

  test.each([4, 10, 20])('that stands is thrown on by a wall that comes at %d m/s', (speed) => {
    const course = field(
      kind,
      wall({ kind: 'path', points: [[40, 0, 0]], speed, ease: 'even', after: 'once' }),
    );
    const given = PHASES.map((part) => after(course, (part * speed) / 120));
    // A cart's wheels hold a little.
    const closed = (1 + e) * speed - legs;
    for (const v of given) expect(Math.abs(v / closed - 1)).toBeLessThan(0.012);
    expect(spread(given)).toBeLessThan(0.01 * closed);
  });

  test('that goes at 6 m/s against a wall that comes at 4 m/s is thrown back alike from everywhere', () => {
    if (kind === 'hopper') return;
    const course = field(
      kind,
      wall(
        { kind: 'path', points: [[-40, 0, 0]], speed: 4, ease: 'even', after: 'once' },
        { at: [12, 0.02, 0] },
      ),
    );
    const given = PHASES.map((part) => after(course, (part * 10) / 120, 6));
    // What it has rolled and what its wheels held has cost it little.
    const own = kind === 'cart' ? 6 - 0.35 * 1.0 : 6;
    const closed = -4 - e * (own + 4);
    for (const v of given) expect(Math.abs(v / closed - 1)).toBeLessThan(0.02);
    expect(spread(given)).toBeLessThan(0.01 * Math.abs(closed));
  });
});

test.each(KINDS)(
  'a %s that stands is given speed by what is loose and runs into it',
  async (kind) => {
    const cask: PieceInHand = {
      ...{
        family: 'block',
        at: [-4, 0.02, 0],
        size: [1, 0.7, 1],
        loose: true,
        look: { material: 'slate' },
      },
    };
    const ram = wall(
      { kind: 'path', points: [[5, 0, 0]], speed: 8, ease: 'even', after: 'once' },
      { at: [-6.6, 0.02, 0] },
    );
    const course = field(kind, cask, ram);
    await loadPhysics(course);
    let most = 0;
    new Trial(course).go(NO_INPUT, 240, ({ vx }) => {
      most = Math.max(most, vx);
      return false;
    });
    expect(most).toBeGreaterThan(2);
  },
);

test('a wall that stops leaves what it threw its speed', () => {
  const stops: PieceMotion = {
    kind: 'path',
    points: [[6.2, 0, 0]],
    speed: 8,
    ease: 'even',
    after: 'once',
  };
  for (const kind of ['roller', 'flick'] as const) {
    const trial = new Trial(field(kind, wall(stops))).go(NO_INPUT, 300);
    expect(trial.state.vx).toBeCloseTo((1 + bounceOf(kind)) * 8, 1);
  }
});

test('a cart that glances off a wall loses what goes into it and goes along it', () => {
  // A wall on the left, at an angle to the way.
  const along = (degrees: number, steer: number, ticks: number) => {
    const course = field('cart', {
      ...{ family: 'slab', at: [40, 0.02, -2], size: [160, 3, 1], turn: [0, -degrees, 0] as const },
    } as PieceInHand);
    const trial = new Trial(course).go(NO_INPUT, 2);
    const drive: Input = { x: steer, z: -16, jump: false };
    Object.assign(trial.state, { vx: 14, x: 40 - 24, z: 6 });
    let least = Infinity;
    trial.go(drive, ticks, ({ vx, vz }) => {
      least = Math.min(least, Math.hypot(vx, vz));
      return false;
    });
    return { least, last: Math.hypot(trial.state.vx, trial.state.vz) };
  };
  const glanced = along(10, 0, 400);
  // cos 10° of it is left, less what the wall holds.
  expect(glanced.least).toBeGreaterThan(12.8);
  expect(glanced.last).toBeGreaterThan(13.5);
  // Steered against the wall all the way it scrapes along it.
  const scraped = along(10, -1, 400);
  expect(scraped.least).toBeGreaterThan(9.5);
  expect(scraped.last).toBeGreaterThan(13);
});

const thrower = (change: Partial<PieceInHand> = {}): PieceInHand => ({
  ...{
    family: 'slab',
    at: [4, 0.02, 0],
    size: [1, 2, 6],
    role: 'hazard',
    hurt: { does: 'push', force: 9 },
  },
  ...change,
});

test.each(KINDS)('a %s is thrown off a hazard once, square to it, at the speed set', (kind) => {
  const drive: Input =
    kind === 'cart' ? { x: 0, z: -16, jump: false } : { x: 16, z: 0, jump: false };
  for (const force of [1, 9]) {
    const trial = new Trial(field(kind, thrower({ hurt: { does: 'push', force } }))).go(
      NO_INPUT,
      10,
    );
    if (kind === 'flick') trial.state.vx = 8;
    trial.go(kind === 'flick' ? NO_INPUT : drive, 400, () => trial.happened('hazard').length > 0);
    expect(trial.state.vx).toBeCloseTo(-force, 1);
    expect(Math.abs(trial.state.vz)).toBeLessThan(0.01);
    trial.go(NO_INPUT, 60);
    expect(trial.happened('hazard')).toHaveLength(1);
  }
});

test('from the right it is thrown to the right, slow or fast, and by what swings as fast as that goes besides', () => {
  for (const own of [-0.3, -6]) {
    const trial = new Trial(field('roller', thrower())).go(NO_INPUT, 10);
    Object.assign(trial.state, { x: 4.9, vx: own });
    trial.go(NO_INPUT, 60);
    const all = trial.happened('hazard');
    expect(all).toHaveLength(1);
    expect(trial.state.vx).toBeGreaterThan(8);
  }
  const comes: PieceMotion = {
    kind: 'path',
    points: [[40, 0, 0]],
    speed: 5,
    ease: 'even',
    after: 'once',
  };
  const met = new Trial(field('roller', thrower({ at: [-6, 0.02, 0], motion: [comes] })));
  met.go(NO_INPUT, 300, () => met.happened('hazard').length > 0);
  expect(met.state.vx).toBeCloseTo(14, 1);
  met.go(NO_INPUT, 100);
  expect(met.happened('hazard')).toHaveLength(1);
});

test('two hazards that lie flush throw once, and one that is run into after another throws too', () => {
  const flush = new Trial(
    field('roller', thrower({ at: [4, 0.02, -3] }), thrower({ at: [4, 0.02, 3] })),
  );
  flush.go(NO_INPUT, 10).state.vx = 8;
  flush.go(NO_INPUT, 150);
  expect(flush.happened('hazard')).toHaveLength(1);
  const between = new Trial(field('roller', thrower(), thrower({ at: [2.2, 0.02, 0] })));
  between.go(NO_INPUT, 10);
  Object.assign(between.state, { x: 3.1, vx: 4 });
  between.go(NO_INPUT, 40);
  expect(between.happened('hazard').length).toBeGreaterThan(1);
});

test.each(KINDS)(
  'a stone thrown at a %s throws it off once, along its way and at the speed set besides',
  (kind) => {
    const course = field(kind, STONES);
    const trial = new Trial(course);
    trial.go(NO_INPUT, 600, () => trial.happened('hazard').length > 0);
    expect(trial.happened('hazard')).toHaveLength(1);
    expect(trial.state.vx).toBeGreaterThan(8);
    trial.go(NO_INPUT, 30);
    expect(trial.happened('hazard')).toHaveLength(1);
  },
);

test.each<RunnerKind>(['roller', 'cart', 'flick'])(
  'a %s in the air flies as a thrown stone does',
  (kind) => {
    const trial = new Trial(field(kind)).go(NO_INPUT, 2);
    const { state: s } = trial;
    Object.assign(s, { y: 5, vx: 3, vy: 8, ground: -1, air: 30 });
    const [x, y] = [s.x, s.y];
    for (let i = 1; i <= 90; i++) {
      trial.go(NO_INPUT, 1);
      const t = i / 120;
      expect(s.x - x).toBeCloseTo(3 * t, 6);
      expect(s.y - y).toBeCloseTo(8 * t - 11 * t * t, 6);
    }
  },
);
