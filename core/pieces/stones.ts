import {
  box,
  cutRectangle,
  facetedBall,
  prism,
  regularOutline,
  stoneOutline,
  wedge,
  type Polyhedron,
  type Vec3,
} from '../geometry';
import type { Family, Shape, Socket } from './family';

export const solidHull = (solid: Polyhedron, moving?: boolean): Shape => ({
  role: 'solid',
  moving,
  form: { kind: 'hull', solid },
});

/** The four sides of a flat top. */
export const rimSockets = ([w, h, d]: Vec3): Socket[] => [
  { at: [w / 2, h, 0], heading: 0 },
  { at: [-w / 2, h, 0], heading: 180 },
  { at: [0, h, d / 2], heading: 270 },
  { at: [0, h, -d / 2], heading: 90 },
];

/** The low and the high end of something that rises along x. */
const riseSockets = ([w, h]: Vec3): Socket[] => [
  { at: [-w / 2, 0, 0], heading: 180 },
  { at: [w / 2, h, 0], heading: 0 },
];

/** A box standing on its foot's middle. */
export const standingBox = ([w, h, d]: Vec3): Polyhedron =>
  box([-w / 2, 0, -d / 2], [w / 2, h, d / 2]);

/** A box with its upper rim cut, never by more than a quarter of its smallest extent. */
export const cutSlab = ([w, h, d]: Vec3, bevel: number): Polyhedron =>
  prism(
    [
      [-w / 2, -d / 2],
      [w / 2, -d / 2],
      [w / 2, d / 2],
      [-w / 2, d / 2],
    ],
    0,
    h,
    Math.min(bevel, w / 4, h / 4, d / 4),
  );

export const slab: Family = {
  id: 'slab',
  label: 'Slab',
  group: 'stones',
  words: 'floor platform flag tile',
  material: 'stone',
  size: [2, 0.5, 2],
  sizable: true,
  params: [],
  build: ({ size, tone }) => ({
    parts: [{ solid: cutSlab(size, 0.06), tone }],
    // The shape keeps its sharp rim, so that slabs laid side by side make one level floor.
    shapes: [solidHull(standingBox(size))],
    sockets: rimSockets(size),
  }),
};

export const block: Family = {
  id: 'block',
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
    return {
      parts: [{ solid: prism(outline, 0, h, Math.min(0.14, h / 4, w / 8, d / 8)), tone }],
      shapes: [solidHull(prism(outline, 0, h))],
      sockets: rimSockets(size),
    };
  },
};

export const ramp: Family = {
  id: 'ramp',
  label: 'Ramp',
  group: 'stones',
  words: 'slope wedge incline',
  material: 'stone',
  size: [3, 1, 2],
  sizable: true,
  params: [],
  build: ({ size, tone }) => ({
    parts: [{ solid: wedge(size), tone }],
    shapes: [solidHull(wedge(size))],
    sockets: riseSockets(size),
  }),
};

export const steps: Family = {
  id: 'steps',
  label: 'Steps',
  group: 'stones',
  words: 'stairs flight',
  material: 'slate',
  size: [2.4, 1, 2],
  sizable: true,
  params: [
    {
      key: 'count',
      label: 'Steps',
      kind: 'number',
      unit: '',
      min: 2,
      max: 20,
      step: 1,
      initial: 4,
    },
  ],
  build: ({ size: [w, h, d], tone, number }) => {
    const count = Math.round(number('count'));
    const flight = Array.from({ length: count }, (_, i) =>
      box(
        [-w / 2 + (w * i) / count, 0, -d / 2],
        [-w / 2 + (w * (i + 1)) / count, (h * (i + 1)) / count, d / 2],
      ),
    );
    return {
      parts: flight.map((solid) => ({ solid, tone })),
      shapes: flight.map((solid) => solidHull(solid)),
      sockets: riseSockets([w, h, d]),
    };
  },
};

export const pillar: Family = {
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
    return {
      parts: [
        { solid: shaft, tone },
        { solid: facetedBall(centre, radius), tone: 'stone' },
      ],
      shapes: [solidHull(shaft), { role: 'solid', form: { kind: 'ball', centre, radius } }],
      sockets: [],
    };
  },
};

export const post: Family = {
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
    return {
      parts: [{ solid: prism(shaft, 0, h, Math.min(0.06, h / 4, w / 5, d / 5)), tone }],
      shapes: [solidHull(prism(shaft, 0, h))],
      sockets: [],
    };
  },
};

export const beam: Family = {
  id: 'beam',
  label: 'Beam',
  group: 'timber',
  words: 'bridge plank jetty walk',
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
      box([-w / 2, 0, z * d - 0.08], [w / 2, h * 0.5, z * d + 0.08]),
    );
    return {
      parts: [...deck, ...rails].map((solid) => ({ solid, tone })),
      shapes: [solidHull(standingBox(size))],
      sockets: rimSockets(size).slice(0, 2),
    };
  },
};
