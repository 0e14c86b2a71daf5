import { TICKS_PER_SECOND } from '@/core/motion';
import { useEffect, useMemo, type RefObject } from 'react';
import { useFrame, useThree } from '@react-three/fiber';
import { LinkPreview, MotionPreview } from '@/core/run';
import { restingMoment, ThrownCopies, type FrameState } from '../../scene';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { dryRunOf, isDryRun } from '../open/preview/dry';
import { scrubSeconds } from '../open/preview/scrub';
import { useTune } from '../open/tuneStore';

/** Brings the scene's moment to a time of what is played, or to rest. */
function show(moment: FrameState, play: MotionPreview | LinkPreview | null, seconds: number): void {
  if (!play) {
    Object.assign(moment, restingMoment());
    return;
  }
  play.to(seconds * TICKS_PER_SECOND);
  const gone = play instanceof LinkPreview ? play.gone() : new Set();
  Object.assign(moment, { tick: seconds * TICKS_PER_SECOND, posing: play.posing, gone });
}

/** Plays the course's motions into the scene while it is being tuned; at rest otherwise. */
export function Scrubbed({ moment }: { moment: RefObject<FrameState> }) {
  const course = useDebouncedCourse();
  const at = useTune((s) => s.at);
  const playing = useTune((s) => s.playing);
  const invalidate = useThree((s) => s.invalidate);
  const moving = at > 0 || playing;
  const tried = useTune((s) => s.tried);
  const { pieces, tempo, links } = course;
  // Made when something is to be played, and anew when what moves changes.
  const play = useMemo(
    () => {
      if (!moving) return null;
      return isDryRun(course) ? dryRunOf(course, tried) : new MotionPreview(course);
    },
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [moving, pieces, tempo, links, tried],
  );
  const length = useMemo(
    () => (playing ? scrubSeconds(course) : 0),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [playing, pieces, tempo, links],
  );
  useEffect(() => {
    show(moment.current, play, at);
    invalidate();
  }, [at, play, moment, invalidate]);
  useFrame((_, delta) => {
    if (!playing) return;
    const { at: now, speed, set } = useTune.getState();
    set({ at: (now + Math.min(delta, 0.1) * speed) % length });
    invalidate();
  });
  return play instanceof LinkPreview ? (
    <ThrownCopies world={play.world} state={play.state} />
  ) : null;
}
