import fc from 'fast-check';
import { emptyCourse } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { pixelOf } from '../../scene';
import { FRAME_SHAPES, insetFrame, playersEye, type FrameShape } from './playersEye';

jest.mock('../../scene', () => ({
  ...jest.requireActual('../../scene/view'),
}));

const way: Vec3[] = [
  [0, 0, 0],
  [20, 2, 0],
  [20, 2, 30],
];
const shapes = Object.keys(FRAME_SHAPES) as FrameShape[];

test.each(['side-on', 'free'] as const)(
  'players have the runner in their frame all along, %s',
  (space) => {
    const course = emptyCourse('Eye', space);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.constantFrom(...shapes),
        (at, shape) => {
          const seen = playersEye(course, way, at, shape)!;
          const height = 500;
          const width = height * FRAME_SHAPES[shape];
          const [x, y] = pixelOf({ ...seen.look, width, height }, seen.runner)!;
          expect(x).toBeGreaterThan(0);
          expect(x).toBeLessThan(width);
          expect(y).toBeGreaterThan(0);
          expect(y).toBeLessThan(height);
        },
      ),
    );
  },
);

test('it begins at the start of the way and ends at its end', () => {
  const course = emptyCourse('Eye', 'free');
  expect(playersEye(course, way, 0, 'phone')!.runner).toEqual(way[0]);
  expect(playersEye(course, way, 1, 'phone')!.runner).toEqual(way[2]);
  expect(playersEye(course, [], 0.5, 'phone')).toBeNull();
});

test('its small picture stays within any canvas', () => {
  for (const shape of shapes) {
    for (const height of [120, 320, 900]) {
      const frame = insetFrame(shape, height);
      expect(frame.height).toBeLessThan(height);
      expect(frame.width / frame.height).toBeCloseTo(FRAME_SHAPES[shape], 1);
    }
  }
});
