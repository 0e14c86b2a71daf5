import type { Paint, PieceInHand, Scattering } from '@/core/edit';
import type { SetSlice } from './slice';

export type FillMode = 'fill' | 'carve' | 'flood';
export type ScatterMode = 'stroke' | 'area' | 'erase';

/** The settings of the tools that draw. */
export interface ToolOptions {
  readonly fill: FillMode;
  /** What is filled or carved is drawn round by a finger, rather than a rectangle. */
  readonly fillRound: boolean;
  readonly floor: PieceInHand;
  readonly wall: PieceInHand;
  /** New walls stand on the ground below, instead of level. */
  readonly onGround: boolean;
  readonly platform: PieceInHand;
  readonly scattering: Scattering;
  /** Half the width of a stroke that scatters, paints or erases, m. */
  readonly brush: number;
  readonly strewing: ScatterMode;
  /** A touch paints all the ground that joins a floor. */
  readonly wholeGround: boolean;
  /** A stroke paints the ground itself, as wide as the brush. */
  readonly groundBrush: boolean;
  /** The next piece touched gives its paint instead of taking it. */
  readonly picking: boolean;
  readonly paint: Paint;
  setFill: (fill: FillMode) => void;
  toggleFillRound: () => void;
  setFloor: (floor: PieceInHand) => void;
  setWall: (wall: PieceInHand) => void;
  toggleOnGround: () => void;
  setPlatform: (platform: PieceInHand) => void;
  changeScattering: (change: Partial<Scattering>) => void;
  setBrush: (radius: number) => void;
  setStrewing: (mode: ScatterMode) => void;
  togglePicking: () => void;
  /** The brush and the whole ground exclude each other. */
  toggleGroundBrush: () => void;
  toggleWholeGround: () => void;
  /** Takes up a paint; picking one is over then. */
  takePaint: (paint: Paint) => void;
}

/** The settings nobody changed yet, and their actions. */
export const toolOptionsSlice = (set: SetSlice<ToolOptions>): ToolOptions => ({
  fill: 'fill',
  fillRound: false,
  floor: { family: 'slab', at: [0, 0, 0] },
  wall: { family: 'wall', at: [0, 0, 0] },
  onGround: false,
  platform: { family: 'platform', at: [0, 0, 0] },
  scattering: {
    families: ['rock', 'grass', 'reeds'],
    density: 4,
    sizeSpread: 0.35,
    turnSpread: 180,
    lean: 6,
    seed: 1,
    margin: 2,
  },
  brush: 2.5,
  strewing: 'stroke',
  wholeGround: false,
  groundBrush: false,
  picking: false,
  paint: { material: 'slate' },
  setFill: (fill) => set({ fill }),
  toggleFillRound: () => set((now) => ({ fillRound: !now.fillRound })),
  setFloor: (floor) => set({ floor }),
  setWall: (wall) => set({ wall }),
  toggleOnGround: () => set((now) => ({ onGround: !now.onGround })),
  setPlatform: (platform) => set({ platform }),
  changeScattering: (change) => set((now) => ({ scattering: { ...now.scattering, ...change } })),
  setBrush: (brush) => set({ brush }),
  setStrewing: (strewing) => set({ strewing }),
  togglePicking: () => set((now) => ({ picking: !now.picking })),
  toggleGroundBrush: () => set((now) => ({ groundBrush: !now.groundBrush, wholeGround: false })),
  toggleWholeGround: () => set((now) => ({ wholeGround: !now.wholeGround, groundBrush: false })),
  takePaint: (paint) => set({ paint, picking: false }),
});
