import {
  loft,
  mapPoints,
  prism,
  regularOutline,
  stack,
  stoneOutline,
  type Polyhedron,
  type Vec2,
  type Vec3,
} from '../../geometry';
import { at, boxAt, hashNoise, turned, type PartSpec } from '../parts';
import { lump, scenery } from './sceneryPiece';

const cone = (
  sides: number,
  w: number,
  d: number,
  y0: number,
  y1: number,
  top = 0.03,
): Polyhedron => {
  const ring = (k: number) =>
    regularOutline(sides, 0.5).map(([x, z]): Vec2 => [x * w * k, z * d * k]);
  return loft(ring(1), y0, ring(top), y1);
};

export const rock = scenery(
  {
    id: 'rock',
    label: 'Rocks',
    words: 'stone boulder rubble',
    material: 'slate',
    size: [2, 1, 1.6],
  },
  (s) => {
    const [w, h, d] = s.size;
    return [
      { solid: lump([-w * 0.14, h * 0.38, 0], [w * 0.66, h * 0.9, d * 0.8]) },
      { solid: lump([w * 0.27, h * 0.26, d * 0.12], [w * 0.46, h * 0.6, d * 0.6]), tone: 'stone' },
      { solid: lump([w * 0.12, h * 0.16, -d * 0.3], [w * 0.3, h * 0.36, d * 0.36]) },
    ];
  },
);

export const pebbles = scenery(
  {
    id: 'pebbles',
    label: 'Pebbles',
    words: 'stones shingle gravel',
    material: 'stone',
    size: [1.4, 0.2, 1.4],
  },
  (s) => {
    const [w, h, d] = s.size;
    return Array.from({ length: 8 }, (_, i): PartSpec => {
      const k = 0.5 + 0.5 * hashNoise(i, 1);
      const [x, z] = [hashNoise(i, 2) - 0.5, hashNoise(i, 3) - 0.5];
      return {
        solid: lump(
          [x * w * 0.8, h * 0.4 * k, z * d * 0.8],
          [w * 0.2 * k, h * 0.8 * k, d * 0.18 * k],
        ),
        tone: i % 3 ? s.tone : 'slate',
      };
    });
  },
);

export const reeds = scenery(
  {
    id: 'reeds',
    label: 'Reeds',
    words: 'grass rushes water plants',
    material: 'reed',
    size: [1.2, 1.4, 0.8],
  },
  (s) => {
    const [w, h, d] = s.size;
    return Array.from({ length: 14 }, (_, i): PartSpec => {
      const tall = h * (0.55 + 0.45 * hashNoise(i, 5));
      const blade = loft(regularOutline(3, 0.045), 0, regularOutline(3, 0.008), tall);
      const lean = 16 * (hashNoise(i, 6) - 0.5);
      return {
        solid: at(turned(blade, [lean, 40 * i, lean]), [
          (hashNoise(i, 7) - 0.5) * w * 0.85,
          0,
          (hashNoise(i, 8) - 0.5) * d * 0.85,
        ]),
        role: null,
      };
    });
  },
);

export const grass = scenery(
  {
    id: 'grass',
    label: 'Marram',
    words: 'grass tuft dune plants',
    material: 'leaf',
    size: [0.8, 0.5, 0.8],
  },
  (s) => {
    const [w, h, d] = s.size;
    return Array.from({ length: 10 }, (_, i): PartSpec => {
      const blade = loft(
        regularOutline(3, 0.03),
        0,
        regularOutline(3, 0.006),
        h * (0.6 + 0.4 * hashNoise(i, 4)),
      );
      return {
        solid: at(
          turned(blade, [30 * (hashNoise(i, 9) - 0.5), 36 * i, 30 * (hashNoise(i, 3) - 0.5)]),
          [(hashNoise(i, 1) - 0.5) * w * 0.5, 0, (hashNoise(i, 2) - 0.5) * d * 0.5],
        ),
        role: null,
      };
    });
  },
);

export const pine = scenery(
  { id: 'pine', label: 'Pine', words: 'tree conifer fir', material: 'pine', size: [2.2, 4.5, 2.2] },
  (s) => {
    const [w, h, d] = s.size;
    return [
      { solid: cone(6, w * 0.14, d * 0.14, 0, h * 0.4, 0.7), tone: 'timber' },
      { solid: cone(8, w, d, h * 0.22, h * 0.6) },
      { solid: cone(8, w * 0.78, d * 0.78, h * 0.44, h * 0.8) },
      { solid: cone(8, w * 0.54, d * 0.54, h * 0.64, h) },
    ];
  },
);

export const windTree = scenery(
  {
    id: 'wind-tree',
    label: 'Wind-bent tree',
    words: 'tree leaning thorn',
    material: 'leaf',
    size: [3, 3, 2],
  },
  (s) => {
    const [w, h, d] = s.size;
    const lean = (solid: Polyhedron) => mapPoints(solid, ([x, y, z]) => [x + y * 0.3, y, z]);
    return [
      { solid: lean(cone(6, 0.12 * w, 0.16 * d, 0, h * 0.62, 0.5)), tone: 'timber' },
      { solid: lump([w * 0.18, h * 0.74, 0], [w * 0.62, h * 0.36, d * 0.8]) },
      { solid: lump([w * 0.36, h * 0.62, d * 0.1], [w * 0.4, h * 0.26, d * 0.5]) },
    ];
  },
);

export const bush = scenery(
  {
    id: 'bush',
    label: 'Bush',
    words: 'shrub gorse heather',
    material: 'leaf',
    size: [1.6, 1, 1.4],
  },
  (s) => {
    const [w, h, d] = s.size;
    return [
      { solid: lump([-w * 0.16, h * 0.42, 0], [w * 0.66, h * 0.86, d * 0.8]) },
      { solid: lump([w * 0.22, h * 0.34, d * 0.1], [w * 0.52, h * 0.66, d * 0.64]), tone: 'moss' },
      { solid: lump([w * 0.02, h * 0.3, -d * 0.24], [w * 0.4, h * 0.5, d * 0.44]) },
    ];
  },
);

export const driftwood = scenery(
  {
    id: 'driftwood',
    label: 'Driftwood',
    words: 'log branch wreck',
    material: 'sail',
    size: [2.4, 0.5, 0.8],
  },
  (s) => {
    const [w, h, d] = s.size;
    const limb = (long: number, thick: number, turn: Vec3, foot: Vec3) =>
      at(
        turned(
          mapPoints(prism(regularOutline(6, thick), -long / 2, long / 2), ([x, y, z]) => [
            y,
            -x,
            z,
          ]),
          turn,
        ),
        foot,
      );
    const t = Math.min(h, d) * 0.25;
    return [
      { solid: limb(w * 0.95, t, [0, 8, 3], [0, t * 1.3, 0]) },
      { solid: limb(w * 0.4, t * 0.6, [0, 60, 20], [w * 0.2, h * 0.5, 0]) },
      { solid: limb(w * 0.3, t * 0.5, [0, -50, 24], [-w * 0.2, h * 0.5, d * 0.05]) },
    ];
  },
);

export const gull = scenery(
  { id: 'gull', label: 'Gull', words: 'bird seabird', material: 'sail', size: [0.6, 0.6, 0.4] },
  (s) => {
    const [w, h, d] = s.size;
    return [
      { solid: lump([0, h * 0.42, 0], [w * 0.7, h * 0.42, d * 0.7]), role: null },
      { solid: lump([w * 0.26, h * 0.76, 0], [w * 0.3, h * 0.34, d * 0.5]), role: null },
      {
        solid: boxAt([w * 0.45, h * 0.74, 0], [w * 0.2, h * 0.06, d * 0.1]),
        tone: 'lamp',
        role: null,
      },
      ...[-1, 1].map((z): PartSpec => ({
        solid: boxAt([0, h * 0.12, z * d * 0.12], [w * 0.04, h * 0.24, d * 0.05]),
        tone: 'lamp',
        role: null,
      })),
    ];
  },
);

export const mound = scenery(
  {
    id: 'mound',
    label: 'Grassy mound',
    words: 'hill bank earth island',
    material: 'moss',
    size: [6, 1.2, 5],
  },
  (s) => {
    const [w, h, d] = s.size;
    const ring = (k: number) => stoneOutline(w * k, d * k);
    return [
      {
        solid: stack([
          { outline: ring(1), y: 0 },
          { outline: ring(0.86), y: h * 0.55 },
          { outline: ring(0.55), y: h * 0.9 },
          { outline: ring(0.3), y: h },
        ]),
      },
    ];
  },
);
