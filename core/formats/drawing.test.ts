import { layPieces } from '../edit';
import { emptyCourse } from '../course';
import { FAMILIES } from '../pieces';
import { drawCourse, drawPiece, toSvg } from '.';

test('every family has a picture within its frame, of as many polygons as faces are seen', () => {
  for (const { id } of FAMILIES) {
    const drawing = drawPiece({ family: id });
    const corners = drawing.faces.flatMap(({ points }) => points);
    expect(drawing.faces.length).toBeGreaterThan(2);
    expect(Math.min(...corners.map(([x]) => x))).toBeCloseTo(0, 9);
    expect(Math.max(...corners.map(([, y]) => y))).toBeCloseTo(drawing.height, 9);
    const svg = toSvg(drawing, 60, 40, 3, 1);
    expect(svg.match(/<polygon/g)).toHaveLength(drawing.faces.length);
    const xs = [...svg.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].flatMap(([, x, y]) => [
      Number(x) / 60,
      Number(y) / 40,
    ]);
    expect(Math.min(...xs)).toBeGreaterThan(0);
    expect(Math.max(...xs)).toBeLessThan(1);
  }
});

test('of a box three faces are seen, and what is nearer is drawn later', () => {
  expect(drawPiece({ family: 'ramp' }).faces.length).toBeLessThanOrEqual(4);
  const course = layPieces(emptyCourse('Two', 'free'), [
    { family: 'ramp', at: [0, 0, 3], look: { material: 'moss' } },
    { family: 'ramp', at: [0, 0, -3] },
  ]);
  const { faces } = drawCourse(course);
  const green = (fill: string) => parseInt(fill.slice(3, 5), 16) > parseInt(fill.slice(1, 3), 16);
  const order = faces.map(({ fill }) => green(fill));
  expect(order.lastIndexOf(false)).toBeLessThan(order.indexOf(true));
});

test('of a course that spreads all is in the picture, however far off it lies', () => {
  const wide = (x: number) =>
    drawCourse(
      layPieces(emptyCourse('Wide', 'free'), [
        { family: 'start', at: [0, 0, 0] },
        { family: 'ramp', at: [x, 0, 0] },
      ]),
    );
  expect(wide(400).faces).toHaveLength(wide(20).faces.length);
  expect(wide(400).width).toBeGreaterThan(300);
});

test('a course with nothing in it still has a picture', () => {
  expect(toSvg(drawCourse(emptyCourse('Empty')), 100, 50, 4, 0)).toContain('<svg');
});

test('a picture that is taken shows what lies before its eye, larger with a narrower field', () => {
  const course = layPieces(emptyCourse('Taken', 'free'), [
    { family: 'block', at: [0, 0, 0] },
    { family: 'block', at: [0, 0, 60] },
  ]);
  const taken = (field?: number, look: [number, number, number] = [0, 0, 0]) =>
    drawCourse({ ...course, picture: { at: [0, 4, 20], look, ...(field ? { field } : {}) } });
  const spanOf = ({ faces }: ReturnType<typeof taken>) => {
    const xs = faces.flatMap(({ points }) => points.map(([x]) => x));
    return { low: Math.min(...xs), high: Math.max(...xs) };
  };
  const usual = spanOf(taken());
  const middle = taken().width / 2;
  // The block looked at is in the middle, the one behind the eye nowhere.
  expect((usual.low + usual.high) / 2).toBeCloseTo(middle, 6);
  expect(usual.high - usual.low).toBeLessThan(1);
  const near = spanOf(taken(16));
  const tan = (degrees: number) => Math.tan((degrees * Math.PI) / 360);
  expect((near.high - near.low) / (usual.high - usual.low)).toBeCloseTo(tan(32) / tan(16), 6);
  // Turned right round it shows the other one; turned aside, none.
  expect(taken(32, [0, 4, 40]).faces.length).toBeGreaterThan(0);
  expect(taken(32, [40, 4, 20]).faces).toHaveLength(0);
  expect(toSvg(taken(), 420, 132, 14, 0.4)).not.toContain('NaN');
});

test('what reaches past the eye is cut off before it, and a picture of nowhere is the usual one', () => {
  const course = layPieces(emptyCourse('Near', 'free'), [
    { family: 'slab', at: [0, -1, 0], size: [60, 1, 60] },
  ]);
  const { faces } = drawCourse({ ...course, picture: { at: [0, 2, 0], look: [10, 1, 0] } });
  expect(faces).toHaveLength(1);
  for (const [x, y] of faces[0].points) expect(Number.isFinite(x + y)).toBe(true);
  // It fills the lower half, up to where the slab ends against the sky.
  expect(Math.max(...faces[0].points.map(([, y]) => y))).toBeGreaterThan(1);
  expect(Math.min(...faces[0].points.map(([, y]) => y))).toBeGreaterThan(0.1);
  const nowhere = drawCourse({ ...course, picture: { at: [0, 2, 0], look: [0, 2, 0] } });
  expect(nowhere).toEqual(drawCourse(course));
});

test('of very many faces the largest are drawn, in the order they hide each other', () => {
  const course = layPieces(
    emptyCourse('Many', 'free'),
    Array.from({ length: 60 }, (_, i) => ({
      family: i % 2 ? 'slab' : 'cask',
      at: [3 * (i % 10), 0, 3 * Math.floor(i / 10)] as [number, number, number],
    })),
  );
  const drawing = drawCourse(course);
  expect(drawing.faces.length).toBeGreaterThan(300);
  const all = toSvg(drawing, 420, 132, 14, 0);
  const few = toSvg(drawing, 420, 132, 14, 0, 200);
  const polygons = (svg: string) => svg.match(/<polygon[^>]*>/g)!;
  expect(polygons(few).length).toBeLessThanOrEqual(200);
  expect(polygons(few).length).toBeGreaterThan(150);
  const order = polygons(few).map((one) => all.indexOf(one));
  expect(order.every((at, i) => at >= 0 && (i === 0 || at > order[i - 1]))).toBe(true);
  expect(toSvg(drawing, 420, 132, 14, 0, 1e6)).toBe(all);
});
