import { create } from 'zustand';
import type { WorkPlane } from '@/core/assemble';
import type { Vec3 } from '@/core/geometry';

interface LayState {
  /** Grid step, m; 0 lays freely. */
  readonly step: number;
  /** Height of the level work plane and depth of the upright one, m. */
  readonly level: number;
  readonly depth: number;
  /** Where the piece in hand would land, before it is snapped; null until the pointer says. */
  readonly ghostAt: Vec3 | null;
  set: (change: Partial<Omit<LayState, 'set'>>) => void;
}

/** How pieces are being laid. */
export const useLay = create<LayState>()((set) => ({
  step: 0.5,
  level: 0,
  depth: 0,
  ghostAt: null,
  set,
}));

/** The work plane of a view: upright seen from the side, level otherwise. */
export const planeOf = (
  mode: 'side' | 'above' | 'free',
  { level, depth }: { level: number; depth: number },
): WorkPlane => (mode === 'side' ? { axis: 'z', value: depth } : { axis: 'y', value: level });
