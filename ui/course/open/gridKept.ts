import { useEffect } from 'react';
import type { BuildGrid } from '@/core/course';
import { useCourse } from '../../state/courseStore';
import { useLay } from './laying';

/** How long steps and switches rest before they are kept with the course, ms. */
const REST = 600;

/** The steps and switches as they are now, as a course keeps them. */
function gridNow(): BuildGrid {
  const { steps, turnStep, gridOrigin, gridTurn, snapping, ends, corners, surface } =
    useLay.getState();
  return {
    steps: [...steps],
    turnStep,
    ...(gridOrigin.some((v) => v !== 0) ? { origin: [...gridOrigin] } : {}),
    ...(gridTurn === 0 ? {} : { turn: gridTurn }),
    ...{ snapping, ends, corners, surface },
  };
}

/** Restores the grid and snaps that the course keeps, and keeps them with it as they change. */
export function useGridKept(id: string): void {
  useEffect(() => {
    useLay.getState().restoreGrid(useCourse.getState().course.grid);
    let resting: ReturnType<typeof setTimeout> | undefined;
    const before = JSON.stringify(gridNow());
    let kept = before;
    const unheard = useLay.subscribe((now, then) => {
      const same =
        now.steps === then.steps &&
        now.turnStep === then.turnStep &&
        now.gridOrigin === then.gridOrigin &&
        now.gridTurn === then.gridTurn &&
        now.snapping === then.snapping &&
        now.ends === then.ends &&
        now.corners === then.corners &&
        now.surface === then.surface;
      if (same) return;
      clearTimeout(resting);
      resting = setTimeout(() => {
        const grid = gridNow();
        const told = JSON.stringify(grid);
        if (told === kept || useCourse.getState().id !== id) return;
        kept = told;
        useCourse.getState().keep({ grid });
      }, REST);
    });
    return () => {
      clearTimeout(resting);
      unheard();
    };
  }, [id]);
}
