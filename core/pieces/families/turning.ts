import {
  box,
  cutRectangle,
  extrude,
  loft,
  mapPoints,
  prism,
  regularOutline,
  type Polyhedron,
} from '../../geometry';
import type { Family } from '../family';
import {
  at,
  degrees,
  HAZARD_ALLOWANCE,
  pieceFrom,
  metres,
  oneOf,
  decoration,
  seconds,
  turned,
  type PartSpec,
} from '../parts';
import { phase, ease, counted, timedBy, roundBy, way } from './timing';

const hurts = (solid: Polyhedron, shape: Polyhedron, moving = true): PartSpec => ({
  solid,
  tone: 'thorn',
  role: 'hazard',
  shape,
  moving,
});

export const arm: Family = {
  id: 'arm',
  label: 'Swing beam',
  group: 'hazards',
  words: 'pendulum swinging arm hammer',
  material: 'timber',
  size: [1.2, 4, 1.6],
  sizable: false,
  params: [
    metres('height', 'Pivot height', 3.6, 1, 15, 0.1),
    metres('length', 'Length', 2.6, 1.2, 14, 0.1),
    degrees('swing', 'Swing to each side', 60, 5, 170, 5),
    seconds('period', 'Period', 3.2),
    counted,
    phase,
    ease,
  ],
  build: (spec) => {
    const height = spec.number('height');
    const tip = height - spec.number('length');
    const rod = (inset: number) =>
      box([-0.09 + inset, tip + 0.8, -0.09 + inset], [0.09 - inset, height, 0.09 - inset]);
    const head = (inset: number) =>
      prism(cutRectangle(0.7 - 2 * inset, 0.7 - 2 * inset, 0.16), tip + inset, tip + 0.85 - inset);
    return pieceFrom(
      spec.tone,
      [
        { solid: box([-0.16, 0, -1], [0.16, height + 0.3, -0.68]) },
        ...decoration('slate', box([-0.12, height - 0.12, -0.99], [0.12, height + 0.12, 0.2])),
        { ...hurts(rod(0), rod(HAZARD_ALLOWANCE / 2)), tone: spec.tone },
        hurts(head(0), head(HAZARD_ALLOWANCE)),
      ],
      [],
      {
        kind: 'swing',
        pivot: [0, height, 0],
        axis: [0, 0, 1],
        angle: spec.number('swing'),
        ...timedBy(spec),
      },
    );
  },
};

/** A drum along z, its corners on a circle. */
const drum = (radius: number, depth: number, sides: number, height: number): Polyhedron =>
  mapPoints(prism(regularOutline(sides, radius), -depth / 2, depth / 2), ([x, y, z]) => [
    x,
    height - z,
    y,
  ]);

export const roller: Family = {
  id: 'roller',
  label: 'Studded roller',
  group: 'hazards',
  words: 'drum log rolling turning spikes',
  material: 'timber',
  size: [1.2, 1.2, 3],
  sizable: false,
  params: [
    metres('radius', 'Radius', 0.6, 0.2, 4, 0.1),
    metres('span', 'Length', 3, 0.4, 20),
    seconds('period', 'Period', 2),
    counted,
    phase,
    way,
  ],
  build: (spec) => {
    const r = spec.number('radius');
    const span = spec.number('span');
    const rows = Math.max(1, Math.min(16, Math.round(span / 0.6)));
    const studs = Array.from({ length: rows * 6 }, (_, n) => {
      const z = (span * (Math.floor(n / 6) + 0.5)) / rows - span / 2;
      const stud = loft(regularOutline(4, 0.09), r * 0.8, regularOutline(4, 0.01), r * 1.2);
      return at(turned(stud, [0, 0, 60 * (n % 6) + 15 * (Math.floor(n / 6) % 4)]), [0, r * 1.2, z]);
    });
    return pieceFrom(
      spec.tone,
      [
        {
          solid: drum(r, span, 12, r * 1.2),
          role: 'hazard',
          shape: drum(r * 1.08, span, 12, r * 1.2),
          moving: true,
        },
        ...studs.map((solid) => ({ solid, tone: 'thorn' as const, role: null, moving: true })),
      ],
      [],
      roundBy(spec, [0, 0, 1], [0, r * 1.2, 0]),
    );
  },
};

/** The teeth of a saw wheel about the origin, thinner than its disc. */
function sawTeeth(r: number): Polyhedron[] {
  const tooth = extrude(
    [
      [-0.12 * r, 0.84 * r],
      [0.12 * r, 0.84 * r],
      [-0.09 * r, r],
    ],
    0.07,
  );
  return Array.from({ length: TEETH }, (_, i) => turned(tooth, [0, 0, (360 * i) / TEETH]));
}

const TEETH = 20;

export const saw: Family = {
  id: 'saw',
  label: 'Saw wheel',
  group: 'hazards',
  words: 'blade disc circular cutting',
  material: 'metal',
  size: [2, 2, 0.4],
  sizable: false,
  params: [
    metres('radius', 'Radius', 1, 0.3, 6, 0.1),
    seconds('period', 'Period', 1.2),
    counted,
    phase,
    way,
  ],
  build: (spec) => {
    const r = spec.number('radius');
    const seen = { role: null, moving: true } as const;
    return pieceFrom(
      spec.tone,
      [
        { ...seen, solid: drum(r * 0.86, 0.1, 24, r * 0.6) },
        ...sawTeeth(r).map((tooth) => ({
          ...seen,
          solid: at(tooth, [0, r * 0.6, 0]),
          tone: 'thorn' as const,
        })),
        {
          solid: drum(r * 0.94 - HAZARD_ALLOWANCE / 2, 0.1, 16, r * 0.6),
          tone: null,
          role: 'hazard',
          moving: true,
        },
        ...decoration('slate', drum(r * 0.22, 0.3, 8, r * 0.6)),
      ],
      [],
      roundBy(spec, [0, 0, 1], [0, r * 0.6, 0]),
    );
  },
};

export const barrel: Family = {
  id: 'barrel',
  label: 'Rolling barrel',
  group: 'hazards',
  words: 'cask roll barrel to and fro',
  material: 'timber',
  size: [1, 1, 1.4],
  sizable: false,
  params: [
    metres('radius', 'Radius', 0.5, 0.2, 3, 0.1),
    metres('span', 'Rolls', 6, 0.5, 60),
    seconds('period', 'Period', 4),
    counted,
    phase,
    ease,
  ],
  build: (spec) => {
    const r = spec.number('radius');
    const solid = drum(r, 2.4 * r, 12, r);
    const band = (z: number) => at(drum(r * 1.03, 0.12 * r, 12, r), [0, 0, z]);
    return pieceFrom(
      spec.tone,
      [
        {
          solid,
          role: 'hazard',
          shape: drum(r - HAZARD_ALLOWANCE, 2.4 * r, 12, r),
          moving: true,
        },
        ...[-0.8 * r, 0.8 * r].map((z) => ({
          solid: band(z),
          tone: 'thorn' as const,
          role: null,
          moving: true,
        })),
      ],
      [],
      { kind: 'slide', travel: [spec.number('span'), 0, 0], ...timedBy(spec) },
    );
  },
};

export const whirl: Family = {
  id: 'whirl',
  label: 'Whirl arm',
  group: 'hazards',
  words: 'spinning arm rotating bar sweeper',
  material: 'timber',
  size: [1, 1.2, 1],
  sizable: false,
  params: [
    metres('reach', 'Reach', 3, 0.6, 20),
    metres('height', 'Height', 0.6, 0.2, 10, 0.1),
    oneOf('arms', 'Arms', { two: 'Two', one: 'One', four: 'Four' }),
    seconds('period', 'Period', 3.5),
    counted,
    phase,
    way,
  ],
  build: (spec) => {
    const [reach, height] = [spec.number('reach'), spec.number('height')];
    const headings = { one: [0], two: [0, 180], four: [0, 90, 180, 270] }[spec.choice('arms')] ?? [
      0,
    ];
    const bar = (t: number, end: number): Polyhedron =>
      box([0.25, height - t, -t], [end, height + t, t]);
    return pieceFrom(
      spec.tone,
      [
        { solid: prism(regularOutline(8, 0.28), 0, height + 0.35) },
        ...headings.map((heading) => ({
          solid: turned(bar(0.14, reach), [0, heading, 0]),
          tone: 'thorn' as const,
          role: 'hazard' as const,
          shape: turned(bar(0.14 - HAZARD_ALLOWANCE, reach - HAZARD_ALLOWANCE), [0, heading, 0]),
          moving: true,
        })),
      ],
      [],
      roundBy(spec, [0, 1, 0], [0, 0, 0]),
    );
  },
};
