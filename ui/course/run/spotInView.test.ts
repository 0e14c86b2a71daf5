import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import { spotInView } from './spotInView';

jest.mock('../../scene', () => jest.requireActual('../../scene/view'));

const course = layPieces(emptyCourse('Trial', 'free'), [
  { family: 'ashlar', at: [0, 0, 0], size: [4, 2, 4] },
  { family: 'slab', at: [10, -0.5, 0], size: [4, 0.5, 4] },
]);
/** Along x over both, then towards the viewer. */
const way: Vec3[] = [
  [-2, 2, 0],
  [10, 0, 0],
  [10, 0, 8],
];
const at = (target: Vec3) => ({
  ...{ target, distance: 30, yaw: 0, pitch: 50, width: 390, height: 500 },
});

test('it is on the ground under what is looked at, and faces along the way', () => {
  expect(spotInView(course, at([1, 9, 1]), way)).toEqual([1, 2, 1, 0]);
  // Towards +z the way turns right: 270 degrees about y.
  expect(spotInView(course, at([10, 3, 0.9]), way)?.[3]).toBe(270);
});

test('over the sea it is at the nearest place of the way in view, on its ground', () => {
  const spot = spotInView(course, at([6, 9, 3]), way)!;
  expect([spot[1] === 2 || spot[1] === 0, spot[2]]).toEqual([true, 0]);
  expect(spot[0] <= 2 || spot[0] >= 8).toBe(true);
});

test('where neither ground nor the way is in view it is nowhere', () => {
  expect(spotInView(course, at([300, 0, 300]), way)).toBeNull();
  expect(spotInView(course, at([30, 9, 1]), [])).toBeNull();
});

test('in a side-on course it is on the lane, however far in front of it one looks', () => {
  const sideOn = layPieces(emptyCourse('Lane'), [
    { family: 'ashlar', at: [0, 0, 3], size: [4, 2, 2] },
    { family: 'start', at: [0, 2, 3] },
  ]);
  expect(spotInView(sideOn, at([1, 9, 50]), [])).toEqual([1, 2, 3]);
});
