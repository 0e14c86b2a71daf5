import type { SketchPoint } from '@/core/edit';
import type { SetSlice } from './slice';

/** What a finger does to the sketch. */
export type SketchMode = 'draw' | 'points' | 'note' | 'picture' | 'scale';

/** Work on the sketch and the picture below it. */
export interface Sketching {
  readonly sketching: SketchMode | null;
  /** The point and the note of the sketch that figures and buttons are about. */
  readonly sketchPoint: SketchPoint | null;
  readonly sketchNote: number | null;
  /** Begins a mode, or ends sketching; no point or note is chosen then. */
  setSketching: (mode: SketchMode | null) => void;
  chooseSketchPoint: (point: SketchPoint | null) => void;
  chooseSketchNote: (note: number | null) => void;
}

/** No sketching, and the actions that begin and end it. */
export const sketchingSlice = (set: SetSlice<Sketching>): Sketching => ({
  sketching: null,
  sketchPoint: null,
  sketchNote: null,
  setSketching: (sketching) => set({ sketching, sketchPoint: null, sketchNote: null }),
  chooseSketchPoint: (sketchPoint) => set({ sketchPoint }),
  chooseSketchNote: (sketchNote) => set({ sketchNote }),
});
