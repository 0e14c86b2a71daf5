import type { PieceMotion } from '../course';
import type { PieceInHand } from '../edit';
import { sub } from '../geometry';
import { massOf } from '../pieces';
import { loadPhysics, NO_INPUT, RUNNER_SPECS } from '.';
import {
  after,
  bounceOf,
  carriedTo,
  field,
  KINDS,
  metBy,
  PHASES,
  STONES,
  wall,
} from './impact.testing';
import { Trial } from './testing';

// The law of impact against every kind of mover, from every phase of a tick.

const spread = (list: readonly number[]): number => Math.max(...list) - Math.min(...list);

/** A mover, the tick about which it comes along x, and the piece it carries where that is no plain wall. */
type Comes = readonly [motion: PieceMotion, met: number, piece?: Partial<PieceInHand>];
const BEAM: Partial<PieceInHand> = { at: [0, 0.1, 0], size: [0.4, 4.9, 6] };
const ARM: Partial<PieceInHand> = { at: [0, 0.02, 3], size: [0.4, 2, 8] };
const hangs = (ease: 'smooth' | 'even'): PieceMotion => ({
  ...{ kind: 'swing', axis: 'z', angle: 60, pivot: [0, 4.9, 0], period: 4 },
  ease,
});
const COMES: Record<string, Comes> = {
  'goes a path': [
    { kind: 'path', points: [[20, 0, 0]], speed: 5, ease: 'even', after: 'once' },
    240,
  ],
  'goes through poses': [
    {
      ...{ kind: 'poses', after: 'once' },
      poses: [{ at: [8, 0, 0], turn: [0, 0, 0], time: 2, ease: 'even' }],
    },
    120,
  ],
  'swings as a pendulum': [hangs('smooth'), 480, BEAM],
  'swings evenly': [hangs('even'), 480, BEAM],
  spins: [{ kind: 'spin', axis: 'y', period: 3, reverse: true }, 360, ARM],
  'circles level': [{ kind: 'circle', axis: 'y', radius: 4, period: 4 }, 360],
  'circles upright': [{ kind: 'circle', axis: 'z', radius: 4, period: 4, reverse: true }, 360],
  'hops along': [{ kind: 'hop', height: 1, along: 8, period: 2 }, 120],
};

describe.each(KINDS)('a %s', (kind) => {
  const e = bounceOf(kind);
  // Within the tick its own legs have slowed a hopper by this, m/s.
  const legs = kind === 'hopper' ? 24 / 120 : 0;

  test.each(Object.entries(COMES))('is thrown on by what %s', (_, [motion, met, piece]) => {
    const laid = wall(motion, { at: [0, 0.02, 0], size: [1, 6, 6], ...piece });
    // Moved so that it comes by where the runner stands.
    const aside = sub(carriedTo(field(kind, laid), laid.at, met), laid.at);
    const [x, y, z] = laid.at;
    const course = field(kind, { ...laid, at: [x, y - aside[1], z - aside[2]] });
    const given = PHASES.map((part) => {
      const found = metBy(course, x + laid.size![0] / 2, met + part);
      const closed = (1 + e) * found.came - legs;
      expect(closed).toBeGreaterThan(3);
      return found.given / closed;
    });
    for (const part of given) expect(Math.abs(part - 1)).toBeLessThan(0.012);
    expect(spread(given)).toBeLessThan(0.01);
  });

  test.each<[string, PieceMotion]>([
    ['chases', { kind: 'chase', range: 30, speed: 5 }],
    ['drifts', { kind: 'drift', velocity: [5, 0, 0] }],
  ])('is thrown on by what %s', (_, motion) => {
    const course = field(kind, wall(motion));
    const closed = (1 + e) * 5 - legs;
    const given = PHASES.map((part) => after(course, (part * 5) / 120) / closed);
    for (const part of given) expect(Math.abs(part - 1)).toBeLessThan(0.012);
    expect(spread(given)).toBeLessThan(0.01);
  });

  test('is thrown off by what is thrown, at the speed set as seen from there', () => {
    const given = PHASES.map((part) => {
      const course = field(kind, STONES);
      const trial = new Trial(course).go(NO_INPUT, 1);
      trial.state.x = (part * 9) / 120;
      trial.go(NO_INPUT, 600, () => trial.happened('hazard').length > 0);
      return trial.state.vx;
    });
    // Thrown at 9 m/s, and off it at the usual 8; rolling has taken less than 1 % of it.
    for (const v of given) {
      expect(v / 17).toBeGreaterThan(0.99);
      expect(v / 17).toBeLessThan(1.0001);
    }
    expect(spread(given)).toBeLessThan(0.01 * 17);
  });

  test('and what is loose leave each other the momentum there was', async () => {
    if (kind === 'hopper') return;
    // As high as the runner, so that it is met at the height of its middle and does not tip.
    const high = 2 * RUNNER_SPECS[kind].compile({}).body.radius;
    const course = field(kind, {
      ...{ family: 'block', at: [4, 0, 0], size: [1, high, 1], loose: true },
      ...{ look: { material: 'timber' } },
    });
    await loadPhysics(course);
    const mass = massOf(
      course,
      course.pieces.find(({ loose }) => loose)!,
    );
    const given = PHASES.map((part) => {
      const trial = new Trial(course).go(NO_INPUT, 2);
      const { state: s, world } = trial;
      Object.assign(s, { x: 2.4 + (part * 8) / 120, vx: 8 });
      let before = 8;
      for (let i = 0; i < 120 && s.vx > before - 0.5; i++) {
        before = s.vx;
        trial.go(NO_INPUT, 1);
      }
      const own = world.runner.mass;
      return (before - s.vx) / ((before * (1 + e) * mass) / (own + mass));
    });
    for (const part of given) expect(Math.abs(part - 1)).toBeLessThan(0.001);
    expect(spread(given)).toBeLessThan(0.001);
  });
});
