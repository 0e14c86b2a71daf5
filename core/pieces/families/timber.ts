import {
  box,
  extrude,
  facetedBall,
  mapPoints,
  prism,
  regularOutline,
  stack,
  type Vec2,
} from '../../geometry';
import type { Family } from '../family';
import {
  at,
  count,
  cutSlab,
  endSockets,
  evenly,
  pieceFrom,
  metres,
  rimSockets,
  decoration,
  standingBox,
} from '../parts';

const beam: Family = {
  id: 'beam',
  label: 'Beam',
  group: 'timber',
  words: 'bridge plank jetty walk balance',
  material: 'timber',
  size: [4, 0.3, 1.2],
  sizable: true,
  params: [],
  build: ({ size, tone }) => {
    const [w, h, d] = size;
    const planks = Math.max(2, Math.round(w / 0.5));
    const pitch = w / planks;
    const gap = Math.min(0.03, pitch / 4);
    const deck = Array.from({ length: planks }, (_, i) =>
      box([-w / 2 + i * pitch + gap, h * 0.5, -d / 2], [-w / 2 + (i + 1) * pitch - gap, h, d / 2]),
    );
    const rails = [-0.32, 0.32].map((z) =>
      box([-w / 2, 0, z * d - d / 16], [w / 2, h * 0.5, z * d + d / 16]),
    );
    return pieceFrom(
      tone,
      [...decoration(tone, ...deck, ...rails), { solid: standingBox(size), tone: null }],
      endSockets(w, h),
    );
  },
};

const plank: Family = {
  id: 'plank',
  label: 'Plank',
  group: 'timber',
  words: 'board narrow balance walk',
  material: 'timber',
  size: [4, 0.12, 0.5],
  sizable: true,
  params: [],
  build: ({ size, tone }) =>
    pieceFrom(
      tone,
      [{ solid: cutSlab(size, 0.02), shape: standingBox(size) }],
      endSockets(size[0], size[1]),
    ),
};

const log: Family = {
  id: 'log',
  label: 'Log',
  group: 'timber',
  words: 'trunk round balance tree',
  material: 'timber',
  size: [4, 0.7, 0.7],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => {
    const round = regularOutline(10, 0.5).map(([x, z]): Vec2 => [x * h, z * d]);
    // Raised along y, then laid over along x.
    const solid = mapPoints(prism(round, -w / 2, w / 2), ([x, y, z]) => [y, h / 2 - x, z]);
    return pieceFrom(tone, [{ solid }], endSockets(w, h));
  },
};

const post: Family = {
  id: 'post',
  label: 'Post',
  group: 'timber',
  words: 'pole pile stake',
  material: 'timber',
  size: [0.6, 2, 0.6],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => {
    const shaft = regularOutline(8, 0.5).map(([x, z]) => [x * w, z * d] as const);
    return pieceFrom(tone, [
      {
        solid: prism(shaft, 0, h, Math.min(0.06, h / 4, w / 5, d / 5)),
        shape: prism(shaft, 0, h),
      },
    ]);
  },
};

const trestle: Family = {
  id: 'trestle',
  label: 'Trestle',
  group: 'timber',
  words: 'support legs frame scaffold',
  material: 'timber',
  size: [2, 3, 2],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => {
    const t = Math.min(0.16, w / 6, d / 6);
    const legs = [-1, 1].flatMap((x) =>
      [-1, 1].map((z) => at(standingBox([t, h, t]), [x * (w / 2 - t / 2), 0, z * (d / 2 - t / 2)])),
    );
    const rungs = [0.35, 0.75].flatMap((k) =>
      [-1, 1].map((z) =>
        box(
          [-w / 2 + t, h * k, z * (d / 2 - t / 2) - t / 3],
          [w / 2 - t, h * k + Math.min(t, h / 8), z * (d / 2 - t / 2) + t / 3],
        ),
      ),
    );
    return pieceFrom(
      tone,
      [...legs, ...rungs].map((solid) => ({ solid })),
    );
  },
};

const jetty: Family = {
  id: 'jetty',
  label: 'Jetty',
  group: 'timber',
  words: 'pier dock quay boards piles',
  material: 'timber',
  size: [4, 2.4, 2],
  sizable: true,
  params: [],
  build: ({ size, tone }) => {
    const [w, h, d] = size;
    const thick = Math.min(0.2, h / 4);
    const planks = Math.max(2, Math.round(w / 0.5));
    const deck = Array.from({ length: planks }, (_, i) =>
      box(
        [-w / 2 + (w * (i + 0.04)) / planks, h - thick, -d / 2],
        [-w / 2 + (w * (i + 0.96)) / planks, h, d / 2],
      ),
    );
    const pile = regularOutline(6, Math.min(0.14, w / 8, d / 8));
    const piles = [-1, 1].flatMap((x) =>
      [-1, 1].map((z) => at(prism(pile, 0, h - thick), [x * w * 0.38, 0, z * d * 0.4])),
    );
    return pieceFrom(
      tone,
      [
        ...decoration(tone, ...deck),
        { solid: box([-w / 2, h - thick, -d / 2], [w / 2, h, d / 2]), tone: null },
        ...piles.map((solid) => ({ solid })),
      ],
      endSockets(w, h),
    );
  },
};

/** Uprights with lines of something between them. */
const railing = ({
  lines,
  thickness,
  pitch,
  ...told
}: Pick<Family, 'id' | 'label' | 'words' | 'material'> & {
  /** Heights of the lines as parts of the whole; their thickness, and uprights so far apart, m. */
  readonly lines: readonly number[];
  readonly thickness: number;
  readonly pitch: number;
}): Family => ({
  ...told,
  group: 'timber',
  size: [4, 1, 0.12],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => {
    const uprights = Math.max(2, Math.round(w / pitch) + 1);
    const t = Math.min(0.12, w / (2 * uprights));
    const posts = evenly(-w / 2 + t / 2, w / 2 - t / 2, uprights - 1).map((x) =>
      at(standingBox([t, h, d]), [x, 0, 0]),
    );
    const half = Math.min(thickness, h / 8) / 2;
    // A little within its posts, in whose ends it would flicker.
    const reach = w / 2 - Math.min(0.005, t / 4);
    const bars = lines.map((k) =>
      box([-reach, h * k - half, -d / 4], [reach, h * k + half, d / 4]),
    );
    return pieceFrom(
      tone,
      [
        ...decoration('timber', ...posts),
        ...decoration(tone, ...bars),
        { solid: standingBox([w, h, d]), tone: null },
      ],
      endSockets(w, 0, 'wall'),
    );
  },
});

const rail = railing({
  id: 'rail',
  label: 'Rail',
  words: 'fence barrier bar handrail',
  material: 'timber',
  lines: [0.5, 0.95],
  thickness: 0.1,
  pitch: 2,
});
const ropeRail = railing({
  id: 'rope-rail',
  label: 'Rope rail',
  words: 'fence line barrier rope',
  material: 'rope',
  lines: [0.45, 0.9],
  thickness: 0.06,
  pitch: 2,
});
const fence = railing({
  id: 'fence',
  label: 'Fence',
  words: 'paling pickets barrier',
  material: 'timber',
  lines: [0.3, 0.75],
  thickness: 0.1,
  pitch: 0.25,
});

const ladder: Family = {
  id: 'ladder',
  label: 'Ladder steps',
  group: 'timber',
  words: 'climb rungs steep stair',
  material: 'timber',
  size: [1.6, 2, 1.2],
  sizable: true,
  params: [count('count', 'Rungs', 8, 2, 40)],
  build: ({ size: [w, h, d], tone, number }) => {
    const rungs = Math.round(number('count'));
    const side = Math.min(0.1, d / 5);
    const bits = Array.from({ length: rungs }, (_, i) => {
      const x = -w / 2 + (w * i) / rungs;
      const top = (h * (i + 1)) / rungs;
      return {
        solid: box([x, top - Math.min(0.1, h / rungs / 2), -d / 2], [x + w / rungs, top, d / 2]),
      };
    });
    const stringer = extrude(
      [
        [-w / 2, 0],
        [-w / 2 + w / rungs, 0],
        [w / 2, h - h / rungs],
        [w / 2, h],
      ],
      side,
    );
    const [near, far] = [-1, 1].map((z) => at(stringer, [0, 0, (z * (d + side)) / 2]));
    return pieceFrom(
      tone,
      [...bits, ...decoration(tone, near, far)],
      [
        { at: [-w / 2, 0, 0], heading: 180, kind: 'rim' },
        { at: [w / 2, h, 0], heading: 0, kind: 'rim' },
      ],
    );
  },
};

const crate: Family = {
  id: 'crate',
  box: true,
  label: 'Crate',
  group: 'timber',
  words: 'box chest cargo',
  material: 'timber',
  size: [1, 1, 1],
  sizable: true,
  params: [],
  build: ({ size, tone }) => {
    const [w, h, d] = size;
    const t = Math.min(w, h, d) * 0.12;
    const bands = [-1, 1].flatMap((side) => [
      box([side < 0 ? -w / 2 : w / 2 - t, 0, -d / 2], [side < 0 ? -w / 2 + t : w / 2, h, d / 2]),
    ]);
    return pieceFrom(
      tone,
      [
        ...decoration(
          tone,
          box([-w / 2 + t, t / 3, -d / 2 + t / 3], [w / 2 - t, h - t / 3, d / 2 - t / 3]),
        ),
        ...decoration(tone, ...bands),
        { solid: standingBox(size), tone: null },
      ],
      rimSockets(size),
    );
  },
};

const cask: Family = {
  id: 'cask',
  label: 'Cask',
  group: 'timber',
  words: 'barrel drum keg standing',
  material: 'timber',
  size: [0.9, 1.2, 0.9],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => {
    const ring = (k: number) =>
      regularOutline(10, 0.5).map(([x, z]): Vec2 => [x * w * k, z * d * k]);
    return pieceFrom(tone, [
      {
        solid: stack([
          { outline: ring(0.82), y: 0 },
          { outline: ring(0.98), y: h * 0.44 },
        ]),
      },
      { solid: prism(ring(1), h * 0.44, h * 0.56), tone: 'metal' },
      {
        solid: stack([
          { outline: ring(0.98), y: h * 0.56 },
          { outline: ring(0.82), y: h },
        ]),
      },
    ]);
  },
};

const mast: Family = {
  id: 'mast',
  label: 'Mast',
  group: 'timber',
  words: 'pole tall spar ball',
  material: 'timber',
  size: [0.4, 6, 0.4],
  sizable: true,
  params: [metres('arm', 'Yard', 2, 0, 20)],
  build: ({ size: [w, h, d], tone, number }) => {
    const arm = number('arm');
    const r = Math.min(w / 2, d / 2, h / 4);
    return pieceFrom(tone, [
      { solid: prism(regularOutline(8, r), 0, h - r) },
      { solid: facetedBall([0, h - r, 0], r), tone: 'shell', role: null },
      ...(arm > 0.05
        ? [{ solid: box([-arm, h * 0.7, -r / 2], [arm, h * 0.7 + Math.min(r, h / 10), r / 2]) }]
        : []),
    ]);
  },
};

export const TIMBER: readonly Family[] = [
  beam,
  plank,
  log,
  post,
  trestle,
  jetty,
  rail,
  ropeRail,
  fence,
  ladder,
  crate,
  cask,
  mast,
];
