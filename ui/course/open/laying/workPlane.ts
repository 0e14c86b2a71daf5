import type { WorkPlane } from '@/core/edit';
import type { SetSlice } from './slice';

/** The plane that pieces are laid on where nothing is below them, and the pad for flying about. */
export interface WorkPlanes {
  /** Height of the level work plane and depth of the upright one, m. */
  readonly level: number;
  readonly depth: number;
  /** The pad for flying stands over the scene. */
  readonly flying: boolean;
  moveWorkPlane: (to: { level?: number; depth?: number }) => void;
  toggleFlying: () => void;
}

/** Both work planes through the origin, and their actions. */
export const workPlaneSlice = (set: SetSlice<WorkPlanes>): WorkPlanes => ({
  level: 0,
  depth: 0,
  flying: false,
  moveWorkPlane: (to) => set(to),
  toggleFlying: () => set((now) => ({ flying: !now.flying })),
});

/** The work plane of a view: upright seen from the side, level otherwise. */
export const planeOf = (
  mode: 'side' | 'above' | 'free',
  { level, depth }: { level: number; depth: number },
): WorkPlane => (mode === 'side' ? { axis: 'z', value: depth } : { axis: 'y', value: level });
