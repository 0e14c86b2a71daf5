import type { PieceMotion } from '../course';
import { NO_INPUT } from '.';
import { after, field, KINDS, PHASES, wall } from './impact.testing';
import { Trial } from './testing';

describe.each(KINDS)('a %s against a piece that says its bounce', (kind) => {
  const comes: PieceMotion = {
    ...{ kind: 'path', points: [[40, 0, 0]], speed: 10, ease: 'even', after: 'once' },
  };
  const legs = kind === 'hopper' ? 24 / 120 : 0;

  test.each([0, 0.4, 0.9])(
    'is given %f of it back, by what stands and by what comes alike',
    (bounce) => {
      const moving = field(kind, wall(comes, { surface: { bounce } }));
      const given = PHASES.map((part) => after(moving, (part * 10) / 120));
      for (const v of given)
        expect(Math.abs(v / ((1 + bounce) * 10 - legs) - 1)).toBeLessThan(0.012);
      const still = field(kind, {
        ...{ family: 'slab', at: [4, 0.02, 0], size: [1, 3, 6], surface: { bounce } },
      });
      const trial = new Trial(still).go(NO_INPUT, 1);
      Object.assign(trial.state, { x: 0, vx: 12 });
      let before = 12;
      trial.go(NO_INPUT, 200, ({ vx }) => {
        if (vx < before - 1) return true;
        before = vx;
        return false;
      });
      expect(Math.abs(trial.state.vx + bounce * before)).toBeLessThan(0.3 + 0.01 * before);
    },
  );

  test('comes back from a floor as high as its bounce says, and comes to rest', () => {
    const course = field(kind, {
      ...{ family: 'slab', at: [0, 0, 0], size: [8, 0.5, 8], surface: { bounce: 0.8 } },
    });
    const trial = new Trial(course);
    const { state: s } = trial;
    Object.assign(s, { x: 0, y: 3.5, z: 0, ground: -1, air: 30 });
    const tops: number[] = [];
    let [last, rising] = [s.vy, false];
    for (let i = 0; i < 1800; i++) {
      trial.go(NO_INPUT, 1);
      if (rising && s.vy <= 0) tops.push(s.y - 0.5);
      [last, rising] = [s.vy, s.vy > 0];
    }
    expect(last).toBeCloseTo(0, 6);
    // From a height of 3 m: the square of what is given back of the speed, each time.
    expect(Math.abs(tops[0] / (3 * 0.64) - 1)).toBeLessThan(0.02);
    expect(Math.abs(tops[1] / (3 * 0.64 * 0.64) - 1)).toBeLessThan(0.03);
    expect(s.ground).toBeGreaterThanOrEqual(0);
  });
});
