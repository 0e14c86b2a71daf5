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
import type { Ease } from '../../motion';
import type { ChoiceParam, Family, NumberParam, OwnMotion, Spec } from '../family';
import {
  at,
  boxAt,
  cutSlab,
  degrees,
  HAZARD_ALLOWANCE,
  made,
  metres,
  oneOf,
  seen,
  seconds,
  standingBox,
  turned,
  type Bit,
} from '../make';

export const phase: NumberParam = {
  key: 'phase',
  label: 'Starts at part',
  kind: 'number',
  unit: '',
  min: 0,
  max: 1,
  step: 0.05,
  initial: 0,
};
export const ease: ChoiceParam = oneOf('ease', 'Pace', {
  smooth: 'Slows at the ends',
  even: 'Even',
});

/** What the period is counted in. */
export const counted: ChoiceParam = oneOf('counted', 'Period in', {
  seconds: 'Seconds',
  beats: 'Beats',
});
export const inBeats = ({ choice }: Spec) =>
  choice('counted') === 'beats' ? { beats: true as const } : {};

/** What every motion of a family is timed by. */
export const timedBy = (spec: Spec) => ({
  period: spec.number('period'),
  phase: spec.number('phase'),
  ease: spec.choice('ease') as Ease,
  ...inBeats(spec),
});
/** Timing of something that goes round at one pace. */
export const roundBy = (spec: Spec, axis: Vec3, pivot: Vec3): OwnMotion => ({
  kind: 'spin',
  axis,
  pivot,
  turns: spec.choice('way') === 'back' ? -1 : 1,
  period: spec.number('period'),
  phase: spec.number('phase'),
  ease: 'even',
  ...inBeats(spec),
});
export const way = oneOf('way', 'Goes round', { on: 'Anticlockwise', back: 'Clockwise' });

const hurts = (solid: Polyhedron, shape: Polyhedron, moving = true): Bit => ({
  solid,
  tone: 'thorn',
  role: 'hazard',
  shape,
  moving,
});

const cone = (foot: Vec3, tall: number, wide: number): Polyhedron =>
  at(loft(regularOutline(5, wide), 0, regularOutline(5, wide * 0.07), tall), foot);

const thorns: Family = {
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
    return made(tone, [
      { solid: cutSlab([w, 0.12, d], 0.04), role: null },
      ...seen('thorn', ...cones),
      { solid: loft(rim(1), 0, rim(0.85), h * 0.9), tone: null, role: 'hazard' },
    ]);
  },
};

const spikes: Family = {
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
      return cone([(w * (i + 0.5)) / across - w / 2, -h, (d * (k + 0.5)) / deep - d / 2], h, 0.14);
    });
    const inset = Math.min(0.2, w / 5, d / 5);
    return made(
      spec.tone,
      [
        { solid: standingBox([w, Math.min(0.06, h / 4), d]), role: null },
        ...cones.map((solid) => ({ solid, tone: 'thorn' as const, role: null, moving: true })),
        {
          solid: box(
            [-w / 2 + inset, -h, -d / 2 + inset],
            [w / 2 - inset, -h * 0.1, d / 2 - inset],
          ),
          tone: null,
          role: 'hazard',
          moving: true,
        },
      ],
      [],
      { kind: 'slide', travel: [0, h, 0], ...timedBy(spec) },
    );
  },
};

const arm: Family = {
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
    return made(
      spec.tone,
      [
        { solid: box([-0.16, 0, -1], [0.16, height + 0.3, -0.68]) },
        ...seen('slate', box([-0.12, height - 0.12, -1], [0.12, height + 0.12, 0.2])),
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

const roller: Family = {
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
    return made(
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

const saw: Family = {
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
    const plates = [0, 15, 30, 45, 60, 75].map((angle) =>
      at(turned(at(drum(r, 0.1, 4, 0), [0, 0, 0]), [0, 0, angle]), [0, r * 0.6, 0]),
    );
    return made(
      spec.tone,
      [
        ...plates.map((solid, i) => ({
          solid,
          tone: i % 2 ? ('thorn' as const) : spec.tone,
          role: null,
          moving: true,
        })),
        {
          solid: drum(r * 0.94 - HAZARD_ALLOWANCE / 2, 0.1, 16, r * 0.6),
          tone: null,
          role: 'hazard',
          moving: true,
        },
        ...seen('slate', drum(r * 0.22, 0.3, 8, r * 0.6)),
      ],
      [],
      roundBy(spec, [0, 0, 1], [0, r * 0.6, 0]),
    );
  },
};

const crusher: Family = {
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
    return made(
      spec.tone,
      [
        { solid: head, shape: at(standingBox([w, h, d]), [0, foot, 0]), moving: true },
        ...seen('thorn', boxAt([0, foot - 0.03, 0], [w * 0.96, 0.08, d * 0.96])).map((bit) => ({
          ...bit,
          moving: true,
        })),
        ...seen('timber', boxAt([0, foot + h + drop / 2, 0], [0.24, drop, 0.24])).map((bit) => ({
          ...bit,
          moving: true,
        })),
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
      at(prism(regularOutline(7, (Math.min(w, d) / 2) * k), 0, tall), [0, y - h, 0]);
    return made(
      spec.tone,
      [
        { solid: prism(cutRectangle(w, d, Math.min(w, d) * 0.25), 0, base) },
        ...[
          puff(0.45, 0, h * 0.3),
          puff(0.6, h * 0.3, h * 0.35),
          puff(0.78, h * 0.65, h * 0.35),
        ].map((solid) => ({ solid, tone, role: null, moving: true })),
        {
          solid: at(prism(regularOutline(7, Math.min(w, d) * 0.3), 0, h * 0.94), [0, -h, 0]),
          tone: null,
          role: 'hazard',
          moving: true,
        },
      ],
      [],
      { kind: 'slide', travel: [0, h + base, 0], ...timedBy(spec) },
    );
  },
});
const vent = jet('vent', 'Steam vent', 'steam jet geyser hot kiln', 'metal', 'steam');

const lightBeam: Family = {
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
    return made(
      spec.tone,
      [
        { solid: prism(regularOutline(8, 0.4), 0, Math.max(0.1, height - 0.3)) },
        ...seen('lamp', boxAt([0, height, 0], [0.44, 0.44, 0.44])).map((bit) => ({
          ...bit,
          moving: true,
        })),
        ...seen('thorn', boxAt([0, height + 0.34, 0], [0.5, 0.16, 0.5])),
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

const barrel: Family = {
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
    return made(
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

const whirl: Family = {
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
    return made(
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

export const HAZARDS: readonly Family[] = [
  thorns,
  spikes,
  arm,
  roller,
  saw,
  crusher,
  vent,
  lightBeam,
  barrel,
  whirl,
];
