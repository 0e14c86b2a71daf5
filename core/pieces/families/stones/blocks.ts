import {
  box,
  facetedBall,
  mapPoints,
  prism,
  stack,
  stoneOutline,
  type Vec2,
  type Vec3,
} from '../../../geometry';
import type { Family } from '../../family';
import { pieceFrom, metres, rimSockets } from '../../parts';

export const block: Family = {
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

export const ashlar: Family = {
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

export const float: Family = {
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

export const boulder: Family = {
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
