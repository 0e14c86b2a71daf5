import type { BuildGrid } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import type { SetSlice } from './slice';

/** All that can take hold of a piece, and the switch over all of it. */
export type SnapSwitch = 'snapping' | 'ends' | 'corners' | 'surface';

/** The grid and what pieces snap to. */
export interface Snapping {
  /** Grid step for each axis, m; 0 lays freely. */
  readonly steps: Vec3;
  /** Degrees a turn goes by; 0 for a degree at a time. */
  readonly turnStep: number;
  /** The grid's origin, and its turn about the upright in degrees. */
  readonly gridOrigin: Vec3;
  readonly gridTurn: number;
  /** The switch over all snapping; a held key suspends it for a while. */
  readonly snapping: boolean;
  readonly snapSuspended: boolean;
  readonly ends: boolean;
  readonly corners: boolean;
  readonly surface: boolean;
  /** Also turns snapping on: who sets a step wants it. */
  setSteps: (steps: Vec3) => void;
  /** Degrees, from 0 to 180. */
  setTurnStep: (degrees: number) => void;
  /** Degrees of any size; kept from 0 to 360. */
  placeGrid: (origin: Vec3, turn: number) => void;
  toggleSnap: (which: SnapSwitch) => void;
  suspendSnapping: (suspended: boolean) => void;
  /** The grid that a course keeps, or the usual one. */
  restoreGrid: (grid: BuildGrid | undefined) => void;
}

const USUAL = {
  steps: [0.5, 0.5, 0.5],
  turnStep: 15,
  gridOrigin: [0, 0, 0],
  gridTurn: 0,
  snapping: true,
  ends: true,
  corners: false,
  surface: true,
} as const;

/** Snapping as it is when nothing was changed, and its actions. */
export const snappingSlice = (set: SetSlice<Snapping>): Snapping => ({
  ...USUAL,
  snapSuspended: false,
  setSteps: (steps) => set({ steps, snapping: true }),
  setTurnStep: (degrees) => set({ turnStep: Math.min(180, Math.max(0, degrees)) }),
  placeGrid: (gridOrigin, turn) => set({ gridOrigin, gridTurn: ((turn % 360) + 360) % 360 }),
  toggleSnap: (which) => set((now) => ({ [which]: !now[which] })),
  suspendSnapping: (snapSuspended) => set({ snapSuspended }),
  restoreGrid: (grid) =>
    set({
      ...USUAL,
      ...(grid && {
        steps: grid.steps,
        turnStep: grid.turnStep,
        gridOrigin: grid.origin ?? USUAL.gridOrigin,
        gridTurn: grid.turn ?? USUAL.gridTurn,
        snapping: grid.snapping ?? USUAL.snapping,
        ends: grid.ends ?? USUAL.ends,
        corners: grid.corners ?? USUAL.corners,
        surface: grid.surface ?? USUAL.surface,
      }),
    }),
});
