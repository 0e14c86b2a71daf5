import type { PieceInHand } from '../edit';
import type { PieceMotion, RunnerKind } from '../course';
import { loadPhysics, NO_INPUT, RUNNER_SPECS, type Input } from '.';
import { massOf } from '../pieces';
import { after, bounceOf, field, KINDS, PHASES, wall } from './impact.testing';
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

  test('is thrown by what spins, swings, circles, poses, drifts and chases as fast as that goes where it touches', () => {
    const period = 3;
    const arm = (motion: PieceMotion, at: PieceInHand['at'], size: PieceInHand['size']) =>
      field(kind, { family: 'slab', at, size, motion: [motion] });
    // An arm that spins about its middle meets the runner about 3 m out, square to the arm: its speed there is by how
    // far along the arm the ball touches it.
    const spin = arm({ kind: 'spin', axis: 'y', period }, [0, 0.02, 3], [0.4, 2, 8]);
    const spun = PHASES.map((part) => {
      const trial = new Trial(spin).go(NO_INPUT, 1);
      Object.assign(trial.state, { x: 1.5 + part * 0.05, z: 0 });
      trial.go(NO_INPUT, 600, (s) => Math.hypot(s.vx, s.vz) > 1);
      const { state: s, world } = trial;
      const beside = 0.2 + world.bodies[0].radius;
      const along = Math.sqrt(s.x * s.x + (s.z - 3) ** 2 - beside * beside);
      return Math.hypot(s.vx, s.vz) / ((1 + e) * ((2 * Math.PI) / period) * along - legs);
    });
    // Where it touches is known to the way made within a tick.
    for (const part of spun) expect(Math.abs(part - 1)).toBeLessThan(0.03);
    const chased = field(kind, wall({ kind: 'chase', range: 30, speed: 5 }));
    expect(after(chased, 0.01)).toBeGreaterThan((1 + e) * 5 * 0.97 - legs);
    const drifted = field(kind, wall({ kind: 'drift', velocity: [5, 0, 0] }));
    expect(Math.abs(after(drifted, 0.01) / ((1 + e) * 5 - legs) - 1)).toBeLessThan(0.012);
    // Once a quarter round its middle at the origin, it comes by at 4 m off that, along x.
    const circled = field(
      kind,
      wall(
        { kind: 'circle', axis: 'y', radius: 4, period: 4 },
        { at: [4, 0.02, 0], size: [1, 3, 1.5] },
      ),
    );
    const trial = new Trial(circled).go(NO_INPUT, 1);
    Object.assign(trial.state, { x: -1.2, z: -4 });
    trial.go(NO_INPUT, 300, ({ vx, vz }) => Math.hypot(vx, vz) > 1);
    expect(
      Math.abs(Math.hypot(trial.state.vx, trial.state.vz) / ((1 + e) * 2 * Math.PI - legs) - 1),
    ).toBeLessThan(0.12);
  });

  test('and what is loose leave each other the momentum there was', async () => {
    if (kind === 'hopper') return;
    // As high as the runner, so that it is met at the height of its middle and does not tip.
    const high = 2 * RUNNER_SPECS[kind].compile({}).body.radius;
    const block: PieceInHand = {
      ...{
        family: 'block',
        at: [4, 0, 0],
        size: [1, high, 1],
        loose: true,
        look: { material: 'timber' },
      },
    };
    const course = field(kind, block);
    await loadPhysics(course);
    const trial = new Trial(course).go(NO_INPUT, 2);
    const { state: s, world } = trial;
    s.vx = 8;
    let before = 8;
    for (let i = 0; i < 120 && s.vx > before - 0.5; i++) {
      before = s.vx;
      trial.go(NO_INPUT, 1);
    }
    const own = world.runner.mass;
    const mass = massOf(
      course,
      course.pieces.find(({ loose }) => loose)!,
    );
    const closed = (before * (own - e * mass)) / (own + mass);
    // The floor, and a cart's own wheels, take a little of it within the tick.
    expect(Math.abs(s.vx - closed)).toBeLessThan(0.3);
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
    const course = field(kind, {
      ...{ family: 'block', at: [-8, 0, 0], size: [1, 1, 1] },
      thrower: {
        what: 'boulder',
        does: 'push',
        speed: 9,
        interval: 2,
        size: 0.8,
        life: 1.8,
        rise: 0,
      },
    } as PieceInHand);
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

test.each(KINDS)(
  'a %s is thrown by a swing and by poses as fast as they go where they touch',
  (kind) => {
    const e = bounceOf(kind);
    const legs = kind === 'hopper' ? 24 / 120 : 0;
    // From 2.4 m to the left in two seconds, evenly, 8 m to the right of it: 4 m/s.
    const posed = field(
      kind,
      wall(
        {
          ...{ kind: 'poses', after: 'once' },
          poses: [{ at: [8, 0, 0], turn: [0, 0, 0], time: 2, ease: 'even' }],
        },
        { at: [-2.4, 0.02, 0] },
      ),
    );
    for (const part of PHASES) {
      const closed = (1 + e) * 4 - legs;
      expect(Math.abs(after(posed, (part * 4) / 120) / closed - 1)).toBeLessThan(0.012);
    }
    // A beam that hangs from 5 m up and swings by 60° to each side in 4 s, met at its lowest.
    const angle = Math.PI / 3;
    const swung = field(kind, {
      ...{ family: 'slab', at: [0, 0.1, 0], size: [0.4, 4.9, 6] },
      motion: [
        { kind: 'swing', axis: 'z', angle: 60, pivot: [0, 4.9, 0], period: 4, ease: 'smooth' },
      ],
    });
    const trial = new Trial(swung);
    trial.go(NO_INPUT, 1);
    const { state: s, world } = trial;
    const { radius, half } = world.bodies[0];
    // Beside the beam where it hangs straight, and away from it until it comes by.
    const arm = 5 - radius - half - 0.001;
    let most = 0;
    for (let from = 0; from < 480 && most < 1; from++) {
      Object.assign(s, { x: 0.2 + radius + 0.02, z: 0, vx: 0, vz: 0 });
      trial.go(NO_INPUT, 1);
      most = Math.abs(s.vx);
    }
    // How fast a swing goes at its middle: the angle, eased, by the length of the arm.
    const fastest = ((2 * Math.PI) / 4) * angle;
    const met = most / (1 + e);
    expect(met).toBeGreaterThan(0.5 * fastest * arm);
    expect(met).toBeLessThan(1.02 * fastest * arm);
  },
);
