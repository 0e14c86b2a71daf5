import {
  box,
  cosDeg,
  facetedBall,
  mapPoints,
  prism,
  regularOutline,
  sinDeg,
  type Polyhedron,
} from '../../geometry';
import type { Family, Field, Param, PieceGeometry, Spec } from '../family';
import { degrees, number, oneOf } from '../parts';

// Volumes with a meaning. They are seen while building and only felt in a run.

/** What may be heard about a place, and how it is called. */
export const AMBIENT_WORDS = {
  shore: 'Shore',
  wind: 'Wind',
  harbour: 'Harbour',
  gulls: 'Gulls',
  bell: 'Bell buoy',
  drip: 'Dripping',
  kiln: 'Kiln',
} as const;
export type Ambient = keyof typeof AMBIENT_WORDS;

const form = oneOf('form', 'Form', { box: 'Box', ball: 'Ball', column: 'Column' });

/** The solid of a region: of its size, standing on its foot. */
function solidOf({ size: [w, h, d], choice }: Spec): Polyhedron {
  if (choice('form') === 'ball') {
    return mapPoints(facetedBall([0, 0, 0], 0.5), ([x, y, z]) => [x * w, (y + 0.5) * h, z * d]);
  }
  if (choice('form') === 'column') {
    return mapPoints(prism(regularOutline(12, 0.5), 0, 1), ([x, y, z]) => [x * w, y * h, z * d]);
  }
  return box([-w / 2, 0, -d / 2], [w / 2, h, d / 2]);
}

function region(
  id: string,
  label: string,
  words: string,
  params: readonly Param[],
  field: (spec: Spec) => Field,
): Family {
  return {
    id,
    label,
    group: 'regions',
    words: `region volume zone ${words}`,
    material: 'glow',
    size: [3, 3, 3],
    sizable: true,
    params: [...params, form],
    build: (spec): PieceGeometry => {
      const solid = solidOf(spec);
      return {
        parts: [{ solid, tone: spec.tone, unseen: true }],
        shapes: [{ role: 'region', form: { kind: 'hull', solid }, field: field(spec) }],
        sockets: [],
      };
    },
  };
}

const times = (label: string, initial: number, min: number, max: number) =>
  number('part', label, '×', initial, [min, max, 0.05]);

/** Thickness of the sheet of water that a pool is seen by, m. */
const SHEET = 0.04;

/** A tide line of its own: what is within falls into the tide, and its top is seen as water. */
const pool = region('pool', 'Tide pool', 'fall limit water drown local', [], () => ({
  kind: 'fall',
}));
const tidePool: Family = {
  ...pool,
  size: [3, 0.5, 3],
  build: (spec) => {
    const built = pool.build(spec);
    const h = spec.size[1];
    const sheet = mapPoints(solidOf(spec), ([x, y, z]) => [x, h - SHEET * (1 - y / h), z]);
    return { ...built, parts: [...built.parts, { solid: sheet, tone: 'water' }] };
  },
};

/** A sound of the place: loud within, and fading about it. Nothing of it is felt by a runner. */
const soundPlace: Family = {
  ...region(
    'sound',
    'Sound',
    'noise ambience hear bell water gulls wind',
    [
      oneOf('what', 'What', AMBIENT_WORDS),
      number('fades', 'Heard up to', 'm', 8, [0, 80, 1]),
      number('loud', 'Loud', '×', 1, [0.1, 2, 0.1]),
    ],
    () => ({ kind: 'touch' }),
  ),
  build: (spec) => ({
    parts: [{ solid: solidOf(spec), tone: spec.tone, unseen: true }],
    shapes: [],
    sockets: [],
  }),
};

export const REGIONS: readonly Family[] = [
  region('touch', 'Touch region', 'trigger bell cue sensor', [], () => ({ kind: 'touch' })),
  region(
    'wind',
    'Wind',
    'push blow fan current force',
    [
      number('force', 'Pushes by', 'm/s²', 12, [0.5, 80, 0.5]),
      degrees('rise', 'Upwards by', 0, -90, 90),
    ],
    (spec) => ({
      kind: 'push',
      force: spec.number('force'),
      ...upwards(spec.number('rise')),
    }),
  ),
  region(
    'boost',
    'Boost',
    'speed up fast dash accelerate pad booster',
    [
      number('force', 'Speeds up by', 'm/s²', 30, [1, 120, 1]),
      number('top', 'Up to', 'm/s', 14, [1, 40, 0.5]),
    ],
    (spec) => ({
      kind: 'push',
      along: [1, 0, 0],
      force: spec.number('force'),
      top: spec.number('top'),
    }),
  ),
  region('drag', 'Heavy going', 'slow mud sand water', [times('Pace', 0.5, 0.05, 1)], (spec) => ({
    kind: 'slow',
    part: spec.number('part'),
  })),
  region('slick', 'Slippery', 'slip ice oil wet', [times('Hold', 0.12, 0, 1)], (spec) => ({
    kind: 'slip',
    part: spec.number('part'),
  })),
  region(
    'tramp',
    'Bouncing ground',
    'bounce spring trampoline',
    [number('speed', 'Throws up at', 'm/s', 9, [1, 40, 0.5])],
    (spec) => ({ kind: 'bounce', speed: spec.number('speed') }),
  ),
  region(
    'weight',
    'Weight',
    'gravity low high float moon heavy',
    [times('Gravity', 0.4, 0, 4), degrees('lean', 'Leans to', 0, -180, 180, 15)],
    (spec) => ({
      kind: 'gravity',
      part: spec.number('part'),
      along: upwards(spec.number('lean') - 90).along,
    }),
  ),
  region(
    'grow',
    'Other size',
    'small large shrink giant',
    [times('Size', 0.5, 0.5, 2)],
    (spec) => ({
      kind: 'size',
      part: spec.number('part'),
    }),
  ),
  region(
    'tally',
    'Points',
    'score points worth time',
    [number('rate', 'Worth a second', '', 1, [-100, 100, 1])],
    (spec) => ({ kind: 'points', rate: spec.number('rate') }),
  ),
  region('sting', 'Hurtful', 'hurting hurt danger death kill lava acid fire damage', [], () => ({
    kind: 'hurt',
  })),
  tidePool,
  soundPlace,
  region('hush', 'Quiet', 'silence mute still', [], () => ({ kind: 'quiet' })),
  region(
    'lookout',
    'Lookout',
    'camera view angle',
    [
      oneOf('camera', 'Camera', { side: 'Side-on', behind: 'Behind', above: 'Above' }),
      number('distance', 'Distance', 'm', 16, [4, 80, 1]),
    ],
    (spec) => ({
      kind: 'camera',
      camera: spec.choice('camera') as 'side',
      distance: spec.number('distance'),
    }),
  ),
];

/** A direction ahead and up by degrees. */
function upwards(rise: number): { along: readonly [number, number, number] } {
  return { along: [cosDeg(rise), sinDeg(rise), 0] };
}
