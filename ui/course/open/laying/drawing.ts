import type { Rim } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import type { SetSlice } from './slice';

/** What one finger does while laying. */
export const LAY_TOOLS = [
  'pieces',
  'choose',
  'wall',
  'fill',
  'outline',
  'scatter',
  'paint',
  'erase',
  'kit',
  'symmetry',
  'layers',
  'sky',
] as const;
export type LayTool = (typeof LAY_TOOLS)[number];

/** Something said at a place in the scene. */
export interface SceneNote {
  readonly at: Vec3;
  readonly words: string;
}

/** The tool in use, and what it has drawn so far. */
export interface Drawing {
  readonly tool: LayTool;
  /** Places drawn so far. */
  readonly stroke: readonly Vec3[];
  /** Pixels of a line drawn round pieces over the picture. */
  readonly lasso: readonly (readonly [number, number])[];
  /** The length, angle or number that a drag has come to. */
  readonly measure: SceneNote | null;
  readonly fault: SceneNote | null;
  /** The post of a wall, or corner of an outline, that figures and buttons are about. */
  readonly post: number | null;
  readonly corner: { readonly rim: Rim; readonly index: number } | null;
  readonly panel: { readonly run: number; readonly panel: number } | null;
  /** The open end that was touched: the tray shows what fits there, and what is taken waits there. */
  readonly touchedEnd: Vec3 | null;
  /** Takes up a tool; what another one had begun is dropped. */
  pickTool: (tool: LayTool) => void;
  /** What was wrong with the stroke before is no longer said. */
  drawStroke: (stroke: readonly Vec3[]) => void;
  /** Drops what is drawn so far, and what is said about it. */
  dropStroke: () => void;
  drawLasso: (lasso: readonly (readonly [number, number])[]) => void;
  showMeasure: (measure: SceneNote | null) => void;
  showFault: (fault: SceneNote | null) => void;
  /** A wall has a post or a panel chosen, never both. */
  choosePost: (post: number | null) => void;
  choosePanel: (panel: { run: number; panel: number } | null) => void;
  chooseCorner: (corner: { rim: Rim; index: number } | null) => void;
  touchEnd: (at: Vec3 | null) => void;
}

const NOTHING_DRAWN = {
  stroke: [],
  lasso: [],
  measure: null,
  fault: null,
  post: null,
  corner: null,
  panel: null,
} as const;

/** The tool for pieces with nothing drawn, and the actions of all that draw. */
export const drawingSlice = (set: SetSlice<Drawing>): Drawing => ({
  tool: 'pieces',
  ...NOTHING_DRAWN,
  touchedEnd: null,
  pickTool: (tool) => set({ tool, ...NOTHING_DRAWN }),
  drawStroke: (stroke) => set({ stroke, fault: null }),
  dropStroke: () => set({ stroke: [], fault: null, measure: null }),
  drawLasso: (lasso) => set({ lasso }),
  showMeasure: (measure) => set({ measure }),
  showFault: (fault) => set({ fault }),
  choosePost: (post) => set({ post, panel: null }),
  choosePanel: (panel) => set({ panel, post: null }),
  chooseCorner: (corner) => set({ corner }),
  touchEnd: (touchedEnd) => set({ touchedEnd }),
});
