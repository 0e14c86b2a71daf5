import {
  cosDeg,
  extrude,
  prism,
  regularOutline,
  sinDeg,
  type Vec2,
  type Vec3,
} from '../../../geometry';
import { at, boxAt, cutSlab, type PartSpec } from '../../parts';
import { lump, scenery } from '../sceneryPiece';

export const nets = scenery(
  {
    id: 'nets',
    label: 'Drying nets',
    words: 'fishing net rack poles',
    material: 'rope',
    size: [3, 1.8, 0.6],
  },
  (s) => {
    const [w, h, d] = s.size;
    const pole = (x: number) => at(prism(regularOutline(5, 0.06), 0, h), [x, 0, 0]);
    const cords: PartSpec[] = [];
    for (let i = 1; i < 6; i++)
      cords.push({
        solid: boxAt([-w / 2 + (w * i) / 6, h * 0.58, 0], [0.02, h * 0.7, 0.02]),
        role: null,
      });
    for (let k = 0; k < 4; k++)
      cords.push({ solid: boxAt([0, h * (0.25 + 0.22 * k), 0], [w, 0.025, 0.025]), role: null });
    return [
      ...[-w / 2, 0, w / 2].map((x): PartSpec => ({ solid: pole(x), tone: 'timber' })),
      { solid: boxAt([0, h - 0.05, 0], [w, 0.08, 0.08]), tone: 'timber' },
      ...cords,
      { solid: at(cutSlab([w * 0.5, h * 0.12, d], 0.04), [w * 0.1, 0, 0]), role: null },
    ];
  },
);

export const creels = scenery(
  {
    id: 'creels',
    label: 'Creels',
    words: 'lobster pots baskets stack',
    material: 'rope',
    size: [1.4, 1.2, 1],
  },
  (s) => {
    const [w, h, d] = s.size;
    const pot = (x: number, y: number): PartSpec => ({
      solid: at(cutSlab([w * 0.46, h * 0.46, d * 0.9], h * 0.16), [x, y, 0]),
    });
    return [pot(-w * 0.25, 0), pot(w * 0.25, 0), { ...pot(0, h * 0.47), tone: 'timber' }];
  },
);

export const anchor = scenery(
  { id: 'anchor', label: 'Anchor', words: 'ship iron', material: 'metal', size: [1.2, 1.8, 0.2] },
  (s) => {
    const [w, h, d] = s.size;
    const fluke = (side: number) =>
      extrude(
        (
          [
            [0, 0],
            [0.5 * w, h * 0.22],
            [0.42 * w, h * 0.34],
            [0, h * 0.12],
          ] as Vec2[]
        )
          .map(([x, y]): Vec2 => [x * side, y])
          [side > 0 ? 'slice' : 'reverse'](),
        d,
      );
    return [
      { solid: boxAt([0, h / 2, 0], [w * 0.09, h, d * 0.8]) },
      { solid: fluke(1) },
      { solid: fluke(-1) },
      { solid: boxAt([0, h * 0.8, 0], [w * 0.5, h * 0.06, d * 0.6]), tone: 'timber' },
    ];
  },
);

export const bench = scenery(
  { id: 'bench', label: 'Bench', words: 'seat', material: 'timber', size: [1.8, 0.8, 0.6] },
  (s) => {
    const [w, h, d] = s.size;
    return [
      { solid: boxAt([0, h * 0.5, d * 0.1], [w, h * 0.1, d * 0.8]) },
      { solid: boxAt([0, h * 0.85, -d * 0.4], [w, h * 0.3, d * 0.12]) },
      ...[-1, 1].map((x): PartSpec => ({
        solid: boxAt([x * w * 0.4, h * 0.25, 0], [w * 0.06, h * 0.5, d * 0.8]),
        tone: 'slate',
      })),
    ];
  },
);

export const hoop = scenery(
  {
    id: 'hoop',
    light: true,
    label: 'Lantern hoop',
    words: 'ring arch festival light',
    material: 'rope',
    size: [2.6, 2.8, 0.3],
  },
  (s) => {
    const [w, h, d] = s.size;
    const n = 12;
    const corner = (i: number, k: number): Vec2 => [
      (w / 2) * k * cosDeg((360 * i) / n),
      h / 2 + (h / 2) * k * sinDeg((360 * i) / n),
    ];
    return Array.from({ length: n }, (_, i): PartSpec[] => [
      {
        solid: extrude(
          [corner(i, 0.9), corner(i, 1), corner(i + 1, 1), corner(i + 1, 0.9)],
          d * 0.4,
        ),
        role: null,
      },
      ...(i % 2
        ? [
            {
              solid: lump([...corner(i, 0.84), 0] as unknown as Vec3, [
                w * 0.08,
                h * 0.08,
                w * 0.08,
              ]),
              tone: 'lamp' as const,
              role: null,
            },
          ]
        : []),
    ]).flat();
  },
);
