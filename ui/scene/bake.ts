import type { Piece } from '@/core/course';
import { normalize, rotate, sub, type Vec3 } from '@/core/geometry';
import {
  facetColour,
  facetsOf,
  familyOf,
  localGeometry,
  planOutline,
  toWorld,
  turnOf,
  worldParts,
  type Facet,
  type Part,
  type PieceGeometry,
} from '@/core/pieces';

/** Flat facets and ink lines ready for drawing; three numbers a corner, world places. */
export interface Baked {
  readonly positions: Float32Array;
  /** Colour of each corner with the daylight already in it. */
  readonly colours: Float32Array;
  /** Which way each corner's facet looks. */
  readonly normals: Float32Array;
  /** Ends of the ink lines. */
  readonly lines: Float32Array;
}

/** Bakes facets: they are flat, so light by corner is exact. */
function bakeFacets(
  facets: readonly Facet[],
  place: (p: Vec3) => Vec3 = (p) => p,
  turn: (n: Vec3) => Vec3 = (n) => n,
): Baked {
  const positions: number[] = [];
  const colours: number[] = [];
  const normals: number[] = [];
  const lines: number[] = [];
  const drawn = new Set<number>();
  facets.forEach(({ points, normal, tone, ink }, f) => {
    const corners = points.map(place);
    const n = turn(normal);
    const first = corners[0];
    const mark = f * 31 + Math.round(first[0] * 13 + first[2] * 17);
    const colour = facetColour(tone, n[0], n[1], n[2], mark);
    const shade = footShade(corners, n);
    const lit = corners.map((p) => colour.map((c) => c * shade(p[1])));
    for (let i = 1; i + 1 < corners.length; i++) {
      positions.push(...first, ...corners[i], ...corners[i + 1]);
      colours.push(...lit[0], ...lit[i], ...lit[i + 1]);
      normals.push(...n, ...n, ...n);
    }
    ink.forEach((edge, i) => {
      if (edge < 0 || drawn.has(edge)) return;
      drawn.add(edge);
      lines.push(...corners[i], ...corners[(i + 1) % corners.length]);
    });
  });
  return {
    positions: new Float32Array(positions),
    colours: new Float32Array(colours),
    normals: new Float32Array(normals),
    lines: new Float32Array(lines),
  };
}

/** Part of the light that the foot of an upright facet keeps, and how far up it is all there again, m. */
const [FOOT, RISE] = [0.78, 1.4];

/** How much of its light an upright facet keeps at a height: less at its foot, where others stand about it. */
function footShade(corners: readonly Vec3[], n: Vec3): (y: number) => number {
  if (Math.abs(n[1]) > 0.5) return () => 1;
  const heights = corners.map((p) => p[1]);
  const low = Math.min(...heights);
  const tall = Math.min(RISE, Math.max(...heights) - low);
  if (tall < 0.15) return () => 1;
  return (y) => FOOT + (1 - FOOT) * Math.min(1, (y - low) / tall);
}

/** Bakes faces that are no piece's: without lines. */
export const bakeFaces = (faces: readonly Pick<Facet, 'points' | 'normal' | 'tone'>[]): Baked =>
  bakeFacets(faces.map((face) => ({ ...face, moving: false, ink: [] })));

export const bakeParts = (parts: readonly Part[]): Baked => bakeFacets(facetsOf(parts));

const NOTHING = bakeFacets([]);
const facetsByForm = new WeakMap<PieceGeometry, Facet[]>();

const still = new WeakMap<Piece, Baked>();

/** What stands still of a piece. Pickups turn in a run, so nothing of them does. */
export function bakeStill(piece: Piece): Baked {
  let known = still.get(piece);
  if (!known) {
    known = turns(piece) ? NOTHING : bakeRest(piece);
    still.set(piece, known);
  }
  return known;
}

function bakeRest(piece: Piece): Baked {
  const form = localGeometry(piece);
  let facets = facetsByForm.get(form);
  if (!facets) {
    facets = facetsOf(form.parts.filter(({ moving }) => !moving));
    facetsByForm.set(form, facets);
  }
  const turn = turnOf(piece);
  return bakeFacets(facets, toWorld(piece), (n) => rotate(turn, n));
}

const parts = new WeakMap<Piece, Baked>();
const wholes = new WeakMap<Piece, Baked>();

const kept = (known: WeakMap<Piece, Baked>, piece: Piece, bake: () => Baked): Baked => {
  const found = known.get(piece) ?? bake();
  known.set(piece, found);
  return found;
};

/** What goes with a piece's own motion, or comes and goes with its lock, or turns. */
export const bakeMoving = (piece: Piece): Baked =>
  kept(parts, piece, () =>
    bakeParts(worldParts(piece).filter((part) => part.moving || turns(piece))),
  );

/** What of a piece goes along only when all of it does. */
export const bakeWhole = (piece: Piece): Baked =>
  kept(wholes, piece, () =>
    bakeParts(worldParts(piece).filter((part) => !part.moving && !turns(piece))),
  );

/** Whether a piece turns about its own upright while a run goes on. */
export const turns = (piece: Piece): boolean => familyOf(piece.family).worth !== undefined;

/** Many bakes as one. */
export function joinBaked(all: readonly Baked[]): Baked {
  const join = (key: keyof Baked) => {
    const out = new Float32Array(all.reduce((sum, baked) => sum + baked[key].length, 0));
    let at = 0;
    for (const baked of all) {
      out.set(baked[key], at);
      at += baked[key].length;
    }
    return out;
  };
  return {
    positions: join('positions'),
    colours: join('colours'),
    normals: join('normals'),
    lines: join('lines'),
  };
}

const DASH = 0.55;
const rings = new WeakMap<Piece, { tide: number; ends: number[] }>();

/** Broken rings where a piece stands in the water, as ends of short lines. */
export function waterRings(piece: Piece, tide: number): number[] {
  const known = rings.get(piece);
  if (known?.tide === tide) return known.ends;
  const ends: number[] = [];
  for (const { solid, moving } of worldParts(piece)) {
    if (moving) continue;
    const heights = solid.points.map((p) => p[1]);
    if (Math.min(...heights) > tide || Math.max(...heights) < tide) continue;
    for (const grow of [0.1, 0.3]) ringAbout(planOutline(solid), grow, tide, ends);
  }
  rings.set(piece, { tide, ends });
  return ends;
}

function ringAbout(
  outline: readonly (readonly [number, number])[],
  grow: number,
  y: number,
  ends: number[],
): void {
  const n = outline.length;
  const cx = outline.reduce((sum, p) => sum + p[0], 0) / n;
  const cz = outline.reduce((sum, p) => sum + p[1], 0) / n;
  const pushed = outline.map(([x, z]): Vec3 => {
    const out = normalize(sub([x, 0, z], [cx, 0, cz]));
    return [x + out[0] * grow, y + 0.02, z + out[2] * grow];
  });
  pushed.forEach((a, i) => {
    const b = pushed[(i + 1) % n];
    const l = Math.hypot(b[0] - a[0], b[2] - a[2]);
    const count = Math.max(1, Math.round(l / DASH));
    for (let k = 0; k < count; k++) {
      // Which dashes are missing follows from the place, so a ring never flickers.
      const mark = Math.imul(Math.round((cx + i * 3.1 + k * 1.7 + grow * 40) * 10), 0x9e3779b1);
      if (((mark >>> 20) & 7) < (grow > 0.2 ? 5 : 2)) continue;
      const p = (t: number) => [a[0] + (b[0] - a[0]) * t, a[1], a[2] + (b[2] - a[2]) * t];
      ends.push(...p(k / count), ...p((k + 0.8) / count));
    }
  });
}
