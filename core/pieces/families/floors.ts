import { box, cutRectangle, extrude, prism, regularOutline, type Vec2 } from '../../geometry';
import type { Family } from '../family';
import {
  at,
  cutSlab,
  degrees,
  endSockets,
  pieceFrom,
  metres,
  ringOutlines,
  rimSockets,
  roundOutline,
  decoration,
  standingBox,
} from '../parts';

/** A floor's bevel, never so deep that a thin one loses its side. */
const rim = (h: number, w: number, d: number) => Math.min(0.06, h / 4, w / 12, d / 12);

const slab: Family = {
  id: 'slab',
  box: true,
  label: 'Slab',
  group: 'floors',
  words: 'floor platform flag tile square',
  material: 'stone',
  size: [2, 0.5, 2],
  sizable: true,
  params: [],
  build: ({ size, tone }) =>
    // The shape keeps its sharp rim, so that slabs laid side by side make one level floor.
    pieceFrom(tone, [{ solid: cutSlab(size, 0.06), shape: standingBox(size) }], rimSockets(size)),
};

const outlined = (
  id: string,
  label: string,
  words: string,
  outline: (w: number, d: number) => Vec2[],
): Family => ({
  id,
  label,
  group: 'floors',
  words,
  material: 'stone',
  size: [2.4, 0.5, 2.4],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => {
    const corners = outline(w, d);
    return pieceFrom(
      tone,
      [{ solid: prism(corners, 0, h, rim(h, w, d)), shape: prism(corners, 0, h) }],
      rimSockets([w, h, d]),
    );
  },
});

const round = outlined('round', 'Round slab', 'floor disc circle millstone', (w, d) =>
  roundOutline(w, d, 16).map(([x, z]): Vec2 => [x, z]),
);
const hexagon = outlined('hexagon', 'Hexagon', 'floor six sided honeycomb', (w, d) =>
  regularOutline(6, 0.5).map(([x, z]): Vec2 => [x * w, (z * d) / 0.8660254037844386]),
);
const octagon = outlined('octagon', 'Cut slab', 'floor eight sided octagon', (w, d) =>
  cutRectangle(w, d, Math.min(w, d) * 0.29),
);

const ell: Family = {
  id: 'ell',
  label: 'L slab',
  group: 'floors',
  words: 'floor corner angle bend ell',
  material: 'stone',
  size: [4, 0.5, 4],
  sizable: true,
  params: [metres('arm', 'Arm width', 2, 0.2, 20)],
  build: ({ size: [w, h, d], tone, number }) => {
    const arm = Math.min(number('arm'), w * 0.9, d * 0.9);
    const [x, z] = [w / 2, d / 2];
    return pieceFrom(
      tone,
      [
        { solid: box([-x, 0, z - arm], [x, h, z]) },
        { solid: box([-x, 0, -z], [-x + arm, h, z - arm]) },
      ],
      [
        { at: [x, h, z - arm / 2], heading: 0, kind: 'rim' },
        { at: [-x + arm / 2, h, -z], heading: 90, kind: 'rim' },
      ],
    );
  },
};

const ring: Family = {
  id: 'ring',
  label: 'Ring',
  group: 'floors',
  words: 'floor round hole circle annulus',
  material: 'stone',
  size: [6, 0.5, 6],
  sizable: true,
  params: [
    metres('hole', 'Hole', 3, 0.2, 180),
    degrees('sweep', 'Part of a circle', 360, 15, 360, 15),
  ],
  build: ({ size: [w, h, d], tone, number }) => {
    const part = Math.min(0.95, number('hole') / w);
    const sweep = number('sweep');
    const sides = Math.max(2, Math.round(sweep / 15));
    return pieceFrom(
      tone,
      ringOutlines(w, d, part, sides, 0, sweep).map((outline) => ({ solid: prism(outline, 0, h) })),
      sweep === 360 ? rimSockets([w, h, d]) : [],
    );
  },
};

/**
 * A rectangle with a round hole, as convex outlines.
 * @param w width, m
 * @param d depth, m
 * @param hole across the hole, m
 * @param sides corners of the hole
 */
export function holedOutlines(w: number, d: number, hole: number, sides = 16): Vec2[][] {
  const k = Math.min(0.95, hole / w);
  const kz = Math.min(0.95, hole / d);
  return ringOutlines(1, 1, 1, sides, 0, 360).map(([, a, b]) => {
    const out = ([x, z]: Vec2): Vec2 => {
      const reach = 0.5 / Math.max(Math.abs(x), Math.abs(z));
      return [x * reach * w, z * reach * d];
    };
    const into = ([x, z]: Vec2): Vec2 => [x * w * k, z * d * kz];
    return [into(a), out(a), out(b), into(b)];
  });
}

const well: Family = {
  id: 'well',
  label: 'Holed slab',
  group: 'floors',
  words: 'floor hole opening well hatch',
  material: 'stone',
  size: [4, 0.5, 4],
  sizable: true,
  params: [metres('hole', 'Hole', 1.6, 0.2, 100)],
  build: ({ size: [w, h, d], tone, number }) =>
    pieceFrom(
      tone,
      holedOutlines(w, d, number('hole')).map((outline) => ({ solid: prism(outline, 0, h) })),
      rimSockets([w, h, d]),
    ),
};

const grate: Family = {
  id: 'grate',
  label: 'Grating',
  group: 'floors',
  words: 'floor grid bars metal mesh',
  material: 'metal',
  size: [2, 0.15, 2],
  sizable: true,
  params: [],
  build: ({ size, tone }) => {
    const [w, h, d] = size;
    const bars = Math.max(2, Math.round(d / 0.25));
    const edge = Math.min(0.08, w / 6);
    const rods = Array.from({ length: bars }, (_, i) => {
      const z = -d / 2 + (d * (i + 0.5)) / bars;
      return box([-w / 2 + edge, h / 3, z - d / bars / 4], [w / 2 - edge, h, z + d / bars / 4]);
    });
    const ends = [-1, 1].map((side) =>
      box(
        [side < 0 ? -w / 2 : w / 2 - edge, 0, -d / 2],
        [side < 0 ? -w / 2 + edge : w / 2, h, d / 2],
      ),
    );
    return pieceFrom(
      tone,
      [...decoration(tone, ...rods, ...ends), { solid: standingBox(size), tone: null }],
      rimSockets(size),
    );
  },
};

/** Patterned: strips along x, so that a turn against the neighbour is seen. */
const boards: Family = {
  id: 'boards',
  patterned: true,
  box: true,
  label: 'Planking',
  group: 'floors',
  words: 'floor planks deck pattern timber patterned',
  material: 'timber',
  size: [2, 0.3, 2],
  sizable: true,
  params: [],
  build: ({ size, tone }) => {
    const [w, h, d] = size;
    const strips = Math.max(2, Math.round(d / 0.4));
    const gap = Math.min(0.02, d / strips / 5);
    return pieceFrom(
      tone,
      [
        ...decoration(
          tone,
          ...Array.from({ length: strips }, (_, i) =>
            box(
              [-w / 2, 0, -d / 2 + (d * i) / strips + gap],
              [w / 2, h, -d / 2 + (d * (i + 1)) / strips - gap],
            ),
          ),
        ),
        { solid: standingBox(size), tone: null },
      ],
      rimSockets(size),
    );
  },
};

const setts: Family = {
  id: 'setts',
  patterned: true,
  box: true,
  label: 'Setts',
  group: 'floors',
  words: 'floor paving cobbles stones pattern patterned',
  material: 'slate',
  size: [2, 0.4, 2],
  sizable: true,
  params: [],
  build: ({ size, tone }) => {
    const [w, h, d] = size;
    const across = Math.max(1, Math.min(24, Math.round(w / 0.7)));
    const deep = Math.max(1, Math.min(24, Math.round(d / 0.5)));
    const [pw, pd] = [w / across, d / deep];
    const low = h * 0.7;
    const stones = Array.from({ length: across * deep }, (_, n) => {
      const [i, k] = [n % across, Math.floor(n / across)];
      const shift = k % 2 ? pw / 4 : -pw / 4;
      const x0 = Math.max(-w / 2, -w / 2 + i * pw + shift);
      const x1 = i === across - 1 ? w / 2 : -w / 2 + (i + 1) * pw + shift;
      const cell: [number, number, number] = [x1 - x0 - 0.03 * pw, h - low, pd * 0.95];
      return at(cutSlab(cell, 0.04), [(x0 + x1) / 2, low, -d / 2 + (k + 0.5) * pd]);
    });
    return pieceFrom(
      tone,
      [
        ...decoration(tone, standingBox([w, low, d]), ...stones),
        { solid: standingBox(size), tone: null },
      ],
      rimSockets(size),
    );
  },
};

/** Kerbs on the sides where nothing goes on; the area tool sets them by what lies beside. */
const court: Family = {
  id: 'court',
  label: 'Kerbed floor',
  group: 'floors',
  words: 'floor edge kerb border corner yard',
  material: 'stone',
  size: [2, 0.4, 2],
  sizable: true,
  params: [
    {
      kind: 'several',
      key: 'edges',
      label: 'Kerbs',
      options: ['+x', '+z', '−x', '−z'],
      initial: 0,
    },
  ],
  build: ({ size, tone, number }) => {
    const [w, h, d] = size;
    const bits = number('edges');
    const t = Math.min(0.22, w / 6, d / 6);
    const [x, z] = [w / 2, d / 2];
    const top = h + Math.min(0.2, h);
    // Along z the kerbs go from end to end, along x between them, so that corners belong to one.
    const [east, south, west, north] = [1, 2, 4, 8].map((bit) => (bits & bit) !== 0);
    const [x0, x1] = [west ? -x + t : -x, east ? x - t : x];
    const kerbs = [
      east && box([x - t, h, -z], [x, top, z]),
      west && box([-x, h, -z], [-x + t, top, z]),
      south && box([x0, h, z - t], [x1, top, z]),
      north && box([x0, h, -z], [x1, top, -z + t]),
    ].filter((kerb) => kerb !== false);
    return pieceFrom(
      tone,
      [{ solid: standingBox(size) }, ...kerbs.map((solid) => ({ solid, tone: 'slate' as const }))],
      rimSockets(size),
    );
  },
};

const sheet = (
  id: string,
  label: string,
  words: string,
  material: Family['material'],
  surface: { grip?: number; pace?: number },
): Family => ({
  id,
  label,
  group: 'floors',
  words,
  material,
  size: [3, 0.3, 3],
  sizable: true,
  params: [],
  build: ({ size, tone }) =>
    pieceFrom(
      tone,
      [{ solid: cutSlab(size, 0.05), shape: standingBox(size), surface }],
      rimSockets(size),
    ),
});

const ice = sheet('ice', 'Ice', 'floor slippery slide frozen', 'ice', { grip: 0.12 });
const mud = sheet('mud', 'Mud', 'floor slow silt sand flats sticky', 'mud', {
  pace: 0.45,
});
const turf: Family = {
  ...sheet('turf', 'Turf', 'floor grass green lawn', 'moss', {}),
  box: true,
};

const spring: Family = {
  id: 'spring',
  label: 'Springboard',
  group: 'floors',
  words: 'bounce jump trampoline launch',
  material: 'timber',
  size: [1.6, 0.5, 1.6],
  sizable: true,
  params: [metres('height', 'Throws up', 3.2, 0.5, 20, 0.1)],
  build: ({ size, tone, number }) => {
    const [w, h, d] = size;
    // Upward speed for that height under the usual gravity of 22 m/s².
    const bounce = Math.sqrt(2 * 22 * number('height'));
    const coil = Math.min(w, d) * 0.28;
    return pieceFrom(
      tone,
      [
        ...decoration('slate', prism(cutRectangle(w * 0.9, d * 0.9, coil / 2), 0, h * 0.25)),
        ...decoration('metal', prism(regularOutline(8, coil), h * 0.25, h * 0.7)),
        ...decoration(tone, at(cutSlab([w, h * 0.3, d], 0.05), [0, h * 0.7, 0])),
        ...decoration(
          'flag',
          at(
            extrude(
              [
                [-w * 0.18, 0],
                [w * 0.18, 0],
                [0, 0.015],
              ],
              d * 0.5,
            ),
            [0, h, 0],
          ),
        ),
        { solid: standingBox(size), tone: null, surface: { bounce } },
      ],
      rimSockets(size),
    );
  },
};

const bridgeDeck: Family = {
  id: 'deck',
  box: true,
  label: 'Stone deck',
  group: 'floors',
  words: 'floor causeway walkway long',
  material: 'slate',
  size: [6, 0.4, 2],
  sizable: true,
  params: [],
  build: ({ size, tone }) => {
    const [w, h, d] = size;
    const kerb = Math.min(0.14, d / 6);
    const up = Math.min(0.16, h / 2);
    return pieceFrom(
      tone,
      [
        { solid: standingBox(size) },
        ...[-1, 1].map((side) => ({
          solid: box(
            [-w / 2, h, side < 0 ? -d / 2 : d / 2 - kerb],
            [w / 2, h + up, side < 0 ? -d / 2 + kerb : d / 2],
          ),
          tone: 'stone' as const,
        })),
      ],
      endSockets(w, h),
    );
  },
};

export const FLOORS: readonly Family[] = [
  slab,
  round,
  hexagon,
  octagon,
  ell,
  ring,
  well,
  grate,
  boards,
  setts,
  court,
  ice,
  mud,
  turf,
  spring,
  bridgeDeck,
];
