import { cosDeg } from '../../../geometry';
import type { Family } from '../../family';
import { pieceFrom, metres } from '../../parts';
import { track, length, upAndDown, bedAlong, entry, end, eased } from './bed';

const profiled = (
  id: string,
  label: string,
  words: string,
  long: number,
  high: number,
  height: (k: number) => number,
): Family =>
  track(id, label, words, [length(long), metres('height', 'Height', high, 0.05, 40)], (spec) => {
    const [l, up, w] = [spec.number('length'), spec.number('height'), spec.number('width')];
    const way = upAndDown(l, (k) => up * height(k));
    return pieceFrom(
      spec.tone,
      bedAlong(way, () => w, spec.tone),
      [entry(up * height(0)), end([l, up * height(1), 0], 0)],
    );
  });

export const rising = profiled('rise', 'Rise', 'hill up slope climb', 6, 1.5, eased);

export const falling = profiled(
  'drop',
  'Drop',
  'hill down slope descent',
  6,
  1.5,
  (k) => 1 - eased(k),
);

export const crest = profiled(
  'crest',
  'Crest',
  'hump hill bump over',
  6,
  0.8,
  (k) => (1 - cosDeg(360 * k)) / 2,
);

export const dip = profiled(
  'dip',
  'Dip',
  'hollow valley under',
  6,
  0.6,
  (k) => 1 - (1 - cosDeg(360 * k)) / 2,
);

export const lip = profiled('lip', 'Jump lip', 'kicker ramp take-off launch', 4, 0.9, (k) => k * k);

export const landing = profiled(
  'landing',
  'Landing',
  'ramp down receive',
  5,
  0.9,
  (k) => (1 - k) * (1 - k),
);
