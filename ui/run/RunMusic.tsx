import { TICKS_PER_SECOND } from '@/core/motion';
import { useEffect, useState } from 'react';
import type { Course, SoundName } from '@/core/course';
import { FieldIndex, type RunEvent } from '@/core/run';
import { playSound } from '../music/musician';
import { sound, type ActSound } from '../music/sounds';
import { playMusic } from '../music/useMusician';
import { useSettings } from '../device/settings';
import type { LiveRun } from './liveRun';

/** What is heard of what happens in a run. */
const EVENT_SOUNDS: Partial<Record<RunEvent['kind'], ActSound>> = {
  jump: 'jump',
  stroke: 'take',
  land: 'land',
  bounce: 'bounce',
  pickup: 'gather',
  checkpoint: 'checkpoint',
  lap: 'round',
  leg: 'round',
  hazard: 'hurt',
  crush: 'hurt',
  fall: 'fall',
  break: 'remove',
  switch: 'join',
  portal: 'round',
  shut: 'refuse',
  missed: 'refuse',
  goal: 'finish',
};

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
    return playMusic(tempo, live.state.tick / TICKS_PER_SECOND);
  }, [plays, tempo, live]);
  useEffect(() => {
    if (held || muted || typeof AudioContext === 'undefined') return;
    const context = new AudioContext();
    let heard = live.events.length;
    const timer = setInterval(() => {
      setQuiet(live.state.field[FieldIndex.quiet] > 0);
      for (; heard < live.events.length; heard++) {
        const { kind, text } = live.events[heard];
        const act = EVENT_SOUNDS[kind];
        if (act) sound(act);
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
