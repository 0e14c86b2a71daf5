import { useEffect, useMemo, type RefObject } from 'react';
import { useFrame, useThree } from '@react-three/fiber';
import type { Course } from '@/core/course';
import { Playing } from '@/core/run';
import { restingMoment, type Moment } from '../scene';
import { SCRUB_SECONDS } from './tune/scrub';
import { useTune } from './tune/tuneStore';

/** Brings the scene's moment to a time of what is played, or to rest. */
function show(moment: Moment, play: Playing | null, seconds: number): void {
  if (!play) {
    Object.assign(moment, restingMoment());
    return;
  }
  play.to(seconds * 120);
  Object.assign(moment, { tick: seconds * 120, posing: play.posing });
}

/** Plays the course's motions into the scene while it is being tuned; at rest otherwise. */
export function Scrubbed({ course, moment }: { course: Course; moment: RefObject<Moment> }) {
  const at = useTune((s) => s.at);
  const playing = useTune((s) => s.playing);
  const invalidate = useThree((s) => s.invalidate);
  const moving = at > 0 || playing;
  const { pieces, tempo } = course;
  // Made when something is to be played, and anew when what moves changes.
  const play = useMemo(
    () => (moving ? new Playing({ ...course, pieces, tempo }) : null),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [moving, pieces, tempo],
  );
  useEffect(() => {
    show(moment.current, play, at);
    invalidate();
  }, [at, play, moment, invalidate]);
  useFrame((_, delta) => {
    if (!playing) return;
    const { at: now, speed, set } = useTune.getState();
    set({ at: (now + Math.min(delta, 0.1) * speed) % SCRUB_SECONDS });
    invalidate();
  });
  return null;
}
