import { useMemo } from 'react';
import type { PieceInHand } from '@/core/assemble';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { useView } from '../scene';
import { landInHand, type GhostPlace } from './landing';
import { planeOf, useLay } from './layStore';

/** Where the piece in hand would land now; before any pointing, at the middle of the view. */
export function useGhost(course: Course, inHand: PieceInHand | null): GhostPlace | null {
  const ghostAt = useLay((s) => s.ghostAt);
  const level = useLay((s) => s.level);
  const depth = useLay((s) => s.depth);
  const mode = useView((s) => s.mode);
  const target = useView((s) => (ghostAt ? null : s.target));
  // What snaps is read when it lands; these are here so that a change of them lands it anew.
  const snaps = useLay(({ steps, ends, corners, surface, snapping, letGo }) =>
    [...steps, ends, corners, surface, snapping, letGo].join(),
  );
  return useMemo(() => {
    void snaps;
    if (!inHand) return null;
    return landInHand(course, inHand, ghostAt ?? restingAt(mode, { level, depth }, target));
  }, [course, inHand, level, depth, ghostAt, mode, target, snaps]);
}

/** The middle of the view on the work plane. */
export function restingAt(
  mode: 'side' | 'above' | 'free',
  planes: { level: number; depth: number },
  target: Vec3 | null,
): Vec3 {
  const [x, y, z] = target ?? [0, 0, 0];
  return planeOf(mode, planes).axis === 'z' ? [x, y, planes.depth] : [x, planes.level, z];
}
