import { useMemo } from 'react';
import { refusal, snapToGrid, type PieceInHand } from '@/core/assemble';
import type { Course } from '@/core/course';
import { sub, type Vec3 } from '@/core/geometry';
import { pieceBounds } from '@/core/pieces';
import { useView } from '../scene';
import { planeOf, useLay } from './layStore';

/** The piece in hand where it would land, and why it may not go there. */
export interface GhostPlace {
  readonly piece: PieceInHand;
  readonly refused: string | null;
}

/** From a pointed place to where a piece's foot goes: held by its middle on an upright plane. */
export function footFor(piece: PieceInHand, pointed: Vec3, upright: boolean, step: number): Vec3 {
  if (!upright) return snapToGrid(pointed, step);
  const { low, high } = pieceBounds({ ...piece, at: [0, 0, 0], id: 'ghost' });
  const middle: Vec3 = [0, (low[1] + high[1]) / 2, 0];
  const [x, y] = snapToGrid(sub(pointed, middle), step);
  // The plane's own depth is kept as it was set, grid or not.
  return [x, y, pointed[2]];
}

/** Where the piece in hand would land now; before any pointing, at the middle of the view. */
export function useGhost(course: Course, inHand: PieceInHand | null): GhostPlace | null {
  const { step, level, depth, ghostAt } = useLay();
  const mode = useView((s) => s.mode);
  const target = useView((s) => (ghostAt ? null : s.target));
  return useMemo(() => {
    if (!inHand) return null;
    const plane = planeOf(mode, { level, depth });
    const rest: Vec3 =
      plane.axis === 'z'
        ? [target?.[0] ?? 0, target?.[1] ?? 0, depth]
        : [target?.[0] ?? 0, level, target?.[2] ?? 0];
    const at = footFor(inHand, ghostAt ?? rest, plane.axis === 'z', step);
    const piece = { ...inHand, at: [...at] as [number, number, number] };
    return { piece, refused: refusal(course, piece) };
  }, [course, inHand, step, level, depth, ghostAt, mode, target]);
}
