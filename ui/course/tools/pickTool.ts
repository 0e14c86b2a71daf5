import { pickChoosable } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import { FAMILIES, pieceBounds } from '@/core/pieces';
import { pixelOf, rayAt, useView, type Tool } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { touchBeside } from '../open/sceneMode';
import { useTune } from '../open/tuneStore';

const REGION_FAMILIES = new Set(
  FAMILIES.filter(({ group }) => group === 'regions').map(({ id }) => id),
);

const ray = (x: number, y: number) => rayAt(useView.getState(), x, y);

/** What is only felt, as a mark at its middle that can be touched. */
export function feltAt(x: number, y: number): string | null {
  const view = useView.getState();
  let best: string | null = null;
  let least = 24;
  for (const piece of useCourse.getState().course.pieces) {
    const mark = feltMark(piece);
    const pixel = mark && pixelOf(view, mark);
    if (!pixel) continue;
    const away = Math.hypot(pixel[0] - x, pixel[1] - y);
    if (away < least) {
      least = away;
      best = piece.id;
    }
  }
  return best;
}

/** Where a region's mark stands, or null for what can be seen. */
export function feltMark(piece: Parameters<typeof pieceBounds>[0]): Vec3 | null {
  if (!REGION_FAMILIES.has(piece.family)) return null;
  const { low, high } = pieceBounds(piece);
  return [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2];
}

/** Touching a piece for a link, or to go along with. */
export function pickTool(): Tool {
  return {
    tap: (x, y) => {
      const { picking, set } = useTune.getState();
      const { course } = useCourse.getState();
      if (!picking) return;
      const id = feltAt(x, y) ?? pickChoosable(course, ray(x, y))?.id;
      const piece = course.pieces.find((one) => one.id === id);
      // A touch beside everything is the way out.
      if (!piece) return void touchBeside();
      const why = picking.misfit?.(course, piece);
      if (why) return set({ picking: { ...picking, words: why } });
      try {
        picking.take(piece.id);
        set({ picking: null });
      } catch (problem) {
        if (!(problem instanceof RangeError)) throw problem;
        set({ picking: { ...picking, words: problem.message } });
      }
    },
  };
}
