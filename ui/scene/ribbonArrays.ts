import { rgb } from '@/core/pieces';
import { POINT_SIZE, type RunLine } from '@/core/timing';

/** How far above the foot a line runs, m: on the ground it would sink into it. */
export const LIFT = 0.12;
/** Pale where it was slow, dark where it was fast. */
const [SLOW, FAST] = [rgb('#FFD84A'), rgb('#12384A')];

/** The numbers of a ribbon: two points beside each other for each of the line's. */
export interface RibbonArrays {
  /** x y z of each point, m, and the way on from there, m. */
  readonly place: Float32Array;
  readonly ahead: Float32Array;
  readonly colour: Float32Array;
  /** -1 on the one side, 1 on the other. */
  readonly side: Float32Array;
  /** Three points for each face. */
  readonly faces: number[];
}

/** The ribbon of a run's line. */
export function ribbonArrays({ points, top }: Pick<RunLine, 'points' | 'top'>): RibbonArrays {
  const count = points.length / POINT_SIZE;
  const place = new Float32Array(6 * count);
  const ahead = new Float32Array(6 * count);
  const colour = new Float32Array(6 * count);
  const side = new Float32Array(2 * count);
  const faces: number[] = [];
  const broken = (at: number) => at < 0 || at >= count || Number.isNaN(points[POINT_SIZE * at]);
  for (let at = 0; at < count; at++) {
    if (broken(at)) continue;
    // Along the piece that comes, at a piece's end along the one that was.
    const [from, to] = broken(at + 1) ? [broken(at - 1) ? at : at - 1, at] : [at, at + 1];
    const fast = top > 0 ? Math.min(1, points[POINT_SIZE * at + 3] / top) : 0;
    for (const i of [2 * at, 2 * at + 1]) {
      for (let axis = 0; axis < 3; axis++) {
        place[3 * i + axis] = points[POINT_SIZE * at + axis] + (axis === 1 ? LIFT : 0);
        ahead[3 * i + axis] = points[POINT_SIZE * to + axis] - points[POINT_SIZE * from + axis];
        colour[3 * i + axis] = SLOW[axis] + (FAST[axis] - SLOW[axis]) * fast;
      }
      side[i] = i % 2 === 0 ? -1 : 1;
    }
    if (!broken(at + 1)) {
      const i = 2 * at;
      faces.push(i, i + 1, i + 2, i + 2, i + 1, i + 3);
    }
  }
  return { place, ahead, colour, side, faces };
}
