import { lowTideSteps } from '@/demo/courses/lowTideSteps';
import { cameraOf, lookAt } from '.';

const { course } = lowTideSteps;

test('cameras look from where they say at the runner', () => {
  const runner = { x: 4, y: 1, z: -2, heading: 90 };
  const behind = lookAt(cameraOf({ space: 'free', runner: { kind: 'cart' } }, false), runner, 5);
  expect(behind.yaw).toBeCloseTo(0, 9);
  expect(behind.target[2]).toBeLessThan(-2);
  const side = lookAt(cameraOf({ ...course, camera: undefined }, true), runner, 10);
  expect([side.yaw, side.target[2]]).toEqual([0, -2]);
  expect(side.target[0]).toBeGreaterThan(4);
  const fixed = cameraOf({ ...course, camera: { kind: 'fixed', at: [4, 1.9, 8] } }, false);
  const look = lookAt(fixed, runner, 5);
  expect(look.distance).toBeCloseTo(10, 6);
  expect(look.yaw).toBeCloseTo(0, 6);
  expect(look.pitch).toBeCloseTo(0, 6);
});
