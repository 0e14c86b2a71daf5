import {
  box,
  cosDeg,
  cutRectangle,
  extrude,
  facetedBall,
  prism,
  stoneOutline,
  type Vec3,
} from '../../../geometry';
import type { Family } from '../../family';
import {
  at,
  columns,
  endSockets,
  evenly,
  hashNoise,
  pieceFrom,
  metres,
  rimSockets,
} from '../../parts';

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
    const { parts, shapes } = pieceFrom(tone, [{ solid: shaft }]);
    return {
      parts: [...parts, { solid: facetedBall(centre, radius), tone: 'stone' }],
      shapes: [...shapes, { role: 'solid', form: { kind: 'ball', centre, radius } }],
      sockets: [],
    };
  },
};

export const column: Family = {
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

export const arch: Family = {
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

export const bridge: Family = {
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

export const stack3: Family = {
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
