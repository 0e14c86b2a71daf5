import {
  box,
  cosDeg,
  extrude,
  loft,
  prism,
  regularOutline,
  sinDeg,
  stack,
  type Polyhedron,
  type Vec2,
  type Vec3,
} from '../../geometry';
import type { TextParam, Tone } from '../family';
import { at, boxAt, cutSlab, type PartSpec } from '../parts';
import { lump, scenery } from './sceneryPiece';

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
      { solid: prism(ring(0.12), h * 0.62, h), tone: 'metal' },
      { solid: prism(ring(0.4), h * 0.9, h), tone: 'lamp' },
    ];
  },
);

const inscription: TextParam = {
  kind: 'text',
  key: 'text',
  label: 'Text',
  initial: 'This way',
  words: true,
};

export const board = scenery(
  {
    id: 'board',
    label: 'Board',
    words: 'sign text notice words label',
    material: 'timber',
    size: [2.2, 1.6, 0.2],
    params: [inscription],
  },
  (s) => {
    const [w, h, d] = s.size;
    return [
      ...[-1, 1].map((x): PartSpec => ({
        solid: boxAt([x * w * 0.36, h * 0.3, 0], [w * 0.06, h * 0.6, d * 0.8]),
      })),
      { solid: boxAt([0, h * 0.74, 0], [w, h * 0.5, d * 0.5]), tone: 'sail' },
      { solid: boxAt([0, h * 0.985, 0], [w * 1.04, h * 0.06, d * 0.7]) },
    ];
  },
);

export const pointer = scenery(
  {
    id: 'pointer',
    label: 'Pointer',
    words: 'sign arrow direction way',
    material: 'timber',
    size: [1.4, 1.8, 0.16],
  },
  (s) => {
    const [w, h, d] = s.size;
    const arrow: Vec2[] = [
      [-w / 2, h * 0.64],
      [w * 0.3, h * 0.64],
      [w / 2, h * 0.79],
      [w * 0.3, h * 0.94],
      [-w / 2, h * 0.94],
    ];
    return [
      { solid: boxAt([0, h * 0.5, -d / 3], [w * 0.09, h, d * 0.6]) },
      { solid: extrude(arrow, d * 0.5), tone: 'flag' },
    ];
  },
);

export const banner = scenery(
  {
    id: 'banner',
    label: 'Banner',
    words: 'flag pennant festival',
    material: 'flag',
    size: [1.2, 3.4, 0.2],
  },
  (s) => {
    const [w, h, d] = s.size;
    const t = Math.min(0.07, d / 2);
    return [
      { solid: boxAt([-w / 2, h / 2, 0], [t, h, t]), tone: 'timber' },
      { solid: boxAt([0, h * 0.97, 0], [w, t, t]), tone: 'timber' },
      {
        solid: extrude(
          [
            [-w * 0.42, h * 0.34],
            [0, h * 0.26],
            [w * 0.48, h * 0.34],
            [w * 0.48, h * 0.96],
            [-w * 0.42, h * 0.96],
          ],
          t / 2,
        ),
        role: null,
      },
    ];
  },
);

export const bunting = scenery(
  {
    id: 'bunting',
    label: 'Bunting',
    words: 'flags string festival line',
    material: 'rope',
    size: [5, 2.6, 0.1],
  },
  (s) => {
    const [w, h] = s.size;
    const n = Math.max(3, Math.min(20, Math.round(w / 0.6)));
    const sag = (k: number) => h * 0.96 - h * 0.22 * (1 - (2 * k - 1) * (2 * k - 1));
    const tones: Tone[] = ['flag', 'thorn', 'lamp', 'mover'];
    return [
      ...[-w / 2, w / 2].map((x): PartSpec => ({
        solid: boxAt([x, h / 2, 0], [0.08, h, 0.08]),
        tone: 'timber',
      })),
      ...Array.from({ length: n }, (_, i): PartSpec => {
        const [a, b] = [i / n, (i + 1) / n];
        const [x0, x1] = [-w / 2 + w * a, -w / 2 + w * b];
        const [y0, y1] = [sag(a), sag(b)];
        return {
          solid: extrude(
            [
              [(x0 + x1) / 2, Math.min(y0, y1) - h * 0.14],
              [x1 - (x1 - x0) * 0.1, y1],
              [x0 + (x1 - x0) * 0.1, y0],
            ],
            0.02,
          ),
          tone: tones[i % tones.length],
          role: null,
        };
      }),
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
