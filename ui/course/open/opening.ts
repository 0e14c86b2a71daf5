import { useEffect } from 'react';
import { endGlide, glideTo, useView, type View as ViewState } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { motionReduced } from '../../device/motion';
import { usePlaces, type Place } from '../../state/places';
import { useLay } from './laying';

/** How long all of a course is seen before one is where one worked last, ms. */
const WHOLE = 900;
/** How long the way there takes, ms. */
const GOING = 700;
/** How long the view rests before where it is is kept, ms. */
const REST = 800;

/** Where one is now. */
export function placeNow(): Place {
  const { target, distance, yaw, pitch, mode } = useView.getState();
  const { level, depth } = useLay.getState();
  return { target, distance, yaw, pitch, mode, level, depth };
}

function layAtPlace(level: number, depth: number): void {
  const { moveWorkPlane, moveGhost } = useLay.getState();
  moveWorkPlane({ level, depth });
  moveGhost(null);
}

/** Goes to a place, its work plane with it. */
export function goToPlace({ level, depth, ...eye }: Place, ms?: number): void {
  layAtPlace(level, depth);
  glideTo(eye, ms);
}

/** Near the start, near enough to work. */
function beginning(): Place {
  const { course } = useCourse.getState();
  const begin = course.pieces.find(({ family }) => family === 'start')?.at ?? [0, 0, 0];
  // The canvas is not measured yet when a course is opened.
  const tall = window.innerHeight > window.innerWidth;
  const sideOn = course.space === 'side-on';
  return {
    target: [begin[0] + 2.5, begin[1] + 1.2, begin[2]],
    distance: tall ? 31 : 23,
    ...(sideOn ? { yaw: 0, pitch: 9 } : { yaw: -32, pitch: 32 }),
    mode: sideOn ? 'side' : 'free',
    level: begin[1],
    depth: begin[2],
  };
}

/**
 * Opens the view on a course: all of it for a moment, then where one worked last on this device, else its start.
 * Whoever moves the view meanwhile has it; where no motion is wanted it is there at once.
 */
export function useOpening(id: string): void {
  useEffect(() => {
    const to = usePlaces.getState().courses[id]?.last ?? beginning();
    const { level, depth, ...eye } = to;
    const view = useView.getState();
    layAtPlace(level, depth);
    view.look(eye);
    const { course } = useCourse.getState();
    let going: ReturnType<typeof setTimeout> | undefined;
    if (!motionReduced() && course.pieces.length > 3) {
      if (view.width < 100) view.resize(window.innerWidth, window.innerHeight * 0.6);
      view.fit(course);
      const shown = useView.getState();
      going = setTimeout(() => {
        const now = useView.getState();
        if (now.target === shown.target && now.distance === shown.distance) goToPlace(to, GOING);
      }, WHOLE);
    }
    let resting: ReturnType<typeof setTimeout> | undefined;
    const keep = (now: ViewState, before: ViewState) => {
      if (
        now.target === before.target &&
        now.distance === before.distance &&
        now.yaw === before.yaw
      )
        return;
      clearTimeout(resting);
      resting = setTimeout(() => usePlaces.getState().leave(id, placeNow()), REST);
    };
    const unheard = useView.subscribe(keep);
    return () => {
      clearTimeout(going);
      clearTimeout(resting);
      endGlide();
      unheard();
    };
  }, [id]);
}
