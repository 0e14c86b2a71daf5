import { useEffect } from 'react';
import type { Sky } from '@/core/course';
import { useSettings } from '../state/settings';

/** How a place sounds: noise through a filter, swelling slowly; and now and then a bell. */
const PLACES = {
  shore: { pitch: 520, depth: 0.75, swell: 0.11, loud: 0.05, bell: 0 },
  wind: { pitch: 900, depth: 0.5, swell: 0.05, loud: 0.035, bell: 0 },
  harbour: { pitch: 380, depth: 0.6, swell: 0.09, loud: 0.04, bell: 9 },
} as const;

/** The sound of a course's place, made in the page; silent while muted. */
export function Ambience({ sound }: { sound: Sky['sound'] }) {
  const muted = useSettings((s) => s.muted);
  useEffect(() => {
    if (!sound || muted || typeof AudioContext === 'undefined') return;
    return play(PLACES[sound]);
  }, [sound, muted]);
  return null;
}

function play({
  pitch,
  depth,
  swell,
  loud,
  bell,
}: (typeof PLACES)[keyof typeof PLACES]): () => void {
  const context = new AudioContext();
  const noise = context.createBufferSource();
  const buffer = context.createBuffer(1, context.sampleRate * 4, context.sampleRate);
  const samples = buffer.getChannelData(0);
  // Brown noise: each sample strays from the last.
  let last = 0;
  for (let i = 0; i < samples.length; i++) {
    last = (last + 0.02 * (2 * Math.random() - 1)) / 1.02;
    samples[i] = last * 3.5;
  }
  noise.buffer = buffer;
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
  noise.connect(filter).connect(gain).connect(context.destination);
  noise.start();
  wave.start();
  const ring = bell
    ? setInterval(() => {
        if (context.state !== 'running') return;
        const tone = context.createOscillator();
        const fade = context.createGain();
        tone.frequency.value = 660;
        fade.gain.setValueAtTime(0.025, context.currentTime);
        fade.gain.exponentialRampToValueAtTime(0.0001, context.currentTime + 2.4);
        tone.connect(fade).connect(context.destination);
        tone.start();
        tone.stop(context.currentTime + 2.5);
      }, bell * 1000)
    : undefined;
  // A page may only sound after it was touched.
  const wake = () => void context.resume();
  window.addEventListener('pointerdown', wake);
  return () => {
    clearInterval(ring);
    window.removeEventListener('pointerdown', wake);
    void context.close();
  };
}
