import type Rapier from '@dimforge/rapier3d-compat';
import type { Course } from '../../course';
import { mayBeLoose } from '../../pieces';

/** The rigid-body library; a course without loose pieces never asks for it. */
export type Physics = typeof Rapier;

let physics: Physics | null = null;
let loading: Promise<void> | null = null;

/** Whether anything of a course falls and is pushed. */
export const hasLoose = ({ pieces }: Pick<Course, 'pieces'>): boolean =>
  pieces.some((piece) => piece.loose && mayBeLoose(piece));

/**
 * Loads what loose pieces are stepped by, when a course has some. Runs of such a course can only be played
 * afterwards.
 */
export async function loadPhysics(course: Pick<Course, 'pieces'>): Promise<void> {
  if (physics || !hasLoose(course)) return;
  loading ??= import('@dimforge/rapier3d-compat').then(async ({ default: loaded }) => {
    await loaded.init();
    physics = loaded;
  });
  try {
    await loading;
  } catch (error) {
    loading = null;
    throw error;
  }
}

/** Whether runs of a course can be played now. */
export const isLoaded = (course: Pick<Course, 'pieces'>): boolean =>
  physics !== null || !hasLoose(course);

/** @throws Error when it was not loaded */
export function physicsNow(): Physics {
  if (!physics) throw new Error('A course with loose pieces is run after loadPhysics.');
  return physics;
}
