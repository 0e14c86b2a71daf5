import fc from 'fast-check';
import { mapVec3 } from '../../geometry';
import { SpatialHash } from './spatialHash';

const coordinate = fc.integer({ min: -300, max: 300 }).map((n) => n / 3);
const boxed = fc
  .tuple(fc.tuple(coordinate, coordinate, coordinate), fc.tuple(coordinate, coordinate, coordinate))
  .map(([a, b]) => ({
    low: mapVec3((i) => Math.min(a[i], b[i])),
    high: mapVec3((i) => Math.max(a[i], b[i])),
  }));

test('every box that meets the one asked for is found, each once and in order', () => {
  fc.assert(
    fc.property(fc.array(boxed, { maxLength: 30 }), boxed, (list, query) => {
      const boxes = list.map((b, index) => ({ ...b, index }));
      const found = new SpatialHash(boxes).near(...query.low, ...query.high);
      const meeting = boxes.filter(({ low, high }) =>
        [0, 1, 2].every((i) => low[i] <= query.high[i] && high[i] >= query.low[i]),
      );
      return (
        meeting.every(({ index }) => found.includes(index)) &&
        found.every((index, i) => i === 0 || index > found[i - 1])
      );
    }),
    { numRuns: 300, seed: 12 },
  );
});
