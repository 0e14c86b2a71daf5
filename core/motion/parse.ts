import { beatSeconds, type AxisName, type PieceMotion, type Tempo } from '../course';
import type { Vec3 } from '../geometry';
import type { Motion } from './motion';
import { compileKeyframes } from './keyframes';
import { compilePath } from './path';
import { NO_TURN } from '../geometry';

const AXIS: Record<AxisName, Vec3> = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] };
/** The way out from a circle's middle to its piece, square to the axis. */
const OUT: Record<AxisName, Vec3> = { x: [0, 1, 0], y: [1, 0, 0], z: [1, 0, 0] };

/** A motion that the state of a run decides as well: it follows the runner, or chance. */
export type Driven = Extract<PieceMotion, { kind: 'drift' | 'chase' | 'arrive' }>;

export const isDriven = (motion: PieceMotion): motion is Driven =>
  motion.kind === 'drift' || motion.kind === 'chase' || motion.kind === 'arrive';

/** A motion as the document tells it, in the piece's own frame. */
export function parseMotion(told: Exclude<PieceMotion, Driven>): Motion {
  if (told.kind === 'path') return { ...compilePath(told), turn: NO_TURN, at: [0, 0, 0] };
  if (told.kind === 'poses') return { ...compileKeyframes(told), turn: NO_TURN, at: [0, 0, 0] };
  const timed = {
    period: told.period,
    phase: told.phase ?? 0,
    ...(told.beats ? { beats: true } : {}),
  };
  switch (told.kind) {
    case 'swing':
      return {
        kind: 'swing',
        axis: AXIS[told.axis],
        pivot: told.pivot ?? [0, 0, 0],
        angle: told.angle,
        ease: told.ease ?? 'smooth',
        ...timed,
      };
    case 'spin':
      return {
        kind: 'spin',
        axis: AXIS[told.axis],
        pivot: told.pivot ?? [0, 0, 0],
        turns: told.reverse ? -1 : 1,
        ease: 'even',
        ...timed,
      };
    case 'circle': {
      const out = OUT[told.axis];
      return {
        kind: 'circle',
        axis: AXIS[told.axis],
        out: [out[0] * told.radius, out[1] * told.radius, out[2] * told.radius],
        turns: told.reverse ? -1 : 1,
        ease: 'even',
        ...timed,
      };
    }
    case 'hop':
      return {
        kind: 'hop',
        rise: [0, told.height, 0],
        along: [told.along ?? 0, 0, 0],
        ease: 'even',
        ...timed,
      };
    case 'bob':
      return { kind: 'slide', travel: [0, told.height, 0], ease: 'smooth', ...timed };
  }
}

/** A motion that is counted in beats in seconds, beginning with the first beat. */
export function inTempo(motion: Motion, tempo: Tempo | undefined): Motion {
  if (motion.kind === 'way' || motion.kind === 'poses' || !motion.beats) return motion;
  const period = beatSeconds(tempo, motion.period);
  return { ...motion, period, phase: motion.phase - (tempo?.offset ?? 0) / period, beats: false };
}
