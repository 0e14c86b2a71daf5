import type { SoundName, Tempo } from '@/core/course';
import { pluck } from './pluck';

/** Seconds ahead of which notes are set down, and how often more are. */
const AHEAD = 0.3;
const EVERY_MS = 100;

/** A small tune over two bars, as steps of a scale; none is a rest. */
const TUNE = [0, null, 2, 4, 5, null, 4, 2, 4, null, 1, null, 0, null, null, null];
/** A scale of five notes, so that nothing sounds wrong, from G up, Hz. */
const SCALE = [392, 440, 493.88, 587.33, 659.25, 783.99];
/** The bass under each half bar. */
const BASS = [98, 98, 130.81, 146.83];

/**
 * A simulated musician: a click on every beat, the first of a bar higher, a bass and a small tune.
 * @returns how it is stopped
 */
export function playAlong(context: AudioContext, tempo: Tempo, from = 0): () => void {
  const beat = 60 / tempo.beats;
  const bar = tempo.bar ?? 4;
  const start = context.currentTime + 0.06 - from + (tempo.offset ?? 0);
  const out = context.createGain();
  out.gain.value = 0.5;
  out.connect(context.destination);
  let next = Math.max(0, Math.ceil((context.currentTime - start) / (beat / 2)));
  const setDown = () => {
    for (; start + next * (beat / 2) < context.currentTime + AHEAD; next++) {
      const at = start + next * (beat / 2);
      if (at < context.currentTime) continue;
      const onBeat = next % 2 === 0;
      const count = next / 2;
      if (onBeat) {
        const pitch = count % bar === 0 ? 1320 : 880;
        pluck(context, out, { at, pitch, length: 0.05, loud: 0.12, type: 'square' });
      }
      const step = TUNE[next % TUNE.length];
      if (step !== null)
        pluck(context, out, {
          at,
          pitch: SCALE[step],
          length: beat * 0.9,
          loud: 0.14,
          type: 'triangle',
        });
      if (onBeat && count % 2 === 0) {
        pluck(context, out, {
          at,
          pitch: BASS[(count / 2) % BASS.length],
          length: beat * 1.8,
          loud: 0.2,
          type: 'sine',
        });
      }
    }
  };
  setDown();
  const timer = setInterval(setDown, EVERY_MS);
  return () => {
    clearInterval(timer);
    out.disconnect();
  };
}

/** What each sound is made of: pitches and lengths one after the other. */
const SOUNDS: Record<SoundName, readonly [pitch: number, after: number, length: number][]> = {
  bell: [
    [880, 0, 1.6],
    [1318, 0, 1.1],
  ],
  horn: [
    [146, 0, 0.7],
    [220, 0.02, 0.7],
  ],
  knock: [
    [180, 0, 0.09],
    [160, 0.16, 0.09],
  ],
  chime: [
    [659, 0, 0.8],
    [784, 0.12, 0.8],
    [988, 0.24, 1],
  ],
};

/** Plays a link's sound. */
export function playSound(context: AudioContext, name: SoundName): void {
  const out = context.createGain();
  out.gain.value = 0.4;
  out.connect(context.destination);
  for (const [pitch, after, length] of SOUNDS[name]) {
    const type = name === 'horn' ? 'sawtooth' : name === 'knock' ? 'square' : 'sine';
    pluck(context, out, { at: context.currentTime + after, pitch, length, loud: 0.3, type });
  }
}
