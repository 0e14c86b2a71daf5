import type { BlockSide } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import type { SetSlice } from './slice';

/** What the handles about the chosen pieces do. */
export const HANDLE_MODES = ['move', 'turn', 'stretch', 'slope'] as const;
export type HandleMode = (typeof HANDLE_MODES)[number];

/** A handle that a drag can take. */
export interface HeldHandle {
  readonly axis: 0 | 1 | 2;
  readonly side: 1 | -1;
  readonly edge?: BlockSide;
}

/** A ring of copies: its middle over the map (m), their number, the angle they fill (degrees), the rise (m). */
export interface Ring {
  readonly px: number;
  readonly pz: number;
  readonly count: number;
  readonly sweep: number;
  readonly rise: number;
}

export type ChoosingSwitch = 'adding' | 'dragCopies' | 'ownAxes' | 'bothSides';

/** How pieces are chosen, and what is done to the chosen ones in the scene. */
export interface Choosing {
  /** A touch adds to the choice. */
  readonly adding: boolean;
  /** A drag leaves the chosen pieces and moves copies. */
  readonly dragCopies: boolean;
  readonly handles: HandleMode;
  /** Handles along the piece's own axes, and stretching from both sides. */
  readonly ownAxes: boolean;
  readonly bothSides: boolean;
  /** The side that stays when a size is typed; the middle of the foot for none. */
  readonly sizeKeeps: 'low' | 'middle' | 'high';
  /** The handle that a drag has hold of. */
  readonly held: HeldHandle | null;
  /** Lining up corner on corner: the chosen pieces' own corner once it is touched. */
  readonly cornering: { readonly own: Vec3 | null } | null;
  /** A ring of copies whose middle is being moved over the scene. */
  readonly pivot: Ring | null;
  toggleChoosing: (which: ChoosingSwitch) => void;
  setHandles: (mode: HandleMode) => void;
  keepSide: (side: 'low' | 'middle' | 'high') => void;
  holdHandle: (handle: HeldHandle | null) => void;
  /** Begins with no corner; goes on once one of the chosen pieces' own is touched. */
  lineUpCorner: (own: Vec3 | null) => void;
  endCornering: () => void;
  showRing: (ring: Ring | null) => void;
}

/** Choosing one piece at a time, moved by handles, and the actions that change it. */
export const choosingSlice = (set: SetSlice<Choosing>): Choosing => ({
  adding: false,
  dragCopies: false,
  handles: 'move',
  ownAxes: false,
  bothSides: false,
  sizeKeeps: 'middle',
  held: null,
  cornering: null,
  pivot: null,
  toggleChoosing: (which) => set((now) => ({ [which]: !now[which] })),
  setHandles: (handles) => set({ handles }),
  keepSide: (sizeKeeps) => set({ sizeKeeps }),
  holdHandle: (held) => set({ held }),
  lineUpCorner: (own) => set({ cornering: { own } }),
  endCornering: () => set({ cornering: null }),
  showRing: (pivot) => set({ pivot }),
});
