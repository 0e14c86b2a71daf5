import type { Piece } from '@/core/course';
import { dot, faceNormal, normalize, sub, type Vec3 } from '@/core/geometry';
import { facetColour, planOutline, worldParts, type Part } from '@/core/pieces';

/** Flat facets and ink lines ready for drawing; three numbers a corner, world places. */
export interface Baked {
  readonly positions: Float32Array;
  /** Colour of each corner with the daylight already in it. */
  readonly colours: Float32Array;
  /** Ends of the ink lines. */
  readonly lines: Float32Array;
}

/** Edges sharper than this get an ink line: the cosine of 28 degrees. */
const SHARP = 0.883;

/** Bakes solids: facets are flat, so light by corner is exact. */
export function bakeParts(parts: readonly Part[]): Baked {
  const positions: number[] = [];
  const colours: number[] = [];
  const lines: number[] = [];
  parts.forEach(({ solid, tone }, part) => {
    const seen = new Map<string, Vec3>();
    solid.faces.forEach((face, f) => {
      const n = faceNormal(solid, face);
      const first = solid.points[face[0]];
      const mark = f * 31 + part * 7 + Math.round(first[0] * 13 + first[2] * 17);
      const colour = facetColour(tone, n[0], n[1], n[2], mark);
      for (let i = 1; i + 1 < face.length; i++) {
        positions.push(...first, ...solid.points[face[i]], ...solid.points[face[i + 1]]);
        colours.push(...colour, ...colour, ...colour);
      }
      face.forEach((a, i) => {
        const b = face[(i + 1) % face.length];
        const key = a < b ? `${a} ${b}` : `${b} ${a}`;
        const other = seen.get(key);
        if (!other) seen.set(key, n);
        else if (dot(n, other) < SHARP) lines.push(...solid.points[a], ...solid.points[b]);
      });
    });
  });
  return {
    positions: new Float32Array(positions),
    colours: new Float32Array(colours),
    lines: new Float32Array(lines),
  };
}

const still = new WeakMap<Piece, Baked>();

/** What stands still of a piece. Pickups turn in a run, so nothing of them does. */
export function bakeStill(piece: Piece): Baked {
  let known = still.get(piece);
  if (!known) {
    known = bakeParts(turns(piece) ? [] : worldParts(piece).filter(({ moving }) => !moving));
    still.set(piece, known);
  }
  return known;
}

/** Whether a piece turns about its own upright while a run goes on. */
export const turns = (piece: Piece): boolean => piece.family === 'shell';

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
  return { positions: join('positions'), colours: join('colours'), lines: join('lines') };
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
