import { SaxesParser } from 'saxes';
import svgpath from 'svgpath';
import type { Vec2 } from '../../geometry';

// The closed outlines of a drawing (SVG 1.1). Only outlines are read: text, pictures, scripts and styles are passed
// over, and nothing they name is fetched. Entities that a drawing defines itself are refused by the parser.

/** Elements within each other, outlines, and commands of a path, at most. */
const [MOST_DEPTH, MOST_OUTLINES, MOST_COMMANDS] = [100, 2000, 20_000];
/** Points of an outline at most; of more those that turn least go. */
const MOST_POINTS = 200;
/** Stretches that a curve is told in. */
const STEPS = 8;

/** Why a drawing cannot be read, in a sentence. */
export class SvgError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'SvgError';
  }
}

/** A closed outline in the drawing's units, x to the right and y down. */
export type Ring = Vec2[];

/**
 * The closed outlines of a drawing, with the transforms of what they stand in.
 * @throws SvgError when it is no drawing, or far too large
 */
export function ringsOf(text: string): Ring[] {
  const rings: Ring[] = [];
  const transforms: string[] = [];
  let hidden = 0;
  let depth = 0;
  let isSvg = false;
  const parser = new SaxesParser({ xmlns: false });
  parser.on('error', (error) => {
    throw new SvgError(`The drawing cannot be read: ${error.message.replace(/^\d+:\d+: /, '')}.`);
  });
  parser.on('opentag', ({ name, attributes }) => {
    if (++depth > MOST_DEPTH) throw new SvgError('The drawing is nested too deeply.');
    const tag = name.replace(/^.*:/, '').toLowerCase();
    if (depth === 1) isSvg = tag === 'svg';
    transforms.push(attributes.transform ?? '');
    // What is defined only to be used elsewhere is not drawn where it stands.
    if (hidden > 0 || NOT_DRAWN.has(tag)) hidden++;
    if (hidden > 0) return;
    const path = pathOf(tag, attributes);
    if (path === null) return;
    rings.push(...flattened(path, transforms.filter((one) => one !== '').reverse()));
    if (rings.length > MOST_OUTLINES) {
      throw new SvgError(`The drawing has more than ${MOST_OUTLINES} outlines.`);
    }
  });
  parser.on('closetag', () => {
    depth--;
    transforms.pop();
    if (hidden > 0) hidden--;
  });
  parser.write(text).close();
  if (!isSvg) throw new SvgError('That is no drawing in SVG.');
  return rings.filter((ring) => ring.length >= 3);
}

const NOT_DRAWN = new Set([
  ...['defs', 'clippath', 'mask', 'symbol', 'marker', 'pattern', 'script', 'style', 'text'],
  ...['foreignobject', 'metadata', 'title', 'desc', 'filter', 'lineargradient', 'radialgradient'],
]);

type Attributes = Readonly<Record<string, string>>;
const numberIn = (attributes: Attributes, key: string): number =>
  parseFloat(attributes[key] ?? '0');

/** What an element draws, as a path; null where it draws nothing closed. */
function pathOf(tag: string, attributes: Attributes): string | null {
  const of = (key: string) => numberIn(attributes, key);
  if (tag === 'path') return attributes.d ?? null;
  if (tag === 'polygon') return attributes.points ? `M${attributes.points}z` : null;
  if (tag === 'rect') {
    return `M${of('x')} ${of('y')}h${of('width')}v${of('height')}h${-of('width')}z`;
  }
  if (tag === 'circle' || tag === 'ellipse') {
    const [x, y] = [of('cx'), of('cy')];
    const [a, b] = tag === 'circle' ? [of('r'), of('r')] : [of('rx'), of('ry')];
    return `M${x - a} ${y}a${a} ${b} 0 1 0 ${2 * a} 0a${a} ${b} 0 1 0 ${-2 * a} 0z`;
  }
  return null;
}

/** The closed rings of a path, curves told in stretches. */
function flattened(path: string, transforms: readonly string[]): Ring[] {
  let read = svgpath(path);
  for (const transform of transforms) read = read.transform(transform);
  const rings: Ring[] = [];
  let ring: Ring = [];
  let commands = 0;
  const end = (closed: boolean) => {
    const [first, last] = [ring[0], ring[ring.length - 1]];
    // One that comes back to where it began is closed without being told so.
    if (closed || (ring.length > 3 && first[0] === last[0] && first[1] === last[1])) {
      rings.push(cleaned(ring));
    }
    ring = [];
  };
  read
    .unshort()
    .unarc()
    .abs()
    .iterate((segment, _, x, y) => {
      const command = segment[0];
      const n = segment.slice(1) as number[];
      if (++commands > MOST_COMMANDS) throw new SvgError('A path of the drawing is far too long.');
      if (command === 'M') {
        if (ring.length > 0) end(false);
        ring = [[n[0], n[1]]];
      } else if (command === 'Z' || command === 'z') end(true);
      else {
        if (ring.length === 0) ring = [[x, y]];
        ring.push(...pointsTo(command, n, [x, y]));
      }
    });
  if (ring.length > 0) end(false);
  return rings.filter((one) => one.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y)));
}

/** The points after one that a command leads to. */
function pointsTo(command: string, n: readonly number[], [x, y]: Vec2): Vec2[] {
  if (command === 'H') return [[n[0], y]];
  if (command === 'V') return [[x, n[0]]];
  if (command === 'L') return [[n[0], n[1]]];
  if (command !== 'C' && command !== 'Q') return [];
  const corners: Vec2[] = [[x, y]];
  for (let i = 0; i < n.length; i += 2) corners.push([n[i], n[i + 1]]);
  return Array.from({ length: STEPS }, (_, i) => curveAt(corners, (i + 1) / STEPS));
}

/** A place on a Bézier curve (de Casteljau). */
function curveAt(corners: readonly Vec2[], t: number): Vec2 {
  let row = corners;
  while (row.length > 1) {
    row = row
      .slice(1)
      .map(([x, y], i): Vec2 => [row[i][0] + t * (x - row[i][0]), row[i][1] + t * (y - row[i][1])]);
  }
  return row[0];
}

/** A ring without points that stand on each other, to a millionth of its size, and of at most so many. */
function cleaned(ring: readonly Vec2[]): Ring {
  const near =
    1e-6 * Math.max(...ring.map(([x, y]) => Math.abs(x - ring[0][0]) + Math.abs(y - ring[0][1])));
  const kept: Ring = [];
  for (const point of ring)
    if (kept.length === 0 || apart(kept[kept.length - 1], point) > near) kept.push(point);
  while (kept.length > 1 && apart(kept[kept.length - 1], kept[0]) <= near) kept.pop();
  while (kept.length > MOST_POINTS) kept.splice(flattest(kept), 1);
  return kept;
}

const apart = ([ax, ay]: Vec2, [bx, by]: Vec2): number => Math.abs(ax - bx) + Math.abs(ay - by);

/** The point of a ring that turns it least: the smallest triangle with its neighbours (Visvalingam and Whyatt, 1993). */
function flattest(ring: readonly Vec2[]): number {
  let least = Infinity;
  let found = 0;
  for (let i = 0; i < ring.length; i++) {
    const [a, b, c] = [ring[(i || ring.length) - 1], ring[i], ring[(i + 1) % ring.length]];
    const area = Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]));
    if (area < least) [least, found] = [area, i];
  }
  return found;
}
