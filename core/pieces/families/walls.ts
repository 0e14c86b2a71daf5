import { box, cosDeg, extrude, loft, prism, type Polyhedron, type Vec2 } from '../../geometry';
import type { Family, Role } from '../family';
import {
  columns,
  endSockets,
  evenly,
  hashNoise,
  pieceFrom,
  metres,
  ringOutlines,
  decoration,
  standingBox,
} from '../parts';

const panelled = (
  id: string,
  label: string,
  words: string,
  size: Family['size'],
  params: Family['params'],
  solids: (w: number, h: number, d: number, number: (key: string) => number) => Polyhedron[],
): Family => ({
  id,
  label,
  group: 'walls',
  words,
  material: 'stone',
  size,
  sizable: true,
  params,
  build: ({ size: [w, h, d], tone, number }) =>
    pieceFrom(
      tone,
      solids(w, h, d, number).map((solid) => ({ solid })),
      endSockets(w, 0, 'wall'),
    ),
});

const panel = panelled('panel', 'Wall panel', 'wall full solid', [2, 2.4, 0.3], [], (w, h, d) => [
  standingBox([w, h, d]),
]);

const half = panelled('half', 'Half wall', 'low parapet wall', [2, 1, 0.3], [], (w, h, d) => [
  box([-w / 2, 0, -d / 2], [w / 2, h * 0.88, d / 2]),
  box([-w / 2, h * 0.88, -d * 0.62], [w / 2, h, d * 0.62]),
]);

/**
 * A wall with a rectangle left open, as what stands about it.
 * @param w width, m
 * @param h height, m
 * @param d depth, m
 * @param opening its sizes, m
 */
export function aroundOpening(
  w: number,
  h: number,
  d: number,
  opening: { width: number; sill: number; head: number },
): Polyhedron[] {
  const half = Math.min(opening.width, w * 0.9) / 2;
  const head = Math.min(opening.head, h * 0.95);
  const sill = Math.min(opening.sill, head * 0.9);
  const solids = [
    box([-w / 2, 0, -d / 2], [-half, h, d / 2]),
    box([half, 0, -d / 2], [w / 2, h, d / 2]),
    box([-half, head, -d / 2], [half, h, d / 2]),
  ];
  if (sill > 0.01) solids.push(box([-half, 0, -d / 2], [half, sill, d / 2]));
  return solids;
}

const doorway = panelled(
  'doorway',
  'Doorway',
  'wall door opening entrance passage',
  [2, 2.4, 0.3],
  [metres('width', 'Opening', 1.2, 0.3, 20), metres('head', 'Head height', 1.9, 0.3, 20)],
  (w, h, d, number) =>
    aroundOpening(w, h, d, { width: number('width'), sill: 0, head: number('head') }),
);

const windowed = panelled(
  'window',
  'Window',
  'wall opening gap',
  [2, 2.4, 0.3],
  [
    metres('width', 'Opening', 1.1, 0.2, 20),
    metres('sill', 'Sill height', 0.9, 0.1, 20),
    metres('head', 'Head height', 1.9, 0.3, 20),
  ],
  (w, h, d, number) =>
    aroundOpening(w, h, d, {
      width: number('width'),
      sill: number('sill'),
      head: number('head'),
    }),
);

const cracked: Family = {
  ...panel,
  id: 'cracked',
  label: 'Cracked wall',
  words: 'wall damaged split weak',
  build: ({ size: [w, h, d], tone }) => {
    // A jagged split from top to bottom; both halves touch, so nothing gets through.
    const ys = evenly(0, h, 5);
    const crack = (y: number) => w * 0.14 * (hashNoise(y / h, 4) - 0.5);
    const halves = ys.slice(1).flatMap((top, i) => {
      const low = ys[i];
      const [a, b] = [crack(low), crack(top)];
      const gap = w * 0.01;
      const left: Vec2[] = [
        [-w / 2, low],
        [a - gap, low],
        [b - gap, top],
        [-w / 2, top],
      ];
      const right: Vec2[] = [
        [a + gap, low],
        [w / 2, low],
        [w / 2, top],
        [b + gap, top],
      ];
      return [extrude(left, d), extrude(right, d)];
    });
    return pieceFrom(
      tone,
      [...decoration(tone, ...halves), { solid: standingBox([w, h, d]), tone: null }],
      endSockets(w, 0, 'wall'),
    );
  },
};

const broken = panelled(
  'broken',
  'Broken wall',
  'wall ruin ruined rubble low jagged',
  [3, 2, 0.3],
  [],
  (w, h, d) => {
    const xs = evenly(-w / 2, w / 2, Math.max(3, Math.min(16, Math.round(w / 0.5))));
    const top = (x: number) => h * (0.35 + 0.65 * hashNoise(x / w, 2));
    return columns(xs, () => 0, top).map((profile) => extrude(profile, d));
  },
);

const battlement = panelled(
  'battlement',
  'Battlement',
  'wall parapet crenel tower top',
  [3, 1.2, 0.4],
  [],
  (w, h, d) => {
    const teeth = Math.max(1, Math.round(w / 1.2));
    const pitch = w / teeth;
    return [
      box([-w / 2, 0, -d / 2], [w / 2, h * 0.55, d / 2]),
      ...Array.from({ length: teeth }, (_, i) => {
        const x = -w / 2 + pitch * i;
        return box([x + pitch * 0.2, h * 0.55, -d / 2], [x + pitch * 0.8, h, d / 2]);
      }),
    ];
  },
);

const roofed = (
  id: string,
  label: string,
  words: string,
  solid: (w: number, h: number, d: number) => Polyhedron,
): Family => ({
  id,
  label,
  group: 'walls',
  words,
  material: 'slate',
  size: [4, 1.6, 4],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => pieceFrom(tone, [{ solid: solid(w, h, d) }]),
});

const rect = (w: number, d: number): Vec2[] => [
  [-w / 2, -d / 2],
  [w / 2, -d / 2],
  [w / 2, d / 2],
  [-w / 2, d / 2],
];
const gable = roofed('gable', 'Gable roof', 'roof pitched house', (w, h, d) =>
  extrude(
    [
      [-w / 2, 0],
      [w / 2, 0],
      [0, h],
    ],
    d,
  ),
);
const lean = roofed('lean', 'Lean-to roof', 'roof sloped shed pent', (w, h, d) => {
  const thick = Math.min(0.25, h / 3);
  return extrude(
    [
      [-w / 2, 0],
      [w / 2, h - thick],
      [w / 2, h],
      [-w / 2, thick],
    ],
    d,
  );
});
const hipped = roofed('hipped', 'Hipped roof', 'roof pyramid tower', (w, h, d) =>
  loft(rect(w, d), 0, rect(w * 0.2, d * 0.2), h),
);

/** Something gone through along x: a cross-section's convex outlines, (z, y), made long. */
const alongX = (section: readonly Vec2[], w: number): Polyhedron => {
  const { points, faces } = extrude(section, w);
  // The profile's depth runs along z; turned about the upright it runs along x.
  return { points: points.map(([x, y, z]) => [z, y, -x]), faces };
};

const passage = (
  told: Pick<Family, 'id' | 'label' | 'words' | 'size' | 'material'> & {
    readonly params?: Family['params'];
  },
  outlines: (h: number, d: number, t: number) => Vec2[][],
): Family => ({
  params: [metres('wall', 'Thickness', 0.25, 0.05, 4, 0.05)],
  ...told,
  group: 'walls',
  sizable: true,
  build: ({ size: [w, h, d], tone, number }) => {
    const t = Math.min(number('wall'), h / 4, d / 4);
    return pieceFrom(
      tone,
      outlines(h, d, t).map((section) => ({ solid: alongX(section, w) })),
      endSockets(w, t, 'rim'),
    );
  },
});

const tunnel = passage(
  {
    id: 'tunnel',
    label: 'Tunnel',
    words: 'passage covered vault cave',
    size: [4, 3, 3],
    material: 'slate',
  },
  (h, d, t) => {
    const half = d / 2 - t;
    const crown = h - t;
    const rise = Math.min(half, (crown - t) * 0.6);
    const spring = crown - rise;
    const xs = evenly(180, 0, 8).map((a) => half * cosDeg(a));
    const under = (x: number) =>
      spring + rise * Math.sqrt(Math.max(0, 1 - (x / half) * (x / half)));
    const sides = [-1, 1].map((s): Vec2[] => {
      const [a, b] = s < 0 ? [-d / 2, -half] : [half, d / 2];
      return [
        [a, 0],
        [b, 0],
        [b, h],
        [a, h],
      ];
    });
    const floor: Vec2[] = [
      [-half, 0],
      [half, 0],
      [half, t],
      [-half, t],
    ];
    return [...sides, floor, ...columns(xs, under, () => h)];
  },
);

const ringSection = (h: number, d: number, t: number, from: number, to: number, sides: number) => {
  const part = 1 - (2 * t) / Math.min(h, d);
  // Outlines of a plan run clockwise seen from above; a profile is wanted anticlockwise.
  return ringOutlines(d, h, part, sides, from, to).map((outline) =>
    outline.map(([x, y]): Vec2 => [x, y + h / 2]),
  );
};

const tube = passage(
  { id: 'tube', label: 'Tube', words: 'pipe round tunnel', size: [4, 3, 3], material: 'metal' },
  (h, d, t) => ringSection(h, d, t, 0, 360, 12),
);

const halfPipe = passage(
  {
    id: 'half-pipe',
    label: 'Half-pipe',
    words: 'pipe channel ramp curved trough',
    size: [6, 2.4, 4.8],
    material: 'slate',
  },
  (h, d, t) => ringSection(2 * h, d, t, 180, 360, 12),
);

const gutter = passage(
  {
    id: 'gutter',
    label: 'Gutter',
    words: 'channel trough groove drain rain',
    size: [4, 0.5, 1.2],
    material: 'timber',
  },
  (h, d, t) => [
    [
      [-d / 4, 0],
      [d / 4, 0],
      [d / 4, t],
      [-d / 4, t],
    ],
    [
      [d / 4, 0],
      [d / 2, h],
      [d / 2 - t, h],
      [d / 4, t],
    ],
    [
      [-d / 4, t],
      [-d / 2 + t, h],
      [-d / 2, h],
      [-d / 4, 0],
    ],
  ],
);

const tower: Family = {
  id: 'tower',
  label: 'Tower drum',
  group: 'walls',
  words: 'tower round keep beacon base storey',
  material: 'stone',
  size: [4, 4, 4],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => {
    const outline = ringOutlines(w, d, 0, 16).map(([, corner]): Vec2 => corner);
    const band = Math.min(0.3, h / 6);
    const grow = (k: number) => outline.map(([x, z]): Vec2 => [x * k, z * k]);
    const role: Role = 'solid';
    return pieceFrom(
      tone,
      [
        { solid: prism(grow(0.97), 0, h - band), role },
        { solid: prism(outline, h - band, h), tone: 'slate', role },
      ],
      [{ at: [w / 2, h, 0], heading: 0, kind: 'rim' }],
    );
  },
};

export const WALLS: readonly Family[] = [
  panel,
  half,
  doorway,
  windowed,
  cracked,
  broken,
  battlement,
  gable,
  lean,
  hipped,
  tunnel,
  tube,
  halfPipe,
  gutter,
  tower,
];
