import { fitTrack, type PieceInHand } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';

/** The round as it was sketched: out along the pans, about the pan house and back, closed. */
export const SKETCH: readonly Vec3[] = (
  [
    [-26, 0],
    [0, 0],
    [26, 0],
    [38, -3],
    [44, -13],
    [38, -23],
    [26, -25],
    [18, -32],
    [20, -43],
    [12, -52],
    [-1, -50],
    [-6, -40],
    [-14, -32],
    [-25, -36],
    [-36, -44],
    [-47, -38],
    [-47, -26],
    [-39, -18],
    [-41, -8],
    [-35, -1],
  ] as const
).map(([x, z], i): Vec3 => [x, i > 5 && i < 11 ? 1.6 : 0.4, z]);

/** Fits track to the sketch. It takes seconds, so what it gives is kept in `saltPanTrack.json`. */
export const fitRound = (): readonly PieceInHand[] =>
  fitTrack({ points: SKETCH, closed: true, width: 3, tolerance: 0.8 }).pieces;
