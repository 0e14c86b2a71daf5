import { useEffect, useState } from 'react';
import type { Course } from '@/core/course';
import type { Best } from '../finish/finished';
import type { LiveRun } from '../liveRun';
import { hudFacts, sameFacts, type HudFacts } from './hudFacts';

/**
 * What is shown over a run beside its clock, looked at in every frame and drawn anew only when it is other
 * than before; nothing is looked at while the run is held.
 */
export function useHudFacts(
  live: LiveRun,
  course: Course,
  best: Best | undefined,
  held: boolean,
): HudFacts {
  const [shown, show] = useState(() => hudFacts(live, course, best));
  useEffect(() => {
    const look = () => {
      const now = hudFacts(live, course, best);
      show((before) => (sameFacts(before, now) ? before : now));
    };
    if (held) return;
    let frame = requestAnimationFrame(function next() {
      look();
      frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [live, course, best, held]);
  return shown;
}
