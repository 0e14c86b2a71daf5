import {
  cosDeg,
  frameAt,
  prism,
  sinDeg,
  sweepAlong,
  type Frame,
  type Polyhedron,
  type Section,
  type Vec3,
} from '../../geometry';
import type { Family, PieceGeometry, Socket, Spec, Tone } from '../family';
import {
  degrees,
  evenly,
  pieceFrom,
  metres,
  oneOf,
  ringOutlines,
  roundOutline,
  type PartSpec,
} from '../parts';

/** Thickness of a track's bed; its top is what is run on. */
export const BED = 0.3;
/** Width of a kerb and its height over the bed, m; it can be stepped over. */
const KERB = 0.18;
const KERB_UP = 0.14;
/** Most degrees a curved piece turns between two frames. */
const FACET = 7.5;

const width = metres('width', 'Width', 3, 0.8, 20);
const side = oneOf('side', 'Turns', { left: 'Left', right: 'Right' });
const rise = metres('rise', 'Rises by', 0, -40, 40);

/** The bed and kerbs of a way of given width at each frame. */
function bedAlong(frames: readonly Frame[], wide: (i: number) => number, tone: Tone): PartSpec[] {
  const bed = (i: number): Section => {
    const half = wide(i) / 2;
    return [
      [-half, 0],
      [half, 0],
      [half, BED],
      [-half, BED],
    ];
  };
  const kerb =
    (s: 1 | -1) =>
    (i: number): Section => {
      const half = wide(i) / 2;
      const [a, b] = s > 0 ? [half - KERB, half] : [-half, -half + KERB];
      return [
        [a, BED],
        [b, BED],
        [b - (s > 0 ? 0 : 0.05), BED + KERB_UP],
        [a + (s > 0 ? 0.05 : 0), BED + KERB_UP],
      ];
    };
  const bits = (solids: Polyhedron[], t: Tone): PartSpec[] =>
    solids.map((solid) => ({ solid, tone: t }));
  return [
    ...bits(sweepAlong(frames, bed), tone),
    ...bits(sweepAlong(frames, kerb(1)), 'timber'),
    ...bits(sweepAlong(frames, kerb(-1)), 'timber'),
  ];
}

/** The end a way is entered by, its bed beginning at a height. */
const entry = (height = 0): Socket => ({ at: [0, height + BED, 0], heading: 180, kind: 'track' });
const BACK = entry();
const end = (at: Vec3, heading: number, pitch = 0): Socket => ({
  at: [at[0], at[1] + BED, at[2]],
  heading,
  kind: 'track',
  ...(pitch ? { pitch } : {}),
});

/** A way that bends by degrees to the left (or right), from a place and heading. */
function arc(
  from: Vec3,
  heading: number,
  radius: number,
  turn: number,
  { climb = 0, bank = 0, steps = 0 }: { climb?: number; bank?: number; steps?: number } = {},
): Frame[] {
  const sign = turn < 0 ? -1 : 1;
  const sweep = Math.abs(turn);
  // The middle of the bend, to the left or the right of where it begins.
  const cx = from[0] - sign * radius * sinDeg(heading);
  const cz = from[2] - sign * radius * cosDeg(heading);
  const n = steps || Math.max(2, Math.ceil(sweep / FACET));
  return evenly(0, 1, n).map((k) => {
    const h = heading + sign * sweep * k;
    const lean = bank * sinDeg(180 * k) * (k === 0 || k === 1 ? 0 : 1);
    return frameAt(
      [cx + sign * radius * sinDeg(h), from[1] + climb * k, cz + sign * radius * cosDeg(h)],
      h,
      0,
      sign * -lean,
    );
  });
}

/** A straight way whose height follows a curve of the part gone, 0 to 1. */
const upAndDown = (length: number, height: (k: number) => number, steps: number): Frame[] =>
  evenly(0, 1, steps).map((k) => frameAt([length * k, height(k), 0]));

/** Slow at both ends: 0 to 1. */
const eased = (k: number): number => k * k * (3 - 2 * k);

type Build = (spec: Spec) => PieceGeometry;
const track = (
  id: string,
  label: string,
  words: string,
  params: Family['params'],
  build: Build,
  size: Family['size'] = [4, BED, 3],
): Family => ({
  id,
  label,
  group: 'track',
  words: `track road way ${words}`,
  material: 'slate',
  size,
  sizable: false,
  params: [...params, width],
  build,
});

const length = (initial: number) => metres('length', 'Length', initial, 0.05, 100);

const straight = track('straight', 'Straight', 'line run', [length(4), rise], (spec) => {
  const [l, up, w] = [spec.number('length'), spec.number('rise'), spec.number('width')];
  const frames = upAndDown(l, (k) => up * k, 1);
  return pieceFrom(
    spec.tone,
    bedAlong(frames, () => w, spec.tone),
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

const bend = track(
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
    const frames = arc([0, 0, 0], 0, r, turn, { climb: up });
    return pieceFrom(
      spec.tone,
      bedAlong(frames, () => w, spec.tone),
      [BACK, end(arcEnd(r, turn, up), turn)],
    );
  },
);

/** How steeply the rim of a banked bend may rise and fall along the way: more is a wall where it begins. */
const RIM_SLOPE = 0.5;
const PI = 3.141592653589793;

/** Degrees a bend may lean at its middle: a short one has no room for more. */
function mostBank(radius: number, turn: number, wide: number): number {
  const length = (radius * Math.abs(turn) * PI) / 180;
  return (((RIM_SLOPE * length) / (PI * (wide / 2))) * 180) / PI;
}

const banked = track(
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
    const frames = arc([0, 0, 0], 0, r, turn, { bank, climb });
    return pieceFrom(
      spec.tone,
      bedAlong(frames, () => w, spec.tone),
      [BACK, end(arcEnd(r, turn, climb), turn)],
    );
  },
);

const chicane = track(
  'chicane',
  'Chicane',
  'bend wiggle two',
  [degrees('turn', 'Turns by', 30, 5, 80), metres('radius', 'Radius', 6, 1, 60), side],
  (spec) => {
    const [r, turn, w] = [radiusOf(spec), turnOf(spec), spec.number('width')];
    const first = arc([0, 0, 0], 0, r, turn);
    const second = arc(arcEnd(r, turn), turn, r, -turn);
    const last = second[second.length - 1];
    return pieceFrom(
      spec.tone,
      bedAlong([...first, ...second.slice(1)], () => w, spec.tone),
      [BACK, end(last.at, 0)],
    );
  },
);

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
    const frames = upAndDown(l, (k) => up * height(k), 10);
    return pieceFrom(
      spec.tone,
      bedAlong(frames, () => w, spec.tone),
      [entry(up * height(0)), end([l, up * height(1), 0], 0)],
    );
  });

const rising = profiled('rise', 'Rise', 'hill up slope climb', 6, 1.5, eased);
const falling = profiled('drop', 'Drop', 'hill down slope descent', 6, 1.5, (k) => 1 - eased(k));
const crest = profiled(
  'crest',
  'Crest',
  'hump hill bump over',
  6,
  0.8,
  (k) => (1 - cosDeg(360 * k)) / 2,
);
const dip = profiled(
  'dip',
  'Dip',
  'hollow valley under',
  6,
  0.6,
  (k) => 1 - (1 - cosDeg(360 * k)) / 2,
);
const lip = profiled('lip', 'Jump lip', 'kicker ramp take-off launch', 4, 0.9, (k) => k * k);
const landing = profiled(
  'landing',
  'Landing',
  'ramp down receive',
  5,
  0.9,
  (k) => (1 - k) * (1 - k),
);

const changing = (id: string, label: string, words: string, narrowing: boolean): Family =>
  track(id, label, words, [length(4), metres('wide', 'Wide end', 6, 0.8, 30)], (spec) => {
    const [l, w] = [spec.number('length'), spec.number('width')];
    const wide = spec.number('wide');
    const frames = upAndDown(l, () => 0, 8);
    const at = (i: number) => w + (wide - w) * eased(narrowing ? 1 - i / 8 : i / 8);
    return pieceFrom(spec.tone, bedAlong(frames, at, spec.tone), [BACK, end([l, 0, 0], 0)]);
  });
const widening = changing('widening', 'Widening', 'wide broad open', false);
const funnel = changing('funnel', 'Funnel', 'narrow narrowing squeeze', true);

/** A way that widens to two ways, which part to the left and the right. */
function forked(spec: Spec): { bits: PartSpec[]; ends: { at: Vec3; heading: number }[] } {
  const [w, l, turn] = [spec.number('width'), spec.number('length'), spec.number('turn')];
  const radius = Math.max(spec.number('radius'), w / 2 + 0.1);
  const root = upAndDown(l, () => 0, 6);
  const bits = bedAlong(root, (i) => w * (1 + eased(i / 6)), spec.tone);
  const ends = [1, -1].map((s) => {
    const from: Vec3 = [l, 0, (-s * w) / 2];
    const frames = arc(from, 0, radius, s * turn);
    bits.push(...bedAlong(frames, () => w, spec.tone));
    return { at: frames[frames.length - 1].at, heading: s * turn };
  });
  return { bits, ends };
}
const forkParams = [
  length(3),
  degrees('turn', 'Parts by', 30, 10, 90),
  metres('radius', 'Radius', 8, 1, 60),
];

const split = track('split', 'Split', 'fork junction two ways choice y', forkParams, (spec) => {
  const { bits, ends } = forked(spec);
  return pieceFrom(spec.tone, bits, [BACK, ...ends.map(({ at, heading }) => end(at, heading))]);
});

const join = track('join', 'Join', 'merge junction two ways y', forkParams, (spec) => {
  const { bits, ends } = forked(spec);
  // The same turned about: the two ways come in, the one goes out ahead.
  const round = ([x, y, z]: Vec3): Vec3 => [-x, y, -z];
  const turned = bits.map((bit) => ({
    ...bit,
    solid: { points: bit.solid.points.map(round), faces: bit.solid.faces },
  }));
  return pieceFrom(spec.tone, turned, [
    { at: [0, BED, 0], heading: 0, kind: 'track' },
    ...ends.map(({ at, heading }) => end(round(at), heading + 180)),
  ]);
});

const crossing = track(
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
    const plain = (frames: Frame[]) => bedAlong(frames, () => w, spec.tone);
    const arm = (from: Vec3, heading: number) => {
      const a = frameAt(from, heading);
      const reach = half - w / 2;
      const to: Vec3 = [
        from[0] + reach * cosDeg(heading),
        from[1],
        from[2] - reach * sinDeg(heading),
      ];
      return plain([a, frameAt(to, heading)]);
    };
    const middle = sweepAlong(
      [frameAt([half - w / 2, 0, 0]), frameAt([half + w / 2, 0, 0])],
      () => [
        [-w / 2, 0],
        [w / 2, 0],
        [w / 2, BED],
        [-w / 2, BED],
      ],
    );
    return pieceFrom(
      spec.tone,
      [
        ...arm([0, 0, 0], 0),
        ...middle.map((solid) => ({ solid })),
        ...arm([half + w / 2, 0, 0], 0),
        ...arm([half, 0, -w / 2], 90),
        ...arm([half, 0, w / 2], 270),
      ],
      [BACK, end([l, 0, 0], 0), end([half, 0, -half], 90), end([half, 0, half], 270)],
    );
  },
);

const loop = track(
  'loop',
  'Loop',
  'looping circle upside down vertical',
  [metres('radius', 'Radius', 4, 2, 30), side],
  (spec) => {
    const [r, w] = [spec.number('radius'), spec.number('width')];
    const s = spec.choice('side') === 'right' ? 1 : -1;
    const lead = 2;
    const shift = w + 0.4;
    const frames = [
      frameAt([0, 0, 0]),
      ...evenly(0, 1, 24).map((k) =>
        frameAt(
          [
            lead + r * sinDeg(360 * k) * (k === 1 ? 0 : 1),
            r * (1 - cosDeg(360 * k)),
            s * shift * eased(k),
          ],
          0,
          360 * k,
        ),
      ),
      frameAt([2 * lead, 0, s * shift]),
    ];
    return pieceFrom(
      spec.tone,
      bedAlong(frames, () => w, spec.tone),
      [BACK, end([2 * lead, 0, s * shift], 0)],
    );
  },
);

const buffer = track('buffer', 'Track end', 'stop barrier closed dead', [length(1.5)], (spec) => {
  const [l, w] = [spec.number('length'), spec.number('width')];
  const frames = upAndDown(l, () => 0, 1);
  const stop = sweepAlong([frameAt([l - Math.min(0.3, l / 2), 0, 0]), frameAt([l, 0, 0])], () => [
    [-w / 2, BED + KERB_UP],
    [w / 2, BED + KERB_UP],
    [w / 2, BED + 0.9],
    [-w / 2, BED + 0.9],
  ]);
  return pieceFrom(
    spec.tone,
    [
      ...bedAlong(frames, () => w, spec.tone),
      ...stop.map((solid) => ({ solid, tone: 'timber' as const })),
    ],
    [BACK],
  );
});

/** A dish that catches what runs into it, open on the side it is entered from. */
const cup: Family = {
  id: 'cup',
  label: 'Cup',
  group: 'track',
  words: 'track bowl dish hole catch end',
  material: 'slate',
  size: [3.6, 0.9, 3.6],
  sizable: true,
  params: [degrees('open', 'Opening', 75, 0, 180, 15)],
  build: ({ size: [w, h, d], tone, number }) => {
    const open = number('open') / 2;
    const floor = Math.min(BED, h / 3);
    const sides = Math.max(6, Math.round((360 - 2 * open) / 22.5));
    const part = 1 - 0.4 / Math.max(1, Math.min(w, d) / 2);
    // It is entered from behind, where pieces before it end.
    return pieceFrom(
      tone,
      [
        { solid: prism(roundOutline(w, d, 16), 0, floor) },
        ...ringOutlines(w, d, part, sides, 180 + open, 540 - open).map((outline) => ({
          solid: prism(outline, floor, h),
          tone: 'stone' as const,
        })),
      ],
      [{ at: [-w / 2, floor, 0], heading: 180, kind: 'rim' }],
    );
  },
};

export const TRACK: readonly Family[] = [
  straight,
  bend,
  banked,
  chicane,
  rising,
  falling,
  crest,
  dip,
  lip,
  landing,
  widening,
  funnel,
  split,
  join,
  crossing,
  loop,
  buffer,
  cup,
];
