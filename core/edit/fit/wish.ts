import type { Vec3 } from '../../geometry';
import type { PieceInHand } from '../pieces/lay';
import type { Pose } from './ways';

/** What is asked of a fit. */
export interface FitWish {
  readonly points: readonly Vec3[];
  readonly closed: boolean;
  /** Width of the track, m. */
  readonly width: number;
  /** Deviation from the line that is aimed for, m. */
  readonly tolerance: number;
  /** The family that bends are of; flat ones when nothing is said. */
  readonly bends?: 'bend' | 'banked';
  /** Least radius of a bend, m. */
  readonly tightest?: number;
  /** Where an open track has to begin and to end, joined to what is there already. */
  readonly from?: FitEnd;
  readonly to?: FitEnd;
}

/** A place with a heading in degrees, that a fitted track meets exactly. */
export interface FitEnd extends Pose {
  readonly y: number;
}

/** A track that follows a line. */
export interface Fit {
  readonly pieces: PieceInHand[];
  /** Greatest distance between the track's middle and the line, m, and where it is. */
  readonly deviation: number;
  readonly at: Vec3;
  readonly closed: boolean;
  /** Length of the track, m. */
  readonly length: number;
}
