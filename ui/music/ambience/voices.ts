import type { Ambient } from '@/core/pieces';
import { pluck } from '../pluck';

/** Starts a sound of a place into an output. Returns how it is ended. */
type Voice = (context: AudioContext, out: AudioNode) => () => void;

interface Surge {
  /** Hz above which nothing is heard. */
  readonly pitch: number;
  /** How deep and how often it swells: a part, and times a second. */
  readonly depth: number;
  readonly swell: number;
  readonly loud: number;
}

/** Noise through a filter, swelling slowly: water and wind. */
const surge =
  ({ pitch, depth, swell, loud }: Surge): Voice =>
  (context, out) => {
    const noise = context.createBufferSource();
    noise.buffer = brownNoise(context);
    noise.loop = true;
    const filter = context.createBiquadFilter();
    filter.type = 'lowpass';
    filter.frequency.value = pitch;
    const gain = context.createGain();
    gain.gain.value = loud;
    const wave = context.createOscillator();
    const reach = context.createGain();
    wave.frequency.value = swell;
    reach.gain.value = loud * depth;
    wave.connect(reach).connect(gain.gain);
    noise.connect(filter).connect(gain).connect(out);
    noise.start();
    wave.start();
    return () => {
      noise.stop();
      wave.stop();
    };
  };

/** Seconds of noise that are made and repeated. */
const NOISE = 4;

/** Noise each sample of which strays from the last. */
function brownNoise(context: AudioContext): AudioBuffer {
  const buffer = context.createBuffer(1, context.sampleRate * NOISE, context.sampleRate);
  const samples = buffer.getChannelData(0);
  let last = 0;
  for (let i = 0; i < samples.length; i++) {
    last = (last + 0.02 * (2 * Math.random() - 1)) / 1.02;
    samples[i] = last * 3.5;
  }
  return buffer;
}

/** Something short that comes again and again, more or less every so many seconds. */
const nowAndThen =
  (seconds: number, cry: (context: AudioContext, out: AudioNode) => void): Voice =>
  (context, out) => {
    let timer: ReturnType<typeof setTimeout>;
    const next = () => {
      timer = setTimeout(
        () => {
          if (context.state === 'running') cry(context, out);
          next();
        },
        seconds * 1000 * (0.5 + Math.random()),
      );
    };
    next();
    return () => clearTimeout(timer);
  };

const both =
  (...voices: readonly Voice[]): Voice =>
  (context, out) => {
    const ends = voices.map((voice) => voice(context, out));
    return () => ends.forEach((end) => end());
  };

/** A tone that slides from one pitch to another and fades. */
function slide(
  context: AudioContext,
  out: AudioNode,
  { from, to, length, loud }: { from: number; to: number; length: number; loud: number },
): void {
  const now = context.currentTime;
  const tone = context.createOscillator();
  const fade = context.createGain();
  tone.type = 'triangle';
  tone.frequency.setValueAtTime(from, now);
  tone.frequency.exponentialRampToValueAtTime(to, now + length);
  fade.gain.setValueAtTime(loud, now);
  fade.gain.exponentialRampToValueAtTime(0.0005, now + length);
  tone.connect(fade).connect(out);
  tone.start(now);
  tone.stop(now + length + 0.02);
}

const ring = (pitch: number): Voice =>
  nowAndThen(9, (context, out) =>
    pluck(context, out, {
      at: context.currentTime,
      pitch: pitch,
      length: 2.4,
      loud: 0.025,
      type: 'sine',
    }),
  );

/** What each kind of place sounds like, made in the page. */
export const VOICES: Record<Ambient, Voice> = {
  shore: surge({ pitch: 520, depth: 0.75, swell: 0.11, loud: 0.05 }),
  wind: surge({ pitch: 900, depth: 0.5, swell: 0.05, loud: 0.035 }),
  harbour: both(surge({ pitch: 380, depth: 0.6, swell: 0.09, loud: 0.04 }), ring(660)),
  gulls: nowAndThen(3, (context, out) =>
    slide(context, out, { from: 1500, to: 900, length: 0.35, loud: 0.02 }),
  ),
  bell: nowAndThen(4, (context, out) => {
    pluck(context, out, {
      at: context.currentTime,
      pitch: 520,
      length: 3,
      loud: 0.035,
      type: 'sine',
    });
    pluck(context, out, {
      at: context.currentTime,
      pitch: 1330,
      length: 1.4,
      loud: 0.012,
      type: 'sine',
    });
  }),
  drip: nowAndThen(1.2, (context, out) =>
    slide(context, out, { from: 700, to: 1300, length: 0.09, loud: 0.03 }),
  ),
  kiln: surge({ pitch: 170, depth: 0.3, swell: 0.6, loud: 0.07 }),
};
