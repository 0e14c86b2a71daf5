import {
  box,
  cosDeg,
  cutRectangle,
  extrude,
  facetedBall,
  loft,
  mapPoints,
  prism,
  sinDeg,
  stack,
  stoneOutline,
  wedge,
  type Vec2,
  type Vec3,
} from '../../geometry';
import type { Family } from '../family';
import {
  at,
  columns,
  count,
  degrees,
  endSockets,
  evenly,
  hashNoise,
  pieceFrom,
  metres,
  rimSockets,
  riseSockets,
} from '../parts';

const block: Family = {
  id: 'block',
  box: true,
  label: 'Block',
  group: 'stones',
  words: 'stepping stone boulder cube',
  material: 'stone',
  size: [2, 2, 2],
  sizable: true,
  params: [],
  build: ({ size, tone }) => {
    const [w, h, d] = size;
    const outline = stoneOutline(w, d);
    return pieceFrom(
      tone,
      [
        {
          solid: prism(outline, 0, h, Math.min(0.14, h / 4, w / 8, d / 8)),
          shape: prism(outline, 0, h),
        },
      ],
      rimSockets(size),
    );
  },
};

const ashlar: Family = {
  id: 'ashlar',
  box: true,
  label: 'Cut block',
  group: 'stones',
  words: 'cube box square ashlar sharp',
  material: 'stone',
  size: [2, 2, 2],
  sizable: true,
  // Each top corner may be pulled up or down by itself: one edge pulled makes a ramp.
  params: [
    metres('a', 'Corner at -x -z', 0, -50, 50),
    metres('b', 'Corner at +x -z', 0, -50, 50),
    metres('c', 'Corner at +x +z', 0, -50, 50),
    metres('d', 'Corner at -x +z', 0, -50, 50),
  ],
  build: ({ size, tone, number }) => {
    const [w, h, d] = size;
    const least = Math.min(0.02, h / 2);
    const [a, b, c, e] = ['a', 'b', 'c', 'd'].map((key) => Math.max(least, h + number(key)));
    if (a === h && b === h && c === h && e === h) {
      return pieceFrom(
        tone,
        [{ solid: box([-w / 2, 0, -d / 2], [w / 2, h, d / 2]) }],
        rimSockets(size),
      );
    }
    // Split along the diagonal that keeps the top convex where it is not flat.
    const [x, z] = [w / 2, d / 2];
    const corner: Record<string, Vec3> = {
      A: [-x, a, -z],
      B: [x, b, -z],
      C: [x, c, z],
      D: [-x, e, z],
    };
    const half = (p: Vec3, q: Vec3, r: Vec3) => ({
      solid: {
        points: [[p[0], 0, p[2]], [q[0], 0, q[2]], [r[0], 0, r[2]], p, q, r] as Vec3[],
        faces: [
          [0, 1, 2],
          [5, 4, 3],
          [1, 0, 3, 4],
          [2, 1, 4, 5],
          [0, 2, 5, 3],
        ],
      },
    });
    const { A, B, C, D } = corner;
    const bits = a + c >= b + e ? [half(A, B, C), half(A, C, D)] : [half(A, B, D), half(B, C, D)];
    return pieceFrom(tone, bits, [
      { at: [x, (b + c) / 2, 0], heading: 0, kind: 'rim' },
      { at: [-x, (a + e) / 2, 0], heading: 180, kind: 'rim' },
    ]);
  },
};

const float: Family = {
  id: 'float',
  label: 'Floating stone',
  group: 'stones',
  words: 'hover sky island stepping',
  material: 'stone',
  size: [2.2, 1.6, 2.2],
  sizable: true,
  params: [],
  build: ({ size, tone }) => {
    const [w, h, d] = size;
    const top = stoneOutline(w, d);
    const part = (k: number): Vec2[] => top.map(([x, z]) => [x * k, z * k]);
    return pieceFrom(
      tone,
      [
        {
          solid: stack([
            { outline: part(0.25), y: 0 },
            { outline: part(0.75), y: h * 0.5 },
            { outline: part(0.97), y: h * 0.85 },
            { outline: top, y: h * 0.96 },
            { outline: part(0.95), y: h },
          ]),
          shape: stack([
            { outline: part(0.25), y: 0 },
            { outline: part(0.75), y: h * 0.5 },
            { outline: top, y: h * 0.95 },
            { outline: top, y: h },
          ]),
        },
      ],
      rimSockets(size),
    );
  },
};

const boulder: Family = {
  id: 'boulder',
  label: 'Boulder',
  group: 'stones',
  words: 'round rock ball stone',
  material: 'slate',
  size: [2, 1.6, 2],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => {
    const ball = facetedBall([0, 0.5, 0], 0.5);
    return pieceFrom(tone, [{ solid: mapPoints(ball, ([x, y, z]) => [x * w, y * h, z * d]) }]);
  },
};

const ramp: Family = {
  id: 'ramp',
  label: 'Ramp',
  group: 'stones',
  words: 'slope wedge incline up',
  material: 'stone',
  size: [3, 1, 2],
  sizable: true,
  params: [],
  build: ({ size, tone }) => pieceFrom(tone, [{ solid: wedge(size) }], riseSockets(size)),
};

const ridge: Family = {
  id: 'ridge',
  label: 'Wedge',
  group: 'stones',
  words: 'ridge hump two sided slope up down',
  material: 'stone',
  size: [4, 1, 2],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) =>
    pieceFrom(
      tone,
      [
        {
          solid: extrude(
            [
              [-w / 2, 0],
              [w / 2, 0],
              [0, h],
            ],
            d,
          ),
        },
      ],
      endSockets(w, 0),
    ),
};

const hip: Family = {
  id: 'hip',
  label: 'Corner ramp',
  group: 'stones',
  words: 'slope corner hip pyramid mound',
  material: 'stone',
  size: [3, 1, 3],
  sizable: true,
  params: [metres('top', 'Top', 1, 0.05, 100)],
  build: ({ size: [w, h, d], tone, number }) => {
    const [x, z] = [Math.min(number('top'), w * 0.9) / 2, Math.min(number('top'), d * 0.9) / 2];
    const rect = (a: number, b: number): Vec2[] => [
      [-a, -b],
      [a, -b],
      [a, b],
      [-a, b],
    ];
    return pieceFrom(tone, [{ solid: loft(rect(w / 2, d / 2), 0, rect(x, z), h) }]);
  },
};

const steps: Family = {
  id: 'steps',
  label: 'Steps',
  group: 'stones',
  words: 'stairs flight staircase',
  material: 'slate',
  size: [2.4, 1, 2],
  sizable: true,
  params: [count('count', 'Steps', 4, 2, 20)],
  build: ({ size: [w, h, d], tone, number }) => {
    const steps = Math.round(number('count'));
    const flight = Array.from({ length: steps }, (_, i) =>
      box(
        [-w / 2 + (w * i) / steps, 0, -d / 2],
        [-w / 2 + (w * (i + 1)) / steps, (h * (i + 1)) / steps, d / 2],
      ),
    );
    return pieceFrom(
      tone,
      flight.map((solid) => ({ solid })),
      riseSockets([w, h, d]),
    );
  },
};

const spiral: Family = {
  id: 'spiral',
  label: 'Spiral steps',
  group: 'stones',
  words: 'stairs winding tower helix staircase',
  material: 'slate',
  size: [5, 3, 5],
  sizable: true,
  params: [
    degrees('turn', 'Winds by', 180, 30, 720, 30),
    count('count', 'Steps', 14, 3, 60),
    metres('core', 'Core', 1.2, 0.2, 20),
  ],
  build: ({ size: [w, h, d], tone, number }) => {
    const steps = Math.round(number('count'));
    const turn = Math.min(number('turn'), steps * 60);
    const core = Math.min(0.9, number('core') / Math.min(w, d));
    const rise = h / steps;
    const thick = Math.min(Math.max(rise, 0.28), h);
    const corner = (angle: number, k: number): Vec2 => [
      (w / 2) * k * cosDeg(angle),
      -(d / 2) * k * sinDeg(angle),
    ];
    const treads = Array.from({ length: steps }, (_, i) => {
      const [from, to] = [(turn * i) / steps, (turn * (i + 1)) / steps];
      const top = rise * (i + 1);
      const outline = [corner(to, core), corner(to, 1), corner(from, 1), corner(from, core)];
      return prism(outline, Math.max(0, top - thick), top);
    });
    const middle = (w / 4 + d / 4) * (core / 2 + 0.5);
    return pieceFrom(
      tone,
      treads.map((solid) => ({ solid })),
      [
        { at: [middle, 0, 0], heading: 270, kind: 'rim' },
        {
          at: [middle * cosDeg(turn), h, -middle * sinDeg(turn)],
          heading: turn + 90,
          kind: 'rim',
        },
      ],
    );
  },
};

const pillar: Family = {
  id: 'pillar',
  label: 'Pillar',
  group: 'stones',
  words: 'column ball top bollard',
  material: 'slate',
  size: [1, 3, 1],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => {
    const radius = 0.6 * Math.min(w, d);
    const shaft = prism(cutRectangle(w, d, 0.3 * Math.min(w, d)), 0, Math.max(h - radius, h / 2));
    const centre: Vec3 = [0, h - radius, 0];
    const { parts, shapes } = pieceFrom(tone, [{ solid: shaft }]);
    return {
      parts: [...parts, { solid: facetedBall(centre, radius), tone: 'stone' }],
      shapes: [...shapes, { role: 'solid', form: { kind: 'ball', centre, radius } }],
      sockets: [],
    };
  },
};

const column: Family = {
  id: 'column',
  label: 'Drum column',
  group: 'stones',
  words: 'pillar drum round support',
  material: 'stone',
  size: [1.4, 3, 1.4],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => {
    const ring = (k: number) => cutRectangle(w * k, d * k, 0.29 * Math.min(w, d) * k);
    const cap = Math.min(0.3, h / 4);
    return pieceFrom(
      tone,
      [
        { solid: prism(ring(0.95), 0, cap) },
        { solid: prism(ring(0.74), cap, h - cap) },
        { solid: prism(ring(1), h - cap, h) },
      ],
      rimSockets([w, h, d]),
    );
  },
};

const arch: Family = {
  id: 'arch',
  label: 'Arch',
  group: 'stones',
  words: 'gateway vault opening span',
  material: 'stone',
  size: [4, 4, 1.2],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => {
    const leg = Math.min(0.7, w / 5);
    const half = w / 2 - leg;
    const crown = h - Math.min(0.5, h / 5);
    // A round head where there is height for one, else a flatter one.
    const rise = Math.min(half, crown * 0.6);
    const spring = crown - rise;
    const xs = evenly(180, 0, 10).map((a) => half * cosDeg(a));
    const under = (x: number) => {
      const k = x / half;
      return spring + rise * Math.sqrt(Math.max(0, 1 - k * k));
    };
    return pieceFrom(
      tone,
      [
        { solid: box([-w / 2, 0, -d / 2], [-half, h, d / 2]) },
        { solid: box([half, 0, -d / 2], [w / 2, h, d / 2]) },
        ...columns(xs, under, () => h).map((profile) => ({ solid: extrude(profile, d) })),
      ],
      endSockets(w, h),
    );
  },
};

const bridge: Family = {
  id: 'bridge',
  label: 'Hump bridge',
  group: 'stones',
  words: 'arched bridge span crossing',
  material: 'stone',
  size: [8, 1.4, 2.4],
  sizable: true,
  params: [metres('rise', 'Rises by', 0.9, 0, 20)],
  build: ({ size: [w, h, d], tone, number }) => {
    const rise = Math.min(number('rise'), w / 3);
    const bow = (x: number) => {
      const k = (2 * x) / w;
      return 1 - k * k;
    };
    const thick = Math.min(0.35, h / 3);
    const top = (x: number) => h + rise * bow(x);
    const under = (x: number) => Math.max(0, (h - thick) * bow(x) + rise * bow(x) * 0.98);
    const kerb = Math.min(0.16, d / 8);
    const spans = columns(evenly(-w / 2, w / 2, 10), under, top).map((p) => extrude(p, d));
    const parapet = (side: number) =>
      columns(evenly(-w / 2, w / 2, 10), top, (x) => top(x) + 0.22).map((p) =>
        at(extrude(p, kerb), [0, 0, side * (d / 2 - kerb / 2)]),
      );
    return pieceFrom(
      tone,
      [
        ...spans.map((solid) => ({ solid })),
        ...[-1, 1]
          .flatMap((side) => parapet(side))
          .map((solid) => ({ solid, tone: 'slate' as const })),
      ],
      endSockets(w, h),
    );
  },
};

const stack3: Family = {
  id: 'stack',
  label: 'Sea stack',
  group: 'stones',
  words: 'rock tower layered cliff needle',
  material: 'stone',
  size: [3, 5, 3],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => {
    const layers = Math.max(2, Math.min(8, Math.round(h / 1.2)));
    return pieceFrom(
      tone,
      Array.from({ length: layers }, (_, i) => {
        const k = i === layers - 1 ? 1 : 0.86 + 0.14 * hashNoise(i, 3);
        const outline = stoneOutline(
          w * k,
          d * (i === layers - 1 ? 1 : 0.86 + 0.14 * hashNoise(i, 9)),
        );
        return {
          solid: prism(outline, (h * i) / layers, (h * (i + 1)) / layers),
          tone: i % 2 ? ('slate' as const) : tone,
        };
      }),
      rimSockets([w, h, d]),
    );
  },
};

export const STONES: readonly Family[] = [
  block,
  ashlar,
  float,
  boulder,
  ramp,
  ridge,
  hip,
  steps,
  spiral,
  pillar,
  column,
  arch,
  bridge,
  stack3,
];
