import { useCallback, useEffect, useRef, useState } from 'react';
import type { Tempo } from '@/core/course';
import { playRecording } from './recording';
import { playAlong } from './musician';

/** Listening to a course's music while building. */
export function useMusician(tempo: Tempo | undefined): {
  readonly playing: boolean;
  readonly toggle: () => void;
} {
  const [playing, setPlaying] = useState(false);
  const beats = tempo?.beats;
  const latest = useRef(tempo);
  useEffect(() => {
    latest.current = tempo;
  });
  useEffect(() => {
    const now = latest.current;
    if (!playing || !now || beats === undefined) return;
    return playMusic(now);
  }, [playing, beats]);
  const toggle = useCallback(() => setPlaying((was) => !was), []);
  return { playing: playing && tempo !== undefined, toggle };
}

/**
 * Plays a course's music: its recording, or the musician.
 * @param from seconds of it that are over
 * @returns how it is stopped
 */
export function playMusic(tempo: Tempo, from = 0): () => void {
  if (tempo.recording) return playRecording(tempo.recording.file, from);
  if (typeof AudioContext === 'undefined') return () => {};
  const context = new AudioContext();
  void context.resume();
  const stop = playAlong(context, tempo, from);
  return () => {
    stop();
    void context.close();
  };
}
