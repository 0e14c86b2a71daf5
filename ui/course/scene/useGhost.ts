import { useMemo } from 'react';
import type { PieceInHand } from '@/core/edit';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { landInHand, type GhostPlace } from '../tools/landing';
import { restingAt, useLay } from '../open/laying';

let last: { readonly from: readonly unknown[]; readonly place: GhostPlace } | null = null;

/** Where the piece in hand lands, worked out once for all who show it. */
function landOnce(
  course: Course,
  inHand: PieceInHand,
  pointed: Vec3,
  others: readonly unknown[],
): GhostPlace {
  const from = [course, inHand, ...pointed, ...others];
  const same = last?.from.length === from.length && last.from.every((v, i) => v === from[i]);
  if (!same) last = { from, place: landInHand(course, inHand, pointed) };
  return last!.place;
}

/** Where the piece in hand would land now; before any pointing, at the middle of the view. */
export function useGhost(): GhostPlace | null {
  const course = useDebouncedCourse();
  const inHand = useCourse((s) => s.inHand);
  const ghostAt = useLay((s) => s.ghostAt);
  const level = useLay((s) => s.level);
  const depth = useLay((s) => s.depth);
  const mode = useView((s) => s.mode);
  const distance = useView((s) => s.distance);
  const target = useView((s) => (ghostAt ? null : s.target));
  // What snaps is read when it lands; these are here so that a change of them lands it anew.
  const snaps = useLay(
    ({ steps, ends, corners, surface, snapping, snapSuspended, raised, gridOrigin, gridTurn }) =>
      [
        ...steps,
        ends,
        corners,
        surface,
        snapping,
        snapSuspended,
        raised,
        ...gridOrigin,
        gridTurn,
      ].join(),
  );
  return useMemo(() => {
    if (!inHand) return null;
    const pointed = ghostAt ?? restingAt(mode, { level, depth }, target);
    return landOnce(course, inHand, pointed, [mode, distance, level, depth, snaps]);
  }, [course, inHand, level, depth, ghostAt, mode, distance, target, snaps]);
}
