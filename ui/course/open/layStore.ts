import { create } from 'zustand';
import type {
  BlockSide,
  Paint,
  PieceInHand,
  Rim,
  Scattering,
  SketchPoint,
  WorkPlane,
} from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import { useCourse } from '../../state/courseStore';
import { picker } from '../../state/picker';

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
/** What a finger does to the sketch. */
export type SketchWay = 'draw' | 'points' | 'note' | 'picture' | 'scale';

export type LayTool = (typeof LAY_TOOLS)[number];

/** What the handles about the chosen pieces do. */
export const HANDLE_MODES = ['move', 'turn', 'stretch', 'slope'] as const;
export type HandleMode = (typeof HANDLE_MODES)[number];

/** Something that went wrong at a place, shown there. */
export interface Fault {
  readonly at: Vec3;
  readonly words: string;
}

export interface LayState {
  readonly tool: LayTool;
  /** Grid step for each axis, m; 0 lays freely. */
  readonly steps: Vec3;
  /** Degrees a turn goes by; 0 for a degree at a time. */
  readonly turnStep: number;
  /** Where the grid has its origin, and its turn about the upright in degrees. */
  readonly gridOrigin: Vec3;
  readonly gridTurn: number;
  /** Which side stays when a size is typed; the foot's middle when none. */
  readonly sizeKeeps: 'low' | 'middle' | 'high';
  readonly ends: boolean;
  readonly corners: boolean;
  readonly surface: boolean;
  /** Whether anything snaps at all; a held key lets go for a while. */
  readonly snapping: boolean;
  readonly snapSuspended: boolean;
  /** Height of the level work plane and depth of the upright one, m. */
  readonly level: number;
  readonly depth: number;
  /** Where the piece in hand would land, before it is snapped; null until the pointer says. */
  readonly ghostAt: Vec3 | null;
  /** How far above where it lands the piece in hand is held, m; below 0 under it. */
  readonly raised: number;
  /** Whether a drag with a piece in hand draws out a row of it. */
  readonly rowing: boolean;
  /** The axis of the world about which what is in hand is turned. */
  readonly handAxis: 0 | 1 | 2;
  /** Whether all that can be done with what is in hand is shown. */
  readonly handOpen: boolean;
  /** The row a drag lays: where it began and has come to, in places where feet go. */
  readonly row: readonly PieceInHand[] | null;
  /** Whether the pad for flying stands over the scene. */
  readonly flying: boolean;
  readonly handles: HandleMode;
  /** Handles along the piece's own axes, and stretching from both sides. */
  readonly ownAxes: boolean;
  readonly bothSides: boolean;
  /** The handle a drag has hold of. */
  readonly held: {
    readonly axis: 0 | 1 | 2;
    readonly side: 1 | -1;
    readonly edge?: BlockSide;
  } | null;
  /** What a drag has come to, in words, and where it is said. */
  readonly measure: { readonly at: Vec3; readonly words: string } | null;
  /** Places drawn so far by a tool that draws. */
  readonly stroke: readonly Vec3[];
  /** Pixels of an outline being drawn over the picture. */
  readonly lasso: readonly (readonly [number, number])[];
  /** The open end that was touched: what fits there is asked for. */
  readonly fitsAt: Vec3 | null;
  readonly fault: Fault | null;
  readonly adding: boolean;
  /** Whether dragging what is chosen leaves it and drags a copy. */
  readonly dragCopies: boolean;
  readonly fill: 'fill' | 'carve' | 'flood';
  /** Whether what is filled or carved is drawn round by a finger, rather than a rectangle. */
  readonly fillRound: boolean;
  readonly floor: PieceInHand;
  readonly wall: PieceInHand;
  /** Whether walls being drawn stand on the ground below, instead of level. */
  readonly onGround: boolean;
  readonly platform: PieceInHand;
  /** The post of a wall, or corner of an outline, that figures and buttons are about. */
  readonly post: number | null;
  readonly corner: { readonly rim: Rim; readonly index: number } | null;
  readonly panel: { readonly run: number; readonly panel: number } | null;
  readonly scattering: Scattering;
  /** Half the width of a stroke that strews or erases, m. */
  readonly brush: number;
  readonly strewing: 'stroke' | 'area' | 'erase';
  /** Whether a floor is painted with all that is one ground with it. */
  readonly wholeGround: boolean;
  /** Whether a stroke paints the ground itself, as wide as the brush is. */
  readonly groundBrush: boolean;
  /** Whether the next piece touched gives its paint instead of taking it. */
  readonly picking: boolean;
  readonly paint: Paint;
  /** A ring of copies whose middle is being moved over the scene. */
  readonly pivot: Ringing | null;
  /** Lining up corner on corner: which own corner was touched, or none yet. */
  readonly cornering: { readonly own: Vec3 | null } | null;
  readonly sketching: SketchWay | null;
  /** The point and the note of the sketch that figures and buttons are about. */
  readonly sketchPoint: SketchPoint | null;
  readonly sketchNote: number | null;
  set: (change: Partial<Omit<LayState, 'set'>>) => void;
}

/** The figures of a ring of copies: its middle over the map, how many, through what angle, how steep. */
export interface Ringing {
  readonly px: number;
  readonly pz: number;
  readonly count: number;
  readonly sweep: number;
  readonly rise: number;
}

/** How pieces are being laid. */
export const useLay = create<LayState>()((set) => ({
  tool: 'pieces',
  steps: [0.5, 0.5, 0.5],
  turnStep: 15,
  gridOrigin: [0, 0, 0],
  gridTurn: 0,
  sizeKeeps: 'middle',
  ends: true,
  corners: false,
  surface: true,
  snapping: true,
  snapSuspended: false,
  level: 0,
  depth: 0,
  ghostAt: null,
  raised: 0,
  rowing: false,
  handAxis: 1,
  handOpen: false,
  row: null,
  flying: false,
  handles: 'move',
  ownAxes: false,
  bothSides: false,
  held: null,
  measure: null,
  stroke: [],
  lasso: [],
  fitsAt: null,
  fault: null,
  adding: false,
  dragCopies: false,
  fill: 'fill',
  fillRound: false,
  floor: { family: 'slab', at: [0, 0, 0] },
  wall: { family: 'wall', at: [0, 0, 0] },
  onGround: false,
  platform: { family: 'platform', at: [0, 0, 0] },
  post: null,
  corner: null,
  panel: null,
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
  picking: false,
  wholeGround: false,
  groundBrush: false,
  paint: { material: 'slate' },
  pivot: null,
  cornering: null,
  sketching: null,
  sketchPoint: null,
  sketchNote: null,
  set,
}));

/** Some of it by name. */
export const useLayOf = picker(useLay);

/** The work plane of a view: upright seen from the side, level otherwise. */
export const planeOf = (
  mode: 'side' | 'above' | 'free',
  { level, depth }: { level: number; depth: number },
): WorkPlane => (mode === 'side' ? { axis: 'z', value: depth } : { axis: 'y', value: level });

/** Takes up a tool: what another one had begun is let go. */
export const takeTool = (tool: LayTool): void =>
  useLay.getState().set({
    tool,
    stroke: [],
    lasso: [],
    fault: null,
    row: null,
    measure: null,
    post: null,
    corner: null,
    panel: null,
    cornering: null,
    pivot: null,
  });

// What is taken in hand next lands where it is pointed at.
useCourse.subscribe(({ inHand }, { inHand: before }) => {
  if (before && inHand?.family !== before.family) useLay.setState({ raised: 0, rowing: false });
});
