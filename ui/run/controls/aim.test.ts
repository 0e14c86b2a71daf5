import fc from 'fast-check';
import { FULL_AIM } from '@/core/run';
import { drawnAim, pointedAim, strokeInput, turnedAim, type AimFrame } from './aim';

/** Looked at along -z. */
const MAP: AimFrame = { right: [1, 0, 0], ahead: [0, 0, -1], onStage: false };
const STAGE: AimFrame = { ...MAP, onStage: true };

test('a draw back to oneself strikes ahead, over the map', () => {
  const aim = drawnAim(0, 85, MAP);
  expect(aim.x).toBeCloseTo(0);
  expect(aim.z).toBeCloseTo(-1);
  expect(aim.strength).toBeCloseTo(0.5);
});

test('a stick points where it goes: as a draw the other way, as hard as it is pushed', () => {
  const part = fc.double({ min: -1, max: 1, noNaN: true });
  fc.assert(
    fc.property(part, part, fc.boolean(), (right, forward, onStage) => {
      const far = Math.hypot(right, forward);
      fc.pre(far > 0.05);
      const { x, z, strength } = pointedAim(right, forward, { ...MAP, onStage });
      expect(x).toBeCloseTo(right / far, 9);
      expect(z).toBeCloseTo(-forward / far, 9);
      expect(strength).toBeCloseTo(Math.min(1, far), 9);
    }),
  );
});

test('on the stage a draw down and left strikes up and right', () => {
  const { x, z } = drawnAim(-60, 60, STAGE);
  expect(x).toBeCloseTo(Math.SQRT1_2);
  expect(z).toBeCloseTo(-Math.SQRT1_2);
});

test('a stroke goes where the eye’s map says, however it is turned', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -Math.PI, max: Math.PI, noNaN: true }),
      fc.integer({ min: -400, max: 400 }),
      fc.integer({ min: -400, max: 400 }),
      (yaw, dx, dy) => {
        fc.pre(Math.hypot(dx, dy) > 1);
        const [c, s] = [Math.cos(yaw), Math.sin(yaw)];
        const frame = { right: [c, 0, s], ahead: [s, 0, -c], onStage: false };
        const { x, z, strength } = drawnAim(dx, dy, frame);
        // Opposite to the draw, as seen.
        expect((x * c + z * s) * dx).toBeLessThanOrEqual(1e-9);
        expect(Math.hypot(x, z)).toBeCloseTo(1);
        expect(strength).toBeLessThanOrEqual(1);
      },
    ),
  );
});

test('the first key aims where one looks, and a full turn comes back there', () => {
  const first = turnedAim(null, 0, 0, MAP);
  expect(first).toEqual({ x: 0, z: -1, strength: 0.5 });
  let aim = first;
  for (let i = 0; i < 90; i++) aim = turnedAim(aim, 4, 0, MAP);
  expect(aim.x).toBeCloseTo(first.x);
  expect(aim.z).toBeCloseTo(first.z);
  expect(turnedAim(null, 0, 0, STAGE)).toMatchObject({ x: 1, z: 0 });
});

test('keys make it no harder than the hardest and no weaker than can be seen', () => {
  expect(turnedAim({ x: 1, z: 0, strength: 0.98 }, 0, 0.05, MAP).strength).toBe(1);
  expect(turnedAim({ x: 1, z: 0, strength: 0.06 }, 0, -0.05, MAP).strength).toBe(0.05);
});

test('what is too weak to be meant strikes nothing', () => {
  expect(strokeInput(null)).toBeNull();
  expect(strokeInput({ x: 1, z: 0, strength: 0.03 })).toBeNull();
  expect(strokeInput({ x: 1, z: 0, strength: 1 })).toEqual({ x: FULL_AIM, z: 0, jump: true });
});
