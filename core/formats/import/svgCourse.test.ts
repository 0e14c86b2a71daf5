import fc from 'fast-check';
import { toCourse } from '../../course';
import type { Vec2 } from '../../geometry';
import { outlineFault, worldParts } from '../../pieces';
import { looksLikeSvg, openText, toShareCode } from '..';
import { courseFromSvg } from '.';

const svg = (inside: string, about = '') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${about}>${inside}</svg>`;
const platforms = (text: string, span?: number) => courseFromSvg(text, 'Drawn', span).course.pieces;
/** A platform's corners over the map, m. */
const corners = (piece: ReturnType<typeof platforms>[number]) =>
  piece.outline!.points.map(({ at: [x, z] }): Vec2 => {
    const [wx, wz] = [piece.at[0] + x, piece.at[2] + z];
    return [Math.round(wx * 1e3) / 1e3 + 0, Math.round(wz * 1e3) / 1e3 + 0];
  });

test('what is drawn lies as it is drawn: right to the right, above behind, as wide as is told', () => {
  const [rect, tri] = platforms(
    svg('<rect x="10" y="20" width="80" height="40"/><path d="M100 20 l10 0 l0 10 z"/>'),
    100,
  );
  expect(corners(rect)).toEqual([
    [0, 0],
    [80, 0],
    [80, 40],
    [0, 40],
  ]);
  expect(corners(tri)).toEqual([
    [90, 0],
    [100, 0],
    [100, 10],
  ]);
  // Its top is what is run on.
  expect(rect.at[1] + rect.size![1]).toBeCloseTo(0, 6);
});

test('every way of drawing one square gives the same platform', () => {
  const ways = [
    '<rect x="0" y="0" width="10" height="10"/>',
    '<polygon points="0,0 10,0 10,10 0,10"/>',
    '<path d="M0 0H10V10H0Z"/>',
    '<path d="m0,0 10,0 0,10 -10,0z"/>',
    '<path d="M0 0 L10 0 L10 10 L0 10 L0 0"/>',
    '<g transform="translate(-5 -5)"><rect x="1" y="1" width="2" height="2" transform="scale(5)"/></g>',
  ];
  const [first, ...others] = ways.map((way) => platforms(svg(way), 10).map(corners));
  for (const other of others) expect(other).toEqual(first);
});

test('a circle is round, and what is drawn within it a hole', () => {
  const [disc, ...more] = platforms(
    svg('<circle cx="50" cy="50" r="50"/><circle cx="50" cy="50" r="20"/>'),
    10,
  );
  expect(more).toEqual([]);
  for (const [x, z] of corners(disc))
    expect(Math.sqrt((x - 5) ** 2 + (z - 5) ** 2)).toBeCloseTo(5, 1);
  expect(disc.outline!.holes).toHaveLength(1);
  // And an island in the hole is a platform again.
  const island =
    '<circle cx="50" cy="50" r="50"/><circle cx="50" cy="50" r="20"/><circle cx="50" cy="50" r="5"/>';
  expect(platforms(svg(island), 10)).toHaveLength(2);
});

test('whatever polygons are drawn, the course is one that is kept and shared', () => {
  const coordinate = fc.oneof(
    fc.integer({ min: -50, max: 50 }),
    fc.constantFrom(0.001, 9e3, 5e-324),
  );
  const polygon = fc.array(fc.tuple(coordinate, coordinate), { minLength: 3, maxLength: 30 });
  fc.assert(
    fc.property(fc.array(polygon, { minLength: 1, maxLength: 5 }), (polygons) => {
      const text = svg(polygons.map((p) => `<polygon points="${p.join(' ')}"/>`).join(''));
      let read;
      try {
        read = courseFromSvg(text, 'Drawn');
      } catch (error) {
        expect((error as Error).name).toBe('SvgError');
        return;
      }
      const course = toCourse(JSON.parse(JSON.stringify(read.course)));
      expect(openText(toShareCode(course)).pieces).toHaveLength(course.pieces.length);
      for (const piece of course.pieces) {
        expect(outlineFault(piece.outline!)).toBeNull();
        expect(worldParts(piece).length).toBeGreaterThan(0);
      }
      expect(course.pieces.length + read.left).toBeGreaterThan(0);
    }),
    { numRuns: 60 },
  );
});

test('what crosses itself is left out and told', () => {
  const bow = '<path d="M0 0 L10 10 L10 0 L0 10 Z"/>';
  const { course, left } = courseFromSvg(
    svg(`${bow}<rect width="10" height="10" x="20"/>`),
    'Drawn',
  );
  expect([course.pieces.length, left]).toEqual([1, 1]);
  expect(() => courseFromSvg(svg(bow), 'Drawn')).toThrow('crosses itself');
});

test('hostile drawings are refused in words, and nothing of them is run or fetched', () => {
  const bomb =
    '<!DOCTYPE svg [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;">]><svg><path d="M0 0h9v9z"/>&b;</svg>';
  const square = '<rect width="10" height="10"/>';
  const refused: [string, RegExp][] = [
    [bomb, /cannot be read/],
    [svg('<g>'.repeat(200) + '</g>'.repeat(200)), /nested/],
    [svg(square.repeat(3000)), /more than 2000 outlines/],
    [svg(`<path d="M0 0${'l1 1'.repeat(30_000)}z"/>`), /far too long/],
    [svg('<path d="M0 0 L1 1'), /cannot be read/],
    [svg(''), /no closed outline/],
    [svg('<path d="M0 0 L10 0 L10 10"/>'), /no closed outline/],
    [svg('<polygon points="1,1 1,1 1,1"/>'), /no closed outline|no size/],
    ['<html><svg/></html>', /no drawing/],
    [`<svg>${'x'.repeat(3 * 1024 * 1024)}</svg>`, /at most 2 MB/],
    ['', /cannot be read|no drawing/],
  ];
  for (const [text, words] of refused) expect(() => courseFromSvg(text, 'Drawn')).toThrow(words);
  const full = svg(
    `<script>throw 1</script><style>@import url(x)</style><image href="http://x/y.png"/>` +
      `<foreignObject><rect width="1" height="1"/></foreignObject><defs>${square}</defs>${square}`,
  );
  expect(platforms(full)).toHaveLength(1);
});

test('damaged drawings are read or refused, never more', () => {
  const whole = svg(
    '<g transform="rotate(30)"><path d="M0 0C1 2 3 4 10 0Q5 5 0 9zM1 1h2v2z"/></g>',
  );
  fc.assert(
    fc.property(fc.nat(whole.length), fc.string({ maxLength: 6 }), (at, junk) => {
      try {
        const { course } = courseFromSvg(whole.slice(0, at) + junk + whole.slice(at + 3), 'Drawn');
        for (const { at: place } of course.pieces) expect(place.every(Number.isFinite)).toBe(true);
      } catch (error) {
        expect((error as Error).name).toBe('SvgError');
      }
    }),
    { numRuns: 400 },
  );
});

test('a drawing is told from a code and a course file', () => {
  for (const text of [svg(''), `<?xml version="1.0"?>\n<!-- a --><svg/>`, `\uFEFF<svg></svg>`]) {
    expect(looksLikeSvg(text)).toBe(true);
  }
  for (const text of ['{"format":"stone-hop-course"}', 'SH1:abc', '<html></html>', '']) {
    expect(looksLikeSvg(text)).toBe(false);
  }
});
