import {
  box,
  cutRectangle,
  extrude,
  facetedBall,
  prism,
  regularOutline,
  stack,
  type Vec2,
  type Vec3,
} from '../../geometry';
import type { Family, Part, Tone } from '../family';
import { at, boxAt, count, cutSlab, pieceFrom, metres, oneOf, decoration } from '../parts';

/** Which leg of a course with several a start, checkpoint or goal belongs to. */
const leg = count('leg', 'Leg', 1, 1, 18);

/** What keeps a goal or gate shut, and how much of it is asked for. */
const amount = count('amount', 'How many', 5, 1, 10_000);

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

const start: Family = {
  id: 'start',
  does: 'Where runs begin',
  label: 'Start',
  group: 'marks',
  words: 'begin spawn starting line grid',
  material: 'slate',
  size: [1.2, 2, 1.2],
  sizable: false,
  params: [leg],
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
  does: 'Checkpoint',
  label: 'Cairn',
  group: 'marks',
  words: 'checkpoint flag',
  material: 'stone',
  size: [1.2, 3, 3],
  sizable: false,
  params: [
    count('number', 'Number', 1, 1, 99),
    leg,
    metres('gate', 'Gate height', 4, 1, 20, 0.5),
    metres('wide', 'Gate width', 3, 0.5, 60, 0.5),
    metres('deep', 'Gate depth', 1, 0.25, 60, 0.25),
    oneOf('resets', 'On a return', {
      keeps: 'All stays as it is',
      resets: 'All is as it was here',
    }),
  ],
  build: ({ tone, number }) => {
    const [wide, deep] = [number('wide'), number('deep')];
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
      parts: [
        ...pile.map((solid) => ({ solid, tone })),
        ...flag([0, 1, -0.85], 1.5),
        ...(wide > 3 || deep > 1 ? frame(wide, deep) : []),
      ],
      shapes: [
        {
          role: 'checkpoint',
          form: {
            kind: 'hull',
            solid: box([-deep / 2, -0.5, -wide / 2], [deep / 2, number('gate') - 0.5, wide / 2]),
          },
        },
      ],
      sockets: [],
    };
  },
};

const lantern: Family = {
  id: 'lantern',
  does: 'Goal',
  light: true,
  label: 'Lantern',
  group: 'marks',
  words: 'goal finish finishing line end light flagstick',
  material: 'timber',
  size: [1.2, 2.6, 2.4],
  sizable: false,
  params: [
    leg,
    oneOf('opens', 'Opens', {
      always: 'Always',
      count: 'When enough is gathered',
      worth: 'When enough worth is gathered',
      link: 'By a link',
    }),
    amount,
    metres('wide', 'Zone width', 2.4, 0.5, 200, 0.5),
    metres('tall', 'Zone height', 3, 0.5, 60, 0.5),
    metres('deep', 'Zone depth', 1, 0.25, 200, 0.5),
  ],
  build: ({ tone, number }) => ({
    parts: [
      ...(number('wide') > 2.4 || number('deep') > 1 ? frame(number('wide'), number('deep')) : []),
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
      {
        role: 'goal',
        form: {
          kind: 'hull',
          solid: box(
            [-number('deep') / 2, -0.2, -number('wide') / 2],
            [number('deep') / 2, number('tall') - 0.2, number('wide') / 2],
          ),
        },
      },
    ],
    sockets: [],
  }),
};

/** Slats on the ground about what counts as having come there, where that is not as usual. */
function frame(wide: number, deep: number): Part[] {
  const slat = (middle: Vec3, size: Vec3): Part => ({ solid: boxAt(middle, size), tone: 'flag' });
  return [-1, 1].flatMap((side) => [
    slat([(side * deep) / 2, 0.03, 0], [0.1, 0.06, wide + 0.1]),
    slat([0, 0.03, (side * wide) / 2], [deep + 0.1, 0.06, 0.1]),
  ]);
}

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

/** A pickup of a worth, each with a form of its own, so that no worth rests on its colour. */
const pickup = (
  id: string,
  label: string,
  words: string,
  worth: number,
  tone: Tone,
  form: () => Part['solid'][],
): Family => ({
  id,
  label,
  group: 'marks',
  words: `pickup gather collect coin token star worth ${worth} ${words}`,
  material: tone,
  size: [0.6, 0.6, 0.6],
  sizable: false,
  params: [],
  worth,
  build: (spec) => ({
    parts: form().map((solid) => ({ solid, tone: spec.tone })),
    shapes: [{ role: 'pickup', form: { kind: 'ball', centre: [0, 0.3, 0], radius: 0.45 } }],
    sockets: [],
  }),
});

const shell = pickup('shell', 'Shell', 'scallop', 1, 'shell', () => [
  at(extrude(SCALLOP, 0.22, 0.07), [0, 0.3, 0]),
]);
const whelk = pickup('whelk', 'Whelk', 'spiral shell', 2, 'shell', () =>
  [0.26, 0.2, 0.14, 0.08].map((r, i) =>
    at(
      stack([
        { outline: regularOutline(7, r), y: 0 },
        { outline: regularOutline(7, r * 0.8), y: 0.14 },
      ]),
      [i * 0.02, i * 0.14, 0],
    ),
  ),
);
const pearl = pickup('pearl', 'Pearl', 'ball', 5, 'sail', () => [facetedBall([0, 0.3, 0], 0.22)]);
const amber = pickup('amber', 'Amber', 'gem drop', 10, 'lamp', () => [
  stack([
    { outline: regularOutline(6, 0.05), y: 0 },
    { outline: regularOutline(6, 0.26), y: 0.26 },
    { outline: regularOutline(6, 0.2), y: 0.44 },
    { outline: regularOutline(6, 0.04), y: 0.58 },
  ]),
]);

/** Pieces that act together carry the same number. */
const pair = count('pair', 'Number', 1, 1, 30);

const portal: Family = {
  id: 'portal',
  does: 'Carries to the next of its number',
  label: 'Portal',
  group: 'marks',
  words: 'teleport door passage carry pair',
  material: 'slate',
  size: [0.4, 2.4, 2],
  sizable: false,
  params: [
    pair,
    oneOf('exits', 'Leads to', {
      next: 'The next of its number',
      chance: 'One by chance, each once before any again',
    }),
    oneOf('speed', 'Speed', { keeps: 'Kept', stops: 'Lost' }),
  ],
  build: ({ tone }) => {
    const sides = [0, 1, 2, 3, 4, 5, 6, 7].map((i) => {
      const ring = regularOutline(8, 1.2);
      const inner = regularOutline(8, 0.98);
      const [a, b] = [ring[i], ring[(i + 1) % 8]];
      const [c, d] = [inner[(i + 1) % 8], inner[i]];
      // Stands upright across the way, which runs along x.
      const solid = extrude([a, b, c, d], 0.3);
      return {
        points: solid.points.map(([x, y, z]): Vec3 => [z, y + 1.15, -x]),
        faces: solid.faces,
      };
    });
    return pieceFrom(tone, [
      ...decoration(tone, ...sides),
      { solid: boxAt([0, 1.15, 0], [0.05, 1.7, 1.7]), tone: 'flag', role: 'portal' },
    ]);
  },
};

const gate: Family = {
  id: 'gate',
  does: 'Shut until its switch is touched',
  label: 'Gate',
  group: 'marks',
  words: 'door barrier lock opens switch',
  material: 'timber',
  size: [0.4, 2.4, 2.4],
  sizable: true,
  params: [
    pair,
    oneOf('opens', 'Opens', {
      pair: 'By a switch of its number',
      count: 'When enough is gathered',
      worth: 'When enough worth is gathered',
      link: 'By a link',
    }),
    amount,
  ],
  build: ({ size: [w, h, d], tone }) => {
    const post = Math.min(0.24, d / 6);
    const bars = Math.max(2, Math.round((d - 2 * post) / 0.35));
    const pitch = (d - 2 * post) / bars;
    return pieceFrom(tone, [
      ...[-1, 1].map((s) => ({
        solid: boxAt([0, h / 2, (s * (d - post)) / 2], [w, h, post]),
        tone: 'stone' as const,
      })),
      ...decoration(
        tone,
        ...Array.from({ length: bars }, (_, i) =>
          boxAt([0, h * 0.46, -d / 2 + post + pitch * (i + 0.5)], [w * 0.3, h * 0.92, pitch * 0.5]),
        ),
        boxAt([0, h * 0.7, 0], [w * 0.4, Math.min(0.14, h / 8), d - 2 * post]),
      ).map((bit) => ({ ...bit, moving: true })),
      {
        solid: boxAt([0, h * 0.46, 0], [w * 0.4, h * 0.92, d - 2 * post]),
        tone: null,
        lock: 'barred',
      },
    ]);
  },
};

const lever: Family = {
  id: 'switch',
  does: 'Opens the gates of its number',
  label: 'Switch',
  group: 'marks',
  words: 'button plate pressure lever opens gate',
  material: 'metal',
  size: [1, 0.12, 1],
  sizable: false,
  params: [pair, oneOf('after', 'The gate then', { open: 'Stays open', shut: 'Shuts again' })],
  build: ({ tone }) =>
    pieceFrom(tone, [
      { solid: cutSlab([1, 0.06, 1], 0.02), role: null },
      {
        solid: at(prism(cutRectangle(0.66, 0.66, 0.16), 0.06, 0.12), [0, 0, 0]),
        tone: 'flag',
        role: null,
      },
      { solid: boxAt([0, 0.3, 0], [0.7, 0.5, 0.7]), tone: null, role: 'switch' },
    ]),
};

export const MARKS: readonly Family[] = [
  start,
  cairn,
  lantern,
  shell,
  whelk,
  pearl,
  amber,
  portal,
  gate,
  lever,
];
