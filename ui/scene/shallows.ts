import type { Piece } from '@/core/course';
import { pieceBounds } from '@/core/pieces';

/** Cells of the map to each side. */
export const SIDE = 96;
/** How far from stone the water is shallow, m. */
const REACH = 4.5;
/** What stands no higher than this over the tide stands in the water, m. */
const ABOVE = 0.4;

/** How near stone the water is, over a part of the map. */
export interface Shallows {
  /** West and north edge, width and depth, m. */
  readonly box: readonly [number, number, number, number];
  /** For each cell, row by row from the north: 255 at stone, falling to 0 where the water is deep. */
  readonly cells: Uint8Array;
}

/** Where a course's water is shallow, by the boxes about what stands in it; null where nothing does. */
export function shallowsOf(pieces: readonly Piece[], tide: number): Shallows | null {
  const stones = pieces
    .map(pieceBounds)
    .filter(({ low, high }) => low[1] < tide + ABOVE && high[1] > tide);
  if (stones.length === 0) return null;
  const x0 = Math.min(...stones.map(({ low }) => low[0])) - REACH;
  const z0 = Math.min(...stones.map(({ low }) => low[2])) - REACH;
  const w = Math.max(...stones.map(({ high }) => high[0])) + REACH - x0;
  const d = Math.max(...stones.map(({ high }) => high[2])) + REACH - z0;
  const away = new Float32Array(SIDE * SIDE).fill(REACH);
  const [cw, cd] = [w / SIDE, d / SIDE];
  for (const { low, high } of stones) {
    const from = (v: number, start: number, cell: number) =>
      Math.max(0, Math.floor((v - REACH - start) / cell));
    const to = (v: number, start: number, cell: number) =>
      Math.min(SIDE - 1, Math.ceil((v + REACH - start) / cell));
    for (let k = from(low[2], z0, cd); k <= to(high[2], z0, cd); k++) {
      const z = z0 + (k + 0.5) * cd;
      const dz = Math.max(low[2] - z, z - high[2], 0);
      for (let i = from(low[0], x0, cw); i <= to(high[0], x0, cw); i++) {
        const x = x0 + (i + 0.5) * cw;
        const dx = Math.max(low[0] - x, x - high[0], 0);
        const far = Math.sqrt(dx * dx + dz * dz);
        if (far < away[k * SIDE + i]) away[k * SIDE + i] = far;
      }
    }
  }
  const cells = Uint8Array.from(away, (far) => Math.round(255 * (1 - far / REACH)));
  return { box: [x0, z0, w, d], cells };
}
