import { emptyCourse, MOST_PATCHES, toCourse, type Course } from '../../course';
import { faceNormal, signedArea, type Vec2 } from '../../geometry';
import { fromShareCode, toShareCode } from '../../formats';
import { courseHash } from '../../run';
import { layPieces, paintedFaces, paintGround } from '..';

const yard = layPieces(emptyCourse('Trial', 'free'), [
  { family: 'slab', at: [0, 0, 0], size: [10, 0.4, 10] },
  { family: 'slab', at: [20, 3, 0], size: [4, 0.4, 4] },
  { family: 'crate', at: [0, 0.4, 8], motion: [{ kind: 'bob', height: 1, period: 2 }] },
]);
const moss = { material: 'moss' } as const;
const area = (course: Course) =>
  paintedFaces(course).reduce(
    (sum, { points }) => sum + Math.abs(signedArea(points.map(([x, , z]): Vec2 => [x, z]))) / 2,
    0,
  );

test('paint lies just above the top it was put on, and looks up', () => {
  const painted = paintGround(yard, [1, 0.4, 1], 2, moss);
  const faces = paintedFaces(painted);
  expect(faces).toHaveLength(1);
  for (const [, y] of faces[0].points) expect(y).toBeCloseTo(0.406, 3);
  const { points } = faces[0];
  expect(
    faceNormal(
      { points, faces: [] },
      points.map((_, i) => i),
    )[1],
  ).toBeCloseTo(1, 6);
  // About as much as a circle of that reach.
  expect(area(painted)).toBeGreaterThan(0.75 * Math.PI * 4);
  expect(area(painted)).toBeLessThan(Math.PI * 4);
});

test('it is cut at the edge of the ground, and reaches nothing above, below or moving', () => {
  const inside = area(paintGround(yard, [0, 0.4, 0], 2, moss));
  const edge = area(paintGround(yard, [5, 0.4, 0], 2, moss));
  expect(edge / inside).toBeCloseTo(0.5, 1);
  expect(area(paintGround(yard, [20, 0.4, 0], 2, moss))).toBe(0);
  expect(area(paintGround(yard, [20, 3.4, 0], 1, moss))).toBeGreaterThan(2);
  expect(paintedFaces(paintGround(yard, [0, 1, 8], 0.4, moss))).toEqual([]);
});

test('on a slope it lies along the slope', () => {
  const ramp = layPieces(emptyCourse('Trial', 'free'), [
    { family: 'ramp', at: [0, 0, 0], size: [8, 2, 6] },
  ]);
  const [face] = paintedFaces(paintGround(ramp, [0, 1, 0], 1, moss));
  expect(face.normal[1]).toBeLessThan(0.99);
  const heights = face.points.map(([, y]) => y);
  expect(Math.max(...heights) - Math.min(...heights)).toBeGreaterThan(0.3);
});

test('a stroke that rests adds nothing, one that covers takes the place of what it covers', () => {
  const once = paintGround(yard, [0, 0.4, 0], 1, moss);
  expect(paintGround(once, [0.2, 0.4, 0], 1, moss)).toBe(once);
  const other = paintGround(once, [0.2, 0.4, 0], 1, { colour: '#C8553D' });
  expect(other.ground).toHaveLength(2);
  expect(paintGround(other, [0, 0.4, 0], 3, moss).ground).toHaveLength(1);
  expect(paintGround(other, [0, 0.4, 0], 1, 'own').ground).toBeUndefined();
  expect(paintGround(yard, [0, 0.4, 0], 1, 'own')).toBe(yard);
});

test('a ground takes so many and no more, and is kept in files and codes; no run feels it', () => {
  const full = {
    ...yard,
    ground: Array.from({ length: MOST_PATCHES }, (_, i) => ({
      at: [i * 3, 0, 0] as [number, number, number],
      reach: 1,
      tone: 'moss' as const,
    })),
  };
  expect(() => paintGround(full, [0, 9, 0], 1, moss)).toThrow('wipe');
  expect(paintedFaces(full).length).toBeGreaterThan(0);
  const painted = paintGround(yard, [1, 0.4, 1], 2, { colour: '#C8553D' });
  expect(toCourse(JSON.parse(JSON.stringify(painted)))).toEqual(painted);
  expect(fromShareCode(toShareCode(painted))).toEqual(painted);
  expect(courseHash(painted)).toBe(courseHash(yard));
});
