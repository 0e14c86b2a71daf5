import {
  box,
  cosDeg,
  extrude,
  facetedBall,
  loft,
  mapPoints,
  prism,
  regularOutline,
  sinDeg,
  stack,
  stoneOutline,
  type Polyhedron,
  type Vec2,
  type Vec3,
} from '../../geometry';
import type { Family, PieceGeometry, Spec, TextParam, Tone } from '../family';
import { at, boxAt, cutSlab, grown, made, turned, type Bit } from '../make';

/** Scenery: what is drawn of it also touches where a course says that it does. */
const scenery = (
  id: string,
  label: string,
  words: string,
  material: Tone,
  size: Family['size'],
  bits: (spec: Spec) => readonly Bit[],
  params: Family['params'] = [],
): Family => ({
  id,
  label,
  group: 'scenery',
  words: `scenery ${words}`,
  material,
  size,
  sizable: true,
  params,
  build: (spec): PieceGeometry => made(spec.tone, bits(spec)),
});

const lump = ([x, y, z]: Vec3, [w, h, d]: Vec3): Polyhedron =>
  mapPoints(facetedBall([0, 0, 0], 0.5), (p) => [p[0] * w + x, p[1] * h + y, p[2] * d + z]);

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

const rock = scenery('rock', 'Rocks', 'stone boulder rubble', 'slate', [2, 1, 1.6], (s) => {
  const [w, h, d] = s.size;
  return [
    { solid: lump([-w * 0.14, h * 0.38, 0], [w * 0.66, h * 0.9, d * 0.8]) },
    { solid: lump([w * 0.27, h * 0.26, d * 0.12], [w * 0.46, h * 0.6, d * 0.6]), tone: 'stone' },
    { solid: lump([w * 0.12, h * 0.16, -d * 0.3], [w * 0.3, h * 0.36, d * 0.36]) },
  ];
});

const pebbles = scenery(
  'pebbles',
  'Pebbles',
  'stones shingle gravel',
  'stone',
  [1.4, 0.2, 1.4],
  (s) => {
    const [w, h, d] = s.size;
    return Array.from({ length: 8 }, (_, i): Bit => {
      const k = 0.5 + 0.5 * grown(i, 1);
      const [x, z] = [grown(i, 2) - 0.5, grown(i, 3) - 0.5];
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

const reeds = scenery(
  'reeds',
  'Reeds',
  'grass rushes water plants',
  'reed',
  [1.2, 1.4, 0.8],
  (s) => {
    const [w, h, d] = s.size;
    return Array.from({ length: 14 }, (_, i): Bit => {
      const tall = h * (0.55 + 0.45 * grown(i, 5));
      const blade = loft(regularOutline(3, 0.045), 0, regularOutline(3, 0.008), tall);
      const lean = 16 * (grown(i, 6) - 0.5);
      return {
        solid: at(turned(blade, [lean, 40 * i, lean]), [
          (grown(i, 7) - 0.5) * w * 0.85,
          0,
          (grown(i, 8) - 0.5) * d * 0.85,
        ]),
        role: null,
      };
    });
  },
);

const grass = scenery('grass', 'Marram', 'grass tuft dune plants', 'leaf', [0.8, 0.5, 0.8], (s) => {
  const [w, h, d] = s.size;
  return Array.from({ length: 10 }, (_, i): Bit => {
    const blade = loft(
      regularOutline(3, 0.03),
      0,
      regularOutline(3, 0.006),
      h * (0.6 + 0.4 * grown(i, 4)),
    );
    return {
      solid: at(turned(blade, [30 * (grown(i, 9) - 0.5), 36 * i, 30 * (grown(i, 3) - 0.5)]), [
        (grown(i, 1) - 0.5) * w * 0.5,
        0,
        (grown(i, 2) - 0.5) * d * 0.5,
      ]),
      role: null,
    };
  });
});

const pine = scenery('pine', 'Pine', 'tree conifer fir', 'pine', [2.2, 4.5, 2.2], (s) => {
  const [w, h, d] = s.size;
  return [
    { solid: cone(6, w * 0.14, d * 0.14, 0, h * 0.4, 0.7), tone: 'timber' },
    { solid: cone(8, w, d, h * 0.22, h * 0.6) },
    { solid: cone(8, w * 0.78, d * 0.78, h * 0.44, h * 0.8) },
    { solid: cone(8, w * 0.54, d * 0.54, h * 0.64, h) },
  ];
});

const windTree = scenery(
  'wind-tree',
  'Wind-bent tree',
  'tree leaning thorn',
  'leaf',
  [3, 3, 2],
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

const bush = scenery('bush', 'Bush', 'shrub gorse heather', 'leaf', [1.6, 1, 1.4], (s) => {
  const [w, h, d] = s.size;
  return [
    { solid: lump([-w * 0.16, h * 0.42, 0], [w * 0.66, h * 0.86, d * 0.8]) },
    { solid: lump([w * 0.22, h * 0.34, d * 0.1], [w * 0.52, h * 0.66, d * 0.64]), tone: 'moss' },
    { solid: lump([w * 0.02, h * 0.3, -d * 0.24], [w * 0.4, h * 0.5, d * 0.44]) },
  ];
});

const driftwood = scenery(
  'driftwood',
  'Driftwood',
  'log branch wreck',
  'sail',
  [2.4, 0.5, 0.8],
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

const nets = scenery(
  'nets',
  'Drying nets',
  'fishing net rack poles',
  'rope',
  [3, 1.8, 0.6],
  (s) => {
    const [w, h, d] = s.size;
    const pole = (x: number) => at(prism(regularOutline(5, 0.06), 0, h), [x, 0, 0]);
    const cords: Bit[] = [];
    for (let i = 1; i < 6; i++)
      cords.push({
        solid: boxAt([-w / 2 + (w * i) / 6, h * 0.58, 0], [0.02, h * 0.7, 0.02]),
        role: null,
      });
    for (let k = 0; k < 4; k++)
      cords.push({ solid: boxAt([0, h * (0.25 + 0.22 * k), 0], [w, 0.025, 0.025]), role: null });
    return [
      ...[-w / 2, 0, w / 2].map((x): Bit => ({ solid: pole(x), tone: 'timber' })),
      { solid: boxAt([0, h - 0.05, 0], [w, 0.08, 0.08]), tone: 'timber' },
      ...cords,
      { solid: at(cutSlab([w * 0.5, h * 0.12, d], 0.04), [w * 0.1, 0, 0]), role: null },
    ];
  },
);

const lamp = scenery('lamp', 'Lamp', 'light lantern post street', 'metal', [0.6, 2.6, 0.6], (s) => {
  const [w, h, d] = s.size;
  const r = Math.min(w, d) / 2;
  return [
    { solid: prism(regularOutline(6, r * 0.5), 0, h * 0.06), tone: 'stone' },
    { solid: prism(regularOutline(6, r * 0.2), h * 0.06, h * 0.78) },
    { solid: prism(regularOutline(6, r * 0.55), h * 0.78, h * 0.92), tone: 'lamp' },
    { solid: loft(regularOutline(6, r * 0.75), h * 0.92, regularOutline(6, r * 0.1), h) },
  ];
});

const hut = scenery('hut', 'Net hut', 'house shed cabin building', 'timber', [4, 3.4, 3.4], (s) => {
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
});

const kiln = scenery(
  'kiln',
  'Lime kiln',
  'oven furnace chimney building',
  'stone',
  [4, 4.4, 4],
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

const boat = scenery('boat', 'Rowing boat', 'dinghy vessel ship', 'timber', [4, 0.9, 1.6], (s) => {
  const [w, h, d] = s.size;
  return [
    { solid: hull(w, h * 0.8, d) },
    ...[-0.24, 0.1].map((x): Bit => ({
      solid: boxAt([x * w, h * 0.86, 0], [w * 0.07, h * 0.1, d * 0.8]),
      tone: 'sail',
    })),
    { solid: boxAt([0, h * 0.9, d * 0.2], [w * 0.8, h * 0.06, 0.06]), tone: 'rope', role: null },
  ];
});

const lugger = scenery(
  'lugger',
  'Sailing boat',
  'ship mast sail vessel',
  'tar',
  [6, 5, 2.2],
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

const buoy = scenery('buoy', 'Buoy', 'float marker sea', 'thorn', [0.9, 1.4, 0.9], (s) => {
  const [w, h, d] = s.size;
  const ring = (k: number) => regularOutline(8, 0.5).map(([x, z]): Vec2 => [x * w * k, z * d * k]);
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
});

const inscription: TextParam = { kind: 'text', key: 'text', label: 'Text', initial: 'This way' };

const board = scenery(
  'board',
  'Board',
  'sign text notice words label',
  'timber',
  [2.2, 1.6, 0.2],
  (s) => {
    const [w, h, d] = s.size;
    return [
      ...[-1, 1].map((x): Bit => ({
        solid: boxAt([x * w * 0.36, h * 0.3, 0], [w * 0.06, h * 0.6, d * 0.8]),
      })),
      { solid: boxAt([0, h * 0.74, 0], [w, h * 0.5, d * 0.5]), tone: 'sail' },
      { solid: boxAt([0, h * 0.985, 0], [w * 1.04, h * 0.06, d * 0.7]) },
    ];
  },
  [inscription],
);

const pointer = scenery(
  'pointer',
  'Pointer',
  'sign arrow direction way',
  'timber',
  [1.4, 1.8, 0.16],
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

const banner = scenery(
  'banner',
  'Banner',
  'flag pennant festival',
  'flag',
  [1.2, 3.4, 0.2],
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

const bunting = scenery(
  'bunting',
  'Bunting',
  'flags string festival line',
  'rope',
  [5, 2.6, 0.1],
  (s) => {
    const [w, h] = s.size;
    const n = Math.max(3, Math.min(20, Math.round(w / 0.6)));
    const sag = (k: number) => h * 0.96 - h * 0.22 * (1 - (2 * k - 1) * (2 * k - 1));
    const tones: Tone[] = ['flag', 'thorn', 'lamp', 'mover'];
    return [
      ...[-w / 2, w / 2].map((x): Bit => ({
        solid: boxAt([x, h / 2, 0], [0.08, h, 0.08]),
        tone: 'timber',
      })),
      ...Array.from({ length: n }, (_, i): Bit => {
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

const creels = scenery(
  'creels',
  'Creels',
  'lobster pots baskets stack',
  'rope',
  [1.4, 1.2, 1],
  (s) => {
    const [w, h, d] = s.size;
    const pot = (x: number, y: number): Bit => ({
      solid: at(cutSlab([w * 0.46, h * 0.46, d * 0.9], h * 0.16), [x, y, 0]),
    });
    return [pot(-w * 0.25, 0), pot(w * 0.25, 0), { ...pot(0, h * 0.47), tone: 'timber' }];
  },
);

const anchor = scenery('anchor', 'Anchor', 'ship iron', 'metal', [1.2, 1.8, 0.2], (s) => {
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
});

const bench = scenery('bench', 'Bench', 'seat', 'timber', [1.8, 0.8, 0.6], (s) => {
  const [w, h, d] = s.size;
  return [
    { solid: boxAt([0, h * 0.5, d * 0.1], [w, h * 0.1, d * 0.8]) },
    { solid: boxAt([0, h * 0.85, -d * 0.4], [w, h * 0.3, d * 0.12]) },
    ...[-1, 1].map((x): Bit => ({
      solid: boxAt([x * w * 0.4, h * 0.25, 0], [w * 0.06, h * 0.5, d * 0.8]),
      tone: 'slate',
    })),
  ];
});

const gull = scenery('gull', 'Gull', 'bird seabird', 'sail', [0.6, 0.6, 0.4], (s) => {
  const [w, h, d] = s.size;
  return [
    { solid: lump([0, h * 0.42, 0], [w * 0.7, h * 0.42, d * 0.7]), role: null },
    { solid: lump([w * 0.26, h * 0.76, 0], [w * 0.3, h * 0.34, d * 0.5]), role: null },
    {
      solid: boxAt([w * 0.45, h * 0.74, 0], [w * 0.2, h * 0.06, d * 0.1]),
      tone: 'lamp',
      role: null,
    },
    ...[-1, 1].map((z): Bit => ({
      solid: boxAt([0, h * 0.12, z * d * 0.12], [w * 0.04, h * 0.24, d * 0.05]),
      tone: 'lamp',
      role: null,
    })),
  ];
});

const mound = scenery(
  'mound',
  'Grassy mound',
  'hill bank earth island',
  'moss',
  [6, 1.2, 5],
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

const hoop = scenery(
  'hoop',
  'Lantern hoop',
  'ring arch festival light',
  'rope',
  [2.6, 2.8, 0.3],
  (s) => {
    const [w, h, d] = s.size;
    const n = 12;
    const corner = (i: number, k: number): Vec2 => [
      (w / 2) * k * cosDeg((360 * i) / n),
      h / 2 + (h / 2) * k * sinDeg((360 * i) / n),
    ];
    return Array.from({ length: n }, (_, i): Bit[] => [
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

export const SCENERY: readonly Family[] = [
  rock,
  pebbles,
  reeds,
  grass,
  pine,
  windTree,
  bush,
  driftwood,
  nets,
  lamp,
  hut,
  kiln,
  boat,
  lugger,
  buoy,
  board,
  pointer,
  banner,
  bunting,
  creels,
  anchor,
  bench,
  gull,
  mound,
  hoop,
];
