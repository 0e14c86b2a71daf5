import { useEffect, useState } from 'react';
import type { Course, SoundName } from '@/core/course';
import { F } from '@/core/run';
import { playSound } from '../music/musician';
import { playMusic } from '../music/useMusician';
import { useSettings } from '../state/settings';
import type { LiveRun } from './liveRun';

/** How often it is looked whether something has to sound, ms. */
const EVERY_MS = 60;

/** The music of a course while it is run, and the sounds its links make; silent where it is quiet. */
export function RunMusic({ live, course, held }: { live: LiveRun; course: Course; held: boolean }) {
  const muted = useSettings((s) => s.muted);
  const [quiet, setQuiet] = useState(false);
  const { tempo } = course;
  const plays = tempo?.plays === true && !muted && !held && !quiet;
  useEffect(() => {
    if (!plays || !tempo) return;
    return playMusic(tempo, live.state.tick / 120);
  }, [plays, tempo, live]);
  useEffect(() => {
    if (held || muted || typeof AudioContext === 'undefined') return;
    const context = new AudioContext();
    let heard = live.events.length;
    const timer = setInterval(() => {
      setQuiet(live.state.field[F.quiet] > 0);
      for (; heard < live.events.length; heard++) {
        const { kind, text } = live.events[heard];
        if (kind === 'sound') playSound(context, (text ?? 'bell') as SoundName);
      }
    }, EVERY_MS);
    return () => {
      clearInterval(timer);
      void context.close();
    };
  }, [held, muted, live]);
  return null;
}
