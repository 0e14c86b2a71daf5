import { distance, type Vec3 } from '../geometry';
import { applyPose, composePoses, STILL } from './pose';
import { periodOf, poseAt, TICKS_PER_SECOND, type Motion } from './motion';

/** A mover's height and speed over its longest period. */
export interface MotionChart {
  /** Seconds it covers. */
  readonly period: number;
  /** At even times: metres above where it rests, and metres a second. */
  readonly heights: readonly number[];
  readonly speeds: readonly number[];
}

const STEPS = 120;

/** How high and how fast the place `at` goes with some motions, told in the world. */
export function motionChart(motions: readonly Motion[], at: Vec3): MotionChart {
  const period = Math.max(0.1, ...motions.map(periodOf));
  const place = (tick: number): Vec3 =>
    applyPose(
      motions.reduce((pose, motion) => composePoses(pose, poseAt(motion, tick)), STILL),
      at,
    );
  const step = (period * TICKS_PER_SECOND) / STEPS;
  const places = Array.from({ length: STEPS + 1 }, (_, i) => place(i * step));
  return {
    period,
    heights: places.map((p) => p[1] - at[1]),
    speeds: places.slice(1).map((p, i) => (distance(p, places[i]) / step) * TICKS_PER_SECOND),
  };
}
