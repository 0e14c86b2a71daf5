import { movePieces, onWorkPlane } from '@/core/edit';
import { emptyCourse, type Piece } from '@/core/course';
import { chunkPieces } from './chunks';
import { pixelOf, rayAt } from './view';

const pieces = (count: number): Piece[] =>
  Array.from({ length: count }, (_, i) => ({
    id: `p${i}`,
    family: 'slab',
    at: [(i % 100) * 2, 0, Math.floor(i / 100) * 3],
  }));

test('2,000 pieces are drawn in few groups, and an edit touches only the groups concerned', () => {
  const many = pieces(2000);
  const before = chunkPieces(many, new Map());
  // Two draw calls a group leave room for the rest within sixty.
  expect(before.size).toBeLessThanOrEqual(20);
  expect([...before.values()].flat()).toHaveLength(2000);
  const moved = movePieces(
    { ...emptyCourse('x'), pieces: many },
    new Set(['p512']),
    [0, 1, 0],
  ).pieces;
  const after = chunkPieces(moved, before);
  const renewed = [...after].filter(([key, group]) => before.get(key) !== group);
  expect(renewed).toHaveLength(1);
});

test('a pixel and the place seen at it belong together', () => {
  const view = {
    target: [3, 1, 0] as const,
    distance: 20,
    yaw: 25,
    pitch: 30,
    width: 390,
    height: 600,
  };
  const place = [4, 0.5, -2] as const;
  const [x, y] = pixelOf(view, place)!;
  const back = onWorkPlane(rayAt(view, x, y), { axis: 'y', value: 0.5 })!;
  back.forEach((v, i) => expect(v).toBeCloseTo(place[i], 9));
});
