import {
  box,
  cutRectangle,
  loft,
  mapPoints,
  prism,
  regularOutline,
  type Polyhedron,
  type Vec3,
} from '../../geometry';
import type { Family, Spec } from '../family';
import {
  at,
  boxAt,
  cutSlab,
  degrees,
  HAZARD_ALLOWANCE,
  pieceFrom,
  metres,
  decoration,
  seconds,
  standingBox,
} from '../parts';
import { phase, ease, counted, timedBy } from './timing';

/** Timing of what stands as it is out at the most, and is in when its time begins. */
const comingOut = (spec: Spec) => ({ ...timedBy(spec), phase: spec.number('phase') + 0.5 });

const cone = (foot: Vec3, tall: number, wide: number): Polyhedron =>
  at(loft(regularOutline(5, wide), 0, regularOutline(5, wide * 0.07), tall), foot);

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
    return pieceFrom(tone, [
      { solid: cutSlab([w, 0.12, d], 0.04), role: null },
      ...decoration('thorn', ...cones),
      { solid: loft(rim(1), 0, rim(0.85), h * 0.9), tone: null, role: 'hazard' },
    ]);
  },
};

export const spikes: Family = {
  id: 'spikes',
  label: 'Rising spikes',
  group: 'hazards',
  words: 'spike trap up floor',
  material: 'slate',
  size: [2, 0.9, 2],
  sizable: true,
  params: [seconds('period', 'Period', 3), counted, phase, ease],
  build: (spec) => {
    const [w, h, d] = spec.size;
    const across = Math.max(1, Math.min(20, Math.round(w / 0.5)));
    const deep = Math.max(1, Math.min(20, Math.round(d / 0.5)));
    const cones = Array.from({ length: across * deep }, (_, n) => {
      const [i, k] = [n % across, Math.floor(n / across)];
      return cone([(w * (i + 0.5)) / across - w / 2, 0, (d * (k + 0.5)) / deep - d / 2], h, 0.14);
    });
    const inset = Math.min(0.2, w / 5, d / 5);
    const plate = Math.min(0.06, h / 4);
    const form = pieceFrom(
      spec.tone,
      [
        { solid: standingBox([w, plate, d]), role: null },
        ...cones.map((solid) => ({ solid, tone: 'thorn' as const, role: null, moving: true })),
        {
          solid: box([-w / 2 + inset, 0, -d / 2 + inset], [w / 2 - inset, h * 0.9, d / 2 - inset]),
          tone: null,
          role: 'hazard',
          moving: true,
        },
      ],
      [],
      { kind: 'slide', travel: [0, -h, 0], ...comingOut(spec) },
    );
    return { ...form, mouth: plate };
  },
};

export const crusher: Family = {
  id: 'crusher',
  label: 'Crusher',
  group: 'hazards',
  words: 'press stamp hammer weight falling',
  material: 'slate',
  size: [2, 1.4, 2],
  sizable: true,
  params: [
    metres('height', 'Hangs at', 3.4, 1.2, 20),
    metres('drop', 'Comes down', 2.8, 0.2, 20),
    seconds('period', 'Period', 3),
    counted,
    phase,
    ease,
  ],
  build: (spec) => {
    const [w, h, d] = spec.size;
    const foot = spec.number('height');
    const drop = Math.min(spec.number('drop'), foot - 0.02);
    const head = at(cutSlab([w, h, d], 0.1), [0, foot, 0]);
    return pieceFrom(
      spec.tone,
      [
        { solid: head, shape: at(standingBox([w, h, d]), [0, foot, 0]), moving: true },
        ...decoration('thorn', boxAt([0, foot - 0.03, 0], [w * 0.96, 0.08, d * 0.96])).map(
          (bit) => ({
            ...bit,
            moving: true,
          }),
        ),
        ...decoration('timber', boxAt([0, foot + h + drop / 2, 0], [0.24, drop, 0.24])).map(
          (bit) => ({
            ...bit,
            moving: true,
          }),
        ),
      ],
      [],
      { kind: 'slide', travel: [0, -drop, 0], ...timedBy(spec) },
    );
  },
};

/** A jet that comes out of something and goes back: it is hurtful as far as it stands out. */
const jet = (
  id: string,
  label: string,
  words: string,
  material: Family['material'],
  tone: 'steam' | 'beam',
): Family => ({
  id,
  label,
  group: 'hazards',
  words,
  material,
  size: [1, 3, 1],
  sizable: true,
  params: [seconds('period', 'Period', 4), counted, phase, ease],
  build: (spec) => {
    const [w, h, d] = spec.size;
    const base = Math.min(0.2, h / 6);
    const puff = (k: number, y: number, tall: number) =>
      at(prism(regularOutline(7, (Math.min(w, d) / 2) * k), 0, tall), [0, y + base, 0]);
    const form = pieceFrom(
      spec.tone,
      [
        { solid: prism(cutRectangle(w, d, Math.min(w, d) * 0.25), 0, base) },
        ...[
          puff(0.45, 0, h * 0.3),
          puff(0.6, h * 0.3, h * 0.35),
          puff(0.78, h * 0.65, h * 0.35),
        ].map((solid) => ({ solid, tone, role: null, moving: true })),
        {
          solid: at(prism(regularOutline(7, Math.min(w, d) * 0.3), 0, h * 0.94), [0, base, 0]),
          tone: null,
          role: 'hazard',
          moving: true,
        },
      ],
      [],
      { kind: 'slide', travel: [0, -h - base, 0], ...comingOut(spec) },
    );
    return { ...form, mouth: base };
  },
});

export const vent = jet('vent', 'Steam vent', 'steam jet geyser hot kiln', 'metal', 'steam');

export const lightBeam: Family = {
  id: 'light-beam',
  label: 'Beam of light',
  group: 'hazards',
  words: 'beacon ray laser sweep searchlight lighthouse',
  material: 'slate',
  size: [1, 1.6, 1],
  sizable: false,
  params: [
    metres('reach', 'Reach', 8, 1, 40),
    metres('height', 'Height', 0.7, 0.2, 20, 0.1),
    degrees('swing', 'Sweeps to each side', 50, 5, 170, 5),
    seconds('period', 'Period', 5),
    counted,
    phase,
    ease,
  ],
  build: (spec) => {
    const [reach, height] = [spec.number('reach'), spec.number('height')];
    const ray = (t: number) => box([0.3, height - t, -t], [reach, height + t, t]);
    return pieceFrom(
      spec.tone,
      [
        { solid: prism(regularOutline(8, 0.4), 0, Math.max(0.1, height - 0.3)) },
        ...decoration('lamp', boxAt([0, height, 0], [0.44, 0.44, 0.44])).map((bit) => ({
          ...bit,
          moving: true,
        })),
        ...decoration('thorn', boxAt([0, height + 0.34, 0], [0.5, 0.16, 0.5])),
        { solid: ray(0.13), tone: 'beam', role: 'hazard', shape: ray(0.1), moving: true },
      ],
      [],
      {
        kind: 'swing',
        pivot: [0, 0, 0],
        axis: [0, 1, 0],
        angle: spec.number('swing'),
        ...timedBy(spec),
      },
    );
  },
};
