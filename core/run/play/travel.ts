import type { Course, Piece } from '../../course';
import { distance, type Vec3 } from '../../geometry';
import { applyPose, periodOf, type Pose, TICKS_PER_SECOND } from '../../motion';
import { pieceBounds } from '../../pieces';
import { compileMovers } from '../world';
import { MotionPreview } from './motionPreview';

/** Where a piece's moving part is at even times along its longest motion, the end left out. */
export interface Along {
  /** Seconds it covers. */
  readonly period: number;
  readonly poses: readonly Pose[];
}

/**
 * Poses of a mover over its period, by itself: whatever carries it or wakes it is left aside. Null for what
 * does not move.
 * @param steps how many moments are told
 */
export function posesAlong(course: Course, piece: Piece, steps: number): Along | null {
  const { attach: _, wake: __, ...alone } = piece;
  const one = { ...course, pieces: [alone as Piece], links: undefined };
  const periods = compileMovers(one, one.pieces).list.flatMap(({ motions }) =>
    motions.map(periodOf),
  );
  if (periods.length === 0) return null;
  const period = Math.max(...periods);
  const playing = new MotionPreview(one);
  const poses = Array.from({ length: steps }, (_step, i) => {
    playing.to((period * TICKS_PER_SECOND * i) / steps);
    return playing.posing(piece.id).part;
  });
  return { period, poses };
}

/** How far a piece is from where it rests, all along its longest motion. */
export interface Travel {
  /** Seconds it covers. */
  readonly period: number;
  /** At even times from the beginning of a run, the end left out: metres a corner of it has gone. */
  readonly ways: readonly number[];
}

/** How far a mover strays from its rest over its period, by its farthest corner; see posesAlong. */
export function travelOf(course: Course, piece: Piece, steps = 96): Travel | null {
  const along = posesAlong(course, piece, steps);
  if (!along) return null;
  const { low, high } = pieceBounds(piece);
  const corners: Vec3[] = [low, high, [low[0], high[1], high[2]], [high[0], low[1], low[2]]];
  const ways = along.poses.map((pose) =>
    Math.max(...corners.map((p) => distance(applyPose(pose, p), p))),
  );
  return { period: along.period, ways };
}
