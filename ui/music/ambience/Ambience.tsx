import { useEffect, useMemo, useRef } from 'react';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { useSettings } from '../../device/settings';
import { soundPlaces, type SoundPlace } from './loudness';
import { VOICES } from './voices';

/** How often it is listened anew how near the placed sounds are, ms; and how soon that is heard, s. */
const EVERY_MS = 150;
const SOON = 0.15;
/** Most placed sounds that are made at once: the loudest. */
const MOST = 8;

interface AmbienceProps {
  readonly course: Pick<Course, 'pieces' | 'sky'>;
  /** Where it is listened from: the runner, or what is looked at. */
  readonly listener: () => Vec3;
  /** Whether nothing is to be heard there. */
  readonly quiet?: () => boolean;
}

/** The sound of a course's place and those placed in it, made in the page; silent while muted. */
export function Ambience({ course, listener, quiet }: AmbienceProps) {
  const muted = useSettings((s) => s.muted);
  const { pieces, sky } = course;
  const places = useMemo(() => soundPlaces(pieces), [pieces]);
  // Only what is heard begins anew, not for every stone that is laid.
  const heard = JSON.stringify([sky?.sound, places.map(({ id, what }) => [id, what])]);
  const latest = useRef({ places, listener, quiet });
  useEffect(() => {
    latest.current = { places, listener, quiet };
  });
  useEffect(() => {
    const { places: now } = latest.current;
    if (muted || typeof AudioContext === 'undefined' || (!sky?.sound && now.length === 0)) return;
    return sounding(sky?.sound ?? null, () => latest.current);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [heard, muted]);
  return null;
}

interface Heard {
  readonly gain: GainNode;
  readonly end: () => void;
}

function sounding(
  background: NonNullable<Course['sky']>['sound'] | null,
  now: () => { places: readonly SoundPlace[] } & Pick<AmbienceProps, 'listener' | 'quiet'>,
): () => void {
  const context = new AudioContext();
  const all = context.createGain();
  all.connect(context.destination);
  const endBackground = background ? VOICES[background](context, all) : () => {};
  const made = new Map<string, Heard>();
  const make = ({ what }: SoundPlace): Heard => {
    const gain = context.createGain();
    gain.gain.value = 0;
    gain.connect(all);
    return { gain, end: VOICES[what](context, gain) };
  };
  const listen = () => {
    const { places, listener, quiet } = now();
    const at = listener();
    all.gain.setTargetAtTime(quiet?.() ? 0 : 1, context.currentTime, SOON);
    const loudest = places
      .map((place) => ({ place, loud: place.at(at) }))
      .filter(({ loud }) => loud > 0)
      .sort((a, b) => b.loud - a.loud)
      .slice(0, MOST);
    const kept = new Set(loudest.map(({ place }) => place.id));
    for (const [id, { gain, end }] of made) {
      if (kept.has(id)) continue;
      end();
      gain.disconnect();
      made.delete(id);
    }
    for (const { place, loud } of loudest) {
      const one = made.get(place.id) ?? make(place);
      made.set(place.id, one);
      one.gain.gain.setTargetAtTime(loud, context.currentTime, SOON);
    }
  };
  listen();
  const timer = setInterval(listen, EVERY_MS);
  // A page may only sound after it was touched.
  const wake = () => void context.resume();
  window.addEventListener('pointerdown', wake);
  return () => {
    clearInterval(timer);
    window.removeEventListener('pointerdown', wake);
    endBackground();
    for (const { end } of made.values()) end();
    void context.close();
  };
}
