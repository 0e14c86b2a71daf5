import { posesOf } from '@/core/edit';
import type { Piece, PosesMotion } from '@/core/course';
import { compileKeyframes } from '@/core/motion';
import { useTune } from '../tuneStore';

/** Begins to take a pose from the scene: the piece is shown as that pose has it. */
export function showPose(piece: Piece, pose: number): void {
  const motion = piece.motion?.[posesOf(piece)] as PosesMotion | undefined;
  const key = motion && compileKeyframes(motion).keys[pose + 1];
  if (!motion || !key) return;
  const { period, phase } = compileKeyframes(motion);
  // Not quite none: at none everything is at rest.
  const at = Math.max(1e-3, (((key.from - phase * period) % period) + period) % period);
  useTune.getState().set({ posing: pose, at, playing: false });
}

/** Everything is as it stands again. */
export const endPosing = (): void => useTune.getState().set({ posing: null, at: 0 });
