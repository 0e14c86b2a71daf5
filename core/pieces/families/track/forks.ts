import { box, cosDeg, mapPoints, mapSwept, sinDeg, type Vec3 } from '../../../geometry';
import type { Family, Spec } from '../../family';
import { degrees, pieceFrom, metres, type PartSpec } from '../../parts';
import { arc, BACK, BED, bedAlong, eased, end, length, straightTo, track, upAndDown } from './bed';

const changing = (id: string, label: string, words: string, narrowing: boolean): Family =>
  track(id, label, words, [length(4), metres('wide', 'Wide end', 6, 0.8, 30)], (spec) => {
    const [l, w] = [spec.number('length'), spec.number('width')];
    const wide = spec.number('wide');
    const way = upAndDown(l, () => 0);
    const at = (k: number) => w + (wide - w) * eased(narrowing ? 1 - k : k);
    return pieceFrom(spec.tone, bedAlong(way, at, spec.tone), [BACK, end([l, 0, 0], 0)]);
  });

export const widening = changing('widening', 'Widening', 'wide broad open', false);

export const funnel = changing('funnel', 'Funnel', 'narrow narrowing squeeze', true);

/** A way that widens to two ways, which part to the left and the right. */
function forked(spec: Spec): { bits: PartSpec[]; ends: { at: Vec3; heading: number }[] } {
  const [w, l, turn] = [spec.number('width'), spec.number('length'), spec.number('turn')];
  const radius = Math.max(spec.number('radius'), w / 2 + 0.1);
  const root = upAndDown(l, () => 0);
  const bits = bedAlong(root, (k) => w * (1 + eased(k)), spec.tone);
  const ends = [1, -1].map((s) => {
    const from: Vec3 = [l, 0, (-s * w) / 2];
    const way = arc(from, 0, radius, s * turn);
    bits.push(...bedAlong(way, () => w, spec.tone));
    return { at: way(1).at, heading: s * turn };
  });
  return { bits, ends };
}

const forkParams = [
  length(3),
  degrees('turn', 'Parts by', 30, 10, 90),
  metres('radius', 'Radius', 8, 1, 60),
];

export const split = track(
  'split',
  'Split',
  'fork junction two ways choice y',
  forkParams,
  (spec) => {
    const { bits, ends } = forked(spec);
    return pieceFrom(spec.tone, bits, [BACK, ...ends.map(({ at, heading }) => end(at, heading))]);
  },
);

export const join = track('join', 'Join', 'merge junction two ways y', forkParams, (spec) => {
  const { bits, ends } = forked(spec);
  // The same turned about: the two ways come in, the one goes out ahead.
  const round = ([x, y, z]: Vec3): Vec3 => [-x, y, -z];
  const turned = bits.map((bit) => ({
    ...bit,
    solid: mapPoints(bit.solid, round),
    ...(bit.swept ? { swept: mapSwept(bit.swept, round) } : {}),
  }));
  return pieceFrom(spec.tone, turned, [
    { at: [0, BED, 0], heading: 0, kind: 'track' },
    ...ends.map(({ at, heading }) => end(round(at), heading + 180)),
  ]);
});

export const crossing = track(
  'crossing',
  'Crossing',
  'junction cross x intersection',
  [length(6)],
  (spec) => {
    const [l, w] = [
      Math.max(spec.number('length'), spec.number('width') + 0.5),
      spec.number('width'),
    ];
    const half = l / 2;
    const arm = (from: Vec3, heading: number) => {
      const reach = half - w / 2;
      const to: Vec3 = [
        from[0] + reach * cosDeg(heading),
        from[1],
        from[2] - reach * sinDeg(heading),
      ];
      return bedAlong(straightTo(from, to, heading), () => w, spec.tone);
    };
    const middle = box([half - w / 2, 0, -w / 2], [half + w / 2, BED, w / 2]);
    return pieceFrom(
      spec.tone,
      [
        ...arm([0, 0, 0], 0),
        { solid: middle },
        ...arm([half + w / 2, 0, 0], 0),
        ...arm([half, 0, -w / 2], 90),
        ...arm([half, 0, w / 2], 270),
      ],
      [BACK, end([l, 0, 0], 0), end([half, 0, -half], 90), end([half, 0, half], 270)],
    );
  },
);
