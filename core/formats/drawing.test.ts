import { layPieces } from '../assemble';
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

test('a course with nothing in it still has a picture', () => {
  expect(toSvg(drawCourse(emptyCourse('Empty')), 100, 50, 4, 0)).toContain('<svg');
});
