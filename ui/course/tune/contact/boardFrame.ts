import type { Piece, ShapePart } from '@/core/course';
import { convexHull, type Vec2 } from '@/core/geometry';
import { familyOf, formOf } from '@/core/pieces';
import { shapeSolid } from '../../../scene';

/** How much of the shape's own measure the piece has now, along each axis. */
export type Stretch = readonly [number, number, number];

/** The size a piece has now, m. */
export const sizeNow = (piece: Piece): readonly number[] => {
  const family = familyOf(piece.family);
  return piece.size && family.sizable ? piece.size : family.size;
};

/** Points keep to centimetres. */
const snap = (v: number): number => Math.round(v * 100) / 100;

/** The rim of what points cover on the profile. */
export const flat = (points: readonly (readonly [number, number, number])[]): Vec2[] =>
  convexHull(points.map(([x, y]): Vec2 => [x, y]));

/** The rim of a part on the profile. A dent is drawn as it is. */
export function outlineOf(part: ShapePart, k: Stretch): Vec2[] {
  if (part.kind === 'outline') return part.points.map(([x, y]): Vec2 => [x * k[0], y * k[1]]);
  const form = formOf(part, k, 1);
  return flat(shapeSolid({ role: 'solid', form }).points);
}

/** What of a part can be taken hold of, in the shape's own measure. */
export function knobsOf(part: ShapePart): Vec2[] {
  if (part.kind === 'outline') return part.points.map(([x, y]): Vec2 => [x, y]);
  if (part.kind === 'capsule') return [part.from, part.to].map(([x, y]): Vec2 => [x, y]);
  return [[part.at[0], part.at[1]]];
}

/** Where the profile lies on the board: pixels of its origin, and pixels a metre. */
export interface BoardFrame {
  readonly x: number;
  readonly y: number;
  readonly scale: number;
}

/** A frame in which the picture has room about it. */
export function frameOf(picture: readonly Vec2[][], width: number, height: number): BoardFrame {
  const all = picture.flat();
  const xs = all.map(([x]) => x);
  const ys = all.map(([, y]) => y);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = 0.72 * Math.min(width / Math.max(0.2, x1 - x0), height / Math.max(0.2, y1 - y0));
  return {
    x: width / 2 - ((x0 + x1) / 2) * scale,
    y: height / 2 + ((y0 + y1) / 2) * scale,
    scale,
  };
}

/** Points as a closed path of a drawing. */
export const path = (points: readonly Vec2[]): string =>
  points.length < 2
    ? ''
    : `M${points.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join('L')}Z`;

/** The pixel at which a place on the profile, m, is seen. */
export const pixelOn = (frame: BoardFrame, [x, y]: Vec2): Vec2 => [
  frame.x + x * frame.scale,
  frame.y - y * frame.scale,
];

/** The place in the shape's own measure that a pixel points at, to the centimetre of the piece. */
export const placeOn = (frame: BoardFrame, k: Stretch, [px, py]: Vec2): Vec2 => [
  snap((px - frame.x) / frame.scale) / k[0],
  snap((frame.y - py) / frame.scale) / k[1],
];

/** How near a knob has to be touched, pixels. */
const TOUCH = 26;
/** So much nearer a knob of another part has to be than one of the part that is held, pixels. */
const PREFERRED = 6;

/**
 * The knob that a pixel is on.
 *
 * @param parts - the parts of the shape
 * @param frame - where the profile lies on the board
 * @param k - how far the piece is stretched
 * @param at - the pixel
 * @param first - the part that is held, which is preferred
 */
export function knobAt(
  parts: readonly ShapePart[],
  frame: BoardFrame,
  k: Stretch,
  at: Vec2,
  first: number,
): { readonly part: number; readonly point: number } | null {
  let least = TOUCH;
  let found: { part: number; point: number } | null = null;
  parts.forEach((part, p) =>
    knobsOf(part).forEach(([x, y], point) => {
      const [kx, ky] = pixelOn(frame, [x * k[0], y * k[1]]);
      const away = Math.hypot(kx - at[0], ky - at[1]) + (p === first ? 0 : PREFERRED);
      if (away >= least) return;
      least = away;
      found = { part: p, point };
    }),
  );
  return found;
}
