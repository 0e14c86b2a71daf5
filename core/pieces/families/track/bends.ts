import { cosDeg, sinDeg, type Vec3 } from '../../../geometry';
import type { Spec } from '../../family';
import { degrees, pieceFrom, metres } from '../../parts';
import { arc, BACK, BANK_PACE, bedAlong, end, length, rise, side, track, upAndDown } from './bed';

export const straight = track('straight', 'Straight', 'line run', [length(4), rise], (spec) => {
  const [l, up, w] = [spec.number('length'), spec.number('rise'), spec.number('width')];
  const way = upAndDown(l, (k) => up * k);
  return pieceFrom(
    spec.tone,
    bedAlong(way, () => w, spec.tone),
    [BACK, end([l, up, 0], 0)],
  );
});

/** Signed degrees of a bend: to the left above zero. */
const turnOf = (spec: Spec): number =>
  spec.number('turn') * (spec.choice('side') === 'right' ? -1 : 1);

/** A bend's radius, never so tight that its inner rim turns inside out. */
const radiusOf = (spec: Spec): number =>
  Math.max(spec.number('radius'), spec.number('width') / 2 + 0.1);

/** Where an arc that starts at the origin along x ends. */
export const arcEnd = (radius: number, turn: number, climb = 0): Vec3 => {
  const sign = turn < 0 ? -1 : 1;
  const a = Math.abs(turn);
  return [radius * sinDeg(a), climb, -sign * radius * (1 - cosDeg(a))];
};

export const bend = track(
  'bend',
  'Bend',
  'curve corner turn spiral',
  [degrees('turn', 'Turns by', 45, 5, 360), metres('radius', 'Radius', 6, 1, 100), side, rise],
  (spec) => {
    const [r, turn, w, up] = [
      radiusOf(spec),
      turnOf(spec),
      spec.number('width'),
      spec.number('rise'),
    ];
    const way = arc([0, 0, 0], 0, r, turn, { climb: up });
    return pieceFrom(
      spec.tone,
      bedAlong(way, () => w, spec.tone),
      [BACK, end(arcEnd(r, turn, up), turn)],
    );
  },
);

/** How steeply the rim of a banked bend may rise and fall along the way: more is a wall. */
const RIM_SLOPE = 0.6;

const PI = 3.141592653589793;

/** Degrees a bend may lean at its middle: a short one has no room for more. */
function mostBank(radius: number, turn: number, wide: number): number {
  const length = (radius * Math.abs(turn) * PI) / 180;
  return (((RIM_SLOPE * length) / (BANK_PACE * (wide / 2))) * 180) / PI;
}

export const banked = track(
  'banked',
  'Banked bend',
  'curve corner tilted fast',
  [
    degrees('turn', 'Turns by', 90, 5, 360),
    metres('radius', 'Radius', 9, 1, 100),
    side,
    degrees('bank', 'Bank', 20, 0, 45, 5),
    rise,
  ],
  (spec) => {
    const [r, turn, w] = [radiusOf(spec), turnOf(spec), spec.number('width')];
    const climb = spec.number('rise');
    const bank = Math.min(spec.number('bank'), mostBank(r, turn, w));
    const way = arc([0, 0, 0], 0, r, turn, { bank, climb });
    return pieceFrom(
      spec.tone,
      bedAlong(way, () => w, spec.tone),
      [BACK, end(arcEnd(r, turn, climb), turn)],
    );
  },
);

export const chicane = track(
  'chicane',
  'Chicane',
  'bend wiggle two',
  [degrees('turn', 'Turns by', 30, 5, 80), metres('radius', 'Radius', 6, 1, 60), side],
  (spec) => {
    const [r, turn, w] = [radiusOf(spec), turnOf(spec), spec.number('width')];
    const halves = [arc([0, 0, 0], 0, r, turn), arc(arcEnd(r, turn), turn, r, -turn)];
    return pieceFrom(
      spec.tone,
      halves.flatMap((way) => bedAlong(way, () => w, spec.tone)),
      [BACK, end(halves[1](1).at, 0)],
    );
  },
);
