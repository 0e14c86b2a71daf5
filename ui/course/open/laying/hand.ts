import type { PieceInHand } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import type { SetSlice } from './slice';

/** How the piece in hand is held; the piece itself is with the course. */
export interface Hand {
  /** Where the piece in hand would land, before it is snapped; null until the pointer says. */
  readonly ghostAt: Vec3 | null;
  /** Height above where it lands, m; below 0 under it. */
  readonly raised: number;
  /** A drag draws out a row of the piece instead of moving it. */
  readonly rowing: boolean;
  /** The world's axis that the piece is turned about. */
  readonly handAxis: 0 | 1 | 2;
  /** All that can be done with the piece is shown. */
  readonly handOpen: boolean;
  /** The row that a drag has drawn out so far. */
  readonly row: readonly PieceInHand[] | null;
  moveGhost: (to: Vec3 | null) => void;
  raiseHand: (to: number) => void;
  toggleRowing: () => void;
  turnHandAbout: (axis: 0 | 1 | 2) => void;
  toggleHandOpen: () => void;
  showRow: (row: readonly PieceInHand[] | null) => void;
  /** Another piece is in hand: it lands where it is pointed at. */
  lowerHand: () => void;
}

/** A hand that was never moved, and its actions. */
export const handSlice = (set: SetSlice<Hand>): Hand => ({
  ghostAt: null,
  raised: 0,
  rowing: false,
  handAxis: 1,
  handOpen: false,
  row: null,
  moveGhost: (ghostAt) => set({ ghostAt }),
  raiseHand: (raised) => set({ raised }),
  toggleRowing: () => set((now) => ({ rowing: !now.rowing })),
  turnHandAbout: (handAxis) => set({ handAxis }),
  toggleHandOpen: () => set((now) => ({ handOpen: !now.handOpen })),
  showRow: (row) => set({ row }),
  lowerHand: () => set({ raised: 0, rowing: false }),
});
