import fc from 'fast-check';
import type { Piece } from '@/core/course';
import { add, scale } from '@/core/geometry';
import { metresAPixel, pixelOf } from '../../../scene';
import { handlesOf } from './handles';

jest.mock('../../../scene', () => jest.requireActual('../../../scene/view'));

const block: Piece = { id: 'p1', family: 'ashlar', at: [0, 0, 0], size: [2, 1, 2] };
const view = (yaw: number, pitch: number, distance = 24) => ({
  ...{ target: [0, 0, 0] as const, width: 390, height: 500 },
  ...{ yaw, pitch, distance },
});
const movable = (yaw: number, pitch: number) =>
  handlesOf([block], 'move', false, view(yaw, pitch)).map(({ axis }) => axis);

test('from the side there is no arrow for depth, turned a little there is', () => {
  expect(movable(0, 9)).toEqual([0, 1]);
  expect(movable(180, 9)).toEqual([0, 1]);
  expect(movable(90, 9)).toEqual([1, 2]);
  expect(movable(0, 90)).toEqual([0, 2]);
  expect(movable(-32, 32)).toEqual([0, 1, 2]);
});

test('a law: an arrow moves a piece at most three times as far as the pointer goes', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -180, max: 180 }),
      fc.integer({ min: -89, max: 89 }),
      (yaw, pitch) => {
        const eye = view(yaw, pitch, 60);
        for (const { along, centre } of handlesOf([block], 'move', false, eye)) {
          const step = metresAPixel(eye, centre);
          const [a, b] = [-2, 2].map((k) => pixelOf(eye, add(centre, scale(along, k * step)))!);
          expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeGreaterThan(4 / 3);
        }
      },
    ),
    { numRuns: 300 },
  );
});
