import { box } from '../../../geometry';
import type { Family } from '../../family';
import {
  at,
  cutSlab,
  endSockets,
  pieceFrom,
  rimSockets,
  decoration,
  standingBox,
} from '../../parts';

export const slab: Family = {
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

export const grate: Family = {
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
export const boards: Family = {
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

export const setts: Family = {
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
export const court: Family = {
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

export const bridgeDeck: Family = {
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
