import {
  extrude,
  loft,
  prism,
  regularOutline,
  stack,
  type Polyhedron,
  type Vec2,
} from '../../../geometry';
import { at, boxAt, type PartSpec } from '../../parts';
import { scenery } from '../sceneryPiece';

const hull = (w: number, h: number, d: number): Polyhedron => {
  const plan = (k: number): Vec2[] => [
    [w * 0.5 * k, 0],
    [w * 0.28 * k, d * 0.42 * k],
    [-w * 0.3 * k, d * 0.45 * k],
    [-w * 0.5 * k, d * 0.25 * k],
    [-w * 0.5 * k, -d * 0.25 * k],
    [-w * 0.3 * k, -d * 0.45 * k],
    [w * 0.28 * k, -d * 0.42 * k],
  ];
  return loft(plan(0.68), 0, plan(1), h);
};

export const boat = scenery(
  {
    id: 'boat',
    label: 'Rowing boat',
    words: 'dinghy vessel ship',
    material: 'timber',
    size: [4, 0.9, 1.6],
  },
  (s) => {
    const [w, h, d] = s.size;
    return [
      { solid: hull(w, h * 0.8, d) },
      ...[-0.24, 0.1].map((x): PartSpec => ({
        solid: boxAt([x * w, h * 0.86, 0], [w * 0.07, h * 0.1, d * 0.8]),
        tone: 'sail',
      })),
      { solid: boxAt([0, h * 0.9, d * 0.2], [w * 0.8, h * 0.06, 0.06]), tone: 'rope', role: null },
    ];
  },
);

export const lugger = scenery(
  {
    id: 'lugger',
    label: 'Sailing boat',
    words: 'ship mast sail vessel',
    material: 'tar',
    size: [6, 5, 2.2],
  },
  (s) => {
    const [w, h, d] = s.size;
    const sail = extrude(
      [
        [-w * 0.32, h * 0.3],
        [w * 0.16, h * 0.26],
        [w * 0.02, h * 0.94],
        [-w * 0.2, h * 0.86],
      ],
      0.05,
    );
    return [
      { solid: hull(w, h * 0.2, d) },
      { solid: at(prism(regularOutline(6, 0.09), h * 0.2, h), [w * 0.06, 0, 0]), tone: 'timber' },
      { solid: sail, tone: 'sail', role: null },
    ];
  },
);

export const buoy = scenery(
  {
    id: 'buoy',
    light: true,
    label: 'Buoy',
    words: 'float marker sea',
    material: 'thorn',
    size: [0.9, 1.4, 0.9],
  },
  (s) => {
    const [w, h, d] = s.size;
    const ring = (k: number) =>
      regularOutline(8, 0.5).map(([x, z]): Vec2 => [x * w * k, z * d * k]);
    return [
      {
        solid: stack([
          { outline: ring(0.6), y: 0 },
          { outline: ring(1), y: h * 0.25 },
          { outline: ring(0.5), y: h * 0.62 },
        ]),
      },
      { solid: prism(ring(0.12), h * 0.62, h * 0.95), tone: 'metal' },
      { solid: prism(ring(0.4), h * 0.9, h), tone: 'lamp' },
    ];
  },
);
