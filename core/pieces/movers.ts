import {
  box,
  cutRectangle,
  loft,
  mapPoints,
  prism,
  regularOutline,
  type Polyhedron,
  type Vec3,
} from '../geometry';
import type { Ease } from '../motion';
import type { Family, Param } from './family';
import { cutSlab, rimSockets, solidHull, standingBox } from './stones';

const period = (initial: number): Param => ({
  key: 'period',
  label: 'Period',
  kind: 'number',
  unit: 's',
  min: 0.5,
  max: 60,
  step: 0.1,
  initial,
});
const phase: Param = {
  key: 'phase',
  label: 'Starts at part',
  kind: 'number',
  unit: '',
  min: 0,
  max: 1,
  step: 0.05,
  initial: 0,
};
const ease: Param = {
  key: 'ease',
  label: 'Pace',
  kind: 'choice',
  options: [
    { value: 'smooth', label: 'Slows at the ends' },
    { value: 'even', label: 'Even' },
  ],
  initial: 'smooth',
};

/** How much smaller than its picture a hazard's shape is on every side, metres. */
const HAZARD_ALLOWANCE = 0.06;

const hazardHull = (solid: Polyhedron, moving?: boolean) =>
  ({ role: 'hazard', moving, form: { kind: 'hull', solid } }) as const;

export const thorns: Family = {
  id: 'thorns',
  label: 'Thorn row',
  group: 'hazards',
  words: 'spikes bramble sharp',
  material: 'moss',
  size: [2, 0.7, 1],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => {
    const across = Math.max(1, Math.round(w / 0.45));
    const deep = Math.max(1, Math.round(d / 0.5));
    const cones: Polyhedron[] = [];
    for (let i = 0; i < across; i++) {
      for (let k = 0; k < deep; k++) {
        // Heights and leans vary in a fixed way, so that a row looks grown and stays the same.
        const mark = (i * 7 + k * 5) % 6;
        const tall = h * (0.75 + 0.05 * mark);
        const foot: Vec3 = [((i + 0.5) / across - 0.5) * w, 0, ((k + 0.5) / deep - 0.5) * d];
        const lean = (mark - 2.5) * 0.03;
        cones.push(
          mapPoints(loft(regularOutline(5, 0.17), 0, regularOutline(5, 0.012), tall), (p) => [
            p[0] + foot[0] + p[1] * lean,
            p[1],
            p[2] + foot[2] - p[1] * lean,
          ]),
        );
      }
    }
    const within = (extent: number) => extent / 2 - Math.min(HAZARD_ALLOWANCE, extent / 4);
    const [x, z] = [within(w), within(d)];
    const rim = (k: number) =>
      [
        [-x * k, -z * k],
        [x * k, -z * k],
        [x * k, z * k],
        [-x * k, z * k],
      ] as const;
    return {
      parts: [
        { solid: cutSlab([w, 0.12, d], 0.04), tone },
        ...cones.map((solid) => ({ solid, tone: 'thorn' as const })),
      ],
      shapes: [hazardHull(loft(rim(1), 0, rim(0.85), h * 0.9))],
      sockets: [],
    };
  },
};

export const arm: Family = {
  id: 'arm',
  label: 'Swing beam',
  group: 'hazards',
  words: 'pendulum swinging arm hammer',
  material: 'timber',
  size: [1.2, 4, 1.6],
  sizable: false,
  params: [
    {
      key: 'height',
      label: 'Pivot height',
      kind: 'number',
      unit: 'm',
      min: 1,
      max: 15,
      step: 0.1,
      initial: 3.6,
    },
    {
      key: 'length',
      label: 'Length',
      kind: 'number',
      unit: 'm',
      min: 1.2,
      max: 14,
      step: 0.1,
      initial: 2.6,
    },
    {
      key: 'swing',
      label: 'Swing to each side',
      kind: 'number',
      unit: '°',
      min: 5,
      max: 170,
      step: 5,
      initial: 60,
    },
    period(3.2),
    phase,
    ease,
  ],
  build: ({ tone, number, choice }) => {
    const height = number('height');
    const tip = height - number('length');
    const rod = (inset: number) =>
      box([-0.09 + inset, tip + 0.8, -0.09 + inset], [0.09 - inset, height, 0.09 - inset]);
    const head = (inset: number) =>
      prism(cutRectangle(0.7 - 2 * inset, 0.7 - 2 * inset, 0.16), tip + inset, tip + 0.85 - inset);
    return {
      parts: [
        { solid: box([-0.16, 0, -1], [0.16, height + 0.3, -0.68]), tone },
        { solid: box([-0.12, height - 0.12, -1], [0.12, height + 0.12, 0.2]), tone: 'slate' },
        { solid: rod(0), tone, moving: true },
        { solid: head(0), tone: 'thorn', moving: true },
      ],
      shapes: [
        solidHull(box([-0.16, 0, -1], [0.16, height + 0.3, -0.68])),
        hazardHull(rod(HAZARD_ALLOWANCE / 2), true),
        hazardHull(head(HAZARD_ALLOWANCE), true),
      ],
      sockets: [],
      motion: {
        kind: 'swing',
        pivot: [0, height, 0],
        axis: [0, 0, 1],
        angle: number('swing'),
        period: number('period'),
        phase: number('phase'),
        ease: choice('ease') as Ease,
      },
    };
  },
};

const directions: Record<string, Vec3> = { along: [1, 0, 0], up: [0, 1, 0], across: [0, 0, 1] };

export const drift: Family = {
  id: 'drift',
  label: 'Drift slab',
  group: 'movers',
  words: 'sliding moving platform ferry lift',
  material: 'mover',
  size: [2, 0.5, 2],
  sizable: true,
  params: [
    {
      key: 'span',
      label: 'Travel',
      kind: 'number',
      unit: 'm',
      min: 0.1,
      max: 60,
      step: 0.25,
      initial: 4,
    },
    {
      key: 'direction',
      label: 'Goes',
      kind: 'choice',
      options: [
        { value: 'along', label: 'Along' },
        { value: 'up', label: 'Up' },
        { value: 'across', label: 'Across' },
      ],
      initial: 'along',
    },
    period(6),
    phase,
    ease,
  ],
  build: ({ size, tone, number, choice }) => {
    const span = number('span');
    const [x, y, z] = directions[choice('direction')] ?? directions.along;
    return {
      parts: [{ solid: cutSlab(size, 0.1), tone, moving: true }],
      shapes: [solidHull(standingBox(size), true)],
      sockets: rimSockets(size),
      motion: {
        kind: 'slide',
        travel: [x * span, y * span, z * span],
        period: number('period'),
        phase: number('phase'),
        ease: choice('ease') as Ease,
      },
    };
  },
};
