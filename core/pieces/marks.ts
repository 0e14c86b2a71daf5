import {
  box,
  cutRectangle,
  extrude,
  mapPoints,
  prism,
  regularOutline,
  stack,
  type Polyhedron,
  type Vec2,
  type Vec3,
} from '../geometry';
import type { Family, Part } from './family';

const at = (solid: Polyhedron, [x, y, z]: Vec3): Polyhedron =>
  mapPoints(solid, (p) => [p[0] + x, p[1] + y, p[2] + z]);

/** A pole with a pennant flying towards x, its foot at the place given. */
const flag = (foot: Vec3, height: number): Part[] => [
  { solid: at(box([-0.045, 0, -0.045], [0.045, height, 0.045]), foot), tone: 'timber' },
  {
    solid: at(
      extrude(
        [
          [0.045, height - 0.55],
          [0.85, height - 0.28],
          [0.045, height - 0.02],
        ],
        0.05,
      ),
      foot,
    ),
    tone: 'flag',
  },
];

export const start: Family = {
  id: 'start',
  label: 'Start',
  group: 'marks',
  words: 'begin spawn',
  material: 'slate',
  size: [1.2, 2, 1.2],
  sizable: false,
  params: [],
  build: ({ tone }) => ({
    parts: [
      { solid: prism(regularOutline(8, 0.55), 0, 0.05), tone },
      ...flag([-0.35, 0, -0.75], 1.7),
    ],
    shapes: [],
    sockets: [],
  }),
};

export const cairn: Family = {
  id: 'cairn',
  label: 'Cairn',
  group: 'marks',
  words: 'checkpoint flag',
  material: 'stone',
  size: [1.2, 3, 3],
  sizable: false,
  params: [
    {
      key: 'number',
      label: 'Number',
      kind: 'number',
      unit: '',
      min: 1,
      max: 99,
      step: 1,
      initial: 1,
    },
    {
      key: 'gate',
      label: 'Gate height',
      kind: 'number',
      unit: 'm',
      min: 1,
      max: 20,
      step: 0.5,
      initial: 4,
    },
  ],
  build: ({ tone, number }) => {
    const courses = [0.52, 0.43, 0.33, 0.23];
    const pile = courses.map((radius, i) =>
      at(
        stack([
          { outline: regularOutline(7, radius), y: 0 },
          { outline: regularOutline(7, radius * 0.94), y: 0.27 },
        ]),
        [((i * 3) % 4) * 0.02, i * 0.27, -0.85],
      ),
    );
    return {
      parts: [...pile.map((solid) => ({ solid, tone })), ...flag([0, 1, -0.85], 1.5)],
      shapes: [
        {
          role: 'checkpoint',
          form: {
            kind: 'hull',
            solid: box([-0.5, -0.5, -1.5], [0.5, number('gate') - 0.5, 1.5]),
          },
        },
      ],
      sockets: [],
    };
  },
};

export const lantern: Family = {
  id: 'lantern',
  label: 'Lantern',
  group: 'marks',
  words: 'goal finish end light',
  material: 'timber',
  size: [1.2, 2.6, 2.4],
  sizable: false,
  params: [],
  build: ({ tone }) => ({
    parts: [
      { solid: box([-0.09, 0, -0.79], [0.09, 1.9, -0.61]), tone },
      { solid: at(prism(cutRectangle(0.62, 0.62, 0.14), 0, 0.62), [0, 1.9, -0.7]), tone: 'lamp' },
      {
        solid: at(
          stack([
            { outline: cutRectangle(0.86, 0.86, 0.2), y: 0 },
            { outline: cutRectangle(0.2, 0.2, 0.05), y: 0.34 },
          ]),
          [0, 2.52, -0.7],
        ),
        tone: 'flag',
      },
      { solid: at(prism(regularOutline(8, 0.4), 0, 0.16), [0, 0, -0.7]), tone: 'stone' },
    ],
    shapes: [
      { role: 'goal', form: { kind: 'hull', solid: box([-0.5, -0.2, -1.2], [0.5, 2.8, 1.2]) } },
    ],
    sockets: [],
  }),
};

/** A scallop seen from the front: a fan over a narrow hinge. */
const SCALLOP: readonly Vec2[] = [
  [-0.09, -0.26],
  [0.09, -0.26],
  [0.27, -0.02],
  [0.25, 0.13],
  [0.14, 0.24],
  [0, 0.28],
  [-0.14, 0.24],
  [-0.25, 0.13],
  [-0.27, -0.02],
];

export const shell: Family = {
  id: 'shell',
  label: 'Shell',
  group: 'marks',
  words: 'pickup gather collect',
  material: 'shell',
  size: [0.6, 0.6, 0.6],
  sizable: false,
  params: [],
  build: ({ tone }) => ({
    parts: [{ solid: at(extrude(SCALLOP, 0.22, 0.07), [0, 0.3, 0]), tone }],
    shapes: [{ role: 'pickup', form: { kind: 'ball', centre: [0, 0.3, 0], radius: 0.45 } }],
    sockets: [],
  }),
};
