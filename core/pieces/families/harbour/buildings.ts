import { box, extrude, loft, prism, regularOutline, stack, type Vec2 } from '../../../geometry';
import { at, boxAt } from '../../parts';
import { scenery } from '../sceneryPiece';

export const lamp = scenery(
  {
    id: 'lamp',
    light: true,
    label: 'Lamp',
    words: 'light lantern post street',
    material: 'metal',
    size: [0.6, 2.6, 0.6],
  },
  (s) => {
    const [w, h, d] = s.size;
    const r = Math.min(w, d) / 2;
    return [
      { solid: prism(regularOutline(6, r * 0.5), 0, h * 0.06), tone: 'stone' },
      { solid: prism(regularOutline(6, r * 0.2), h * 0.06, h * 0.78) },
      { solid: prism(regularOutline(6, r * 0.55), h * 0.78, h * 0.92), tone: 'lamp' },
      { solid: loft(regularOutline(6, r * 0.75), h * 0.92, regularOutline(6, r * 0.1), h) },
    ];
  },
);

export const hut = scenery(
  {
    id: 'hut',
    label: 'Net hut',
    words: 'house shed cabin building',
    material: 'timber',
    size: [4, 3.4, 3.4],
  },
  (s) => {
    const [w, h, d] = s.size;
    const eaves = h * 0.6;
    const roof = extrude(
      [
        [-w * 0.54, 0],
        [w * 0.54, 0],
        [0, h - eaves],
      ],
      d * 1.08,
    );
    return [
      { solid: box([-w / 2, 0, -d / 2], [w / 2, eaves, d / 2]) },
      { solid: at(roof, [0, eaves, 0]), tone: 'slate' },
      {
        solid: boxAt([-w * 0.12, eaves * 0.42, d / 2], [w * 0.24, eaves * 0.84, 0.08]),
        tone: 'tar',
        role: null,
      },
      {
        solid: boxAt([w * 0.25, eaves * 0.6, d / 2], [w * 0.18, eaves * 0.3, 0.08]),
        tone: 'lamp',
        role: null,
      },
      { solid: boxAt([w * 0.22, h * 0.86, -d * 0.2], [w * 0.1, h * 0.3, w * 0.1]), tone: 'stone' },
    ];
  },
);

export const kiln = scenery(
  {
    id: 'kiln',
    label: 'Lime kiln',
    words: 'oven furnace chimney building',
    material: 'stone',
    size: [4, 4.4, 4],
  },
  (s) => {
    const [w, h, d] = s.size;
    const ring = (k: number) =>
      regularOutline(10, 0.5).map(([x, z]): Vec2 => [x * w * k, z * d * k]);
    return [
      {
        solid: stack([
          { outline: ring(1), y: 0 },
          { outline: ring(0.9), y: h * 0.4 },
          { outline: ring(0.6), y: h * 0.82 },
          { outline: ring(0.44), y: h * 0.95 },
        ]),
      },
      { solid: prism(ring(0.5), h * 0.95, h), tone: 'slate' },
      {
        solid: boxAt([0, h * 0.16, d * 0.47], [w * 0.26, h * 0.3, d * 0.1]),
        tone: 'tar',
        role: null,
      },
      {
        solid: boxAt([0, h * 0.08, d * 0.5], [w * 0.2, h * 0.1, d * 0.08]),
        tone: 'lamp',
        role: null,
      },
    ];
  },
);
