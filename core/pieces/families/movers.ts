import { cutRectangle, extrude, prism, regularOutline, type Vec2, type Vec3 } from '../../geometry';
import type { Family } from '../family';
import {
  at,
  boxAt,
  cutSlab,
  degrees,
  endSockets,
  pieceFrom,
  metres,
  oneOf,
  rimSockets,
  roundOutline,
  seconds,
  decoration,
  standingBox,
} from '../parts';
import { counted, ease, phase, roundBy, timedBy, way } from './timing';

const directions: Record<string, Vec3> = { along: [1, 0, 0], up: [0, 1, 0], across: [0, 0, 1] };

const drift: Family = {
  id: 'drift',
  label: 'Drift slab',
  group: 'movers',
  words: 'sliding moving platform ferry lift',
  material: 'mover',
  size: [2, 0.5, 2],
  sizable: true,
  params: [
    metres('span', 'Travel', 4, 0.1, 60),
    oneOf('direction', 'Goes', { along: 'Along', up: 'Up', across: 'Across' }),
    seconds('period', 'Period', 6),
    counted,
    phase,
    ease,
  ],
  build: (spec) => {
    const span = spec.number('span');
    const [x, y, z] = directions[spec.choice('direction')] ?? directions.along;
    return pieceFrom(
      spec.tone,
      [{ solid: cutSlab(spec.size, 0.1), shape: standingBox(spec.size), moving: true }],
      rimSockets(spec.size),
      { kind: 'slide', travel: [x * span, y * span, z * span], ...timedBy(spec) },
    );
  },
};

const lift: Family = {
  id: 'lift',
  label: 'Lift',
  group: 'movers',
  words: 'elevator hoist up down raising platform',
  material: 'mover',
  size: [2, 0.4, 2],
  sizable: true,
  params: [
    metres('span', 'Lifts', 4, 0.1, 60),
    seconds('period', 'Period', 6),
    counted,
    phase,
    ease,
  ],
  build: (spec) => {
    const [w, h, d] = spec.size;
    const span = spec.number('span');
    const guide = Math.min(0.1, w / 10);
    return pieceFrom(
      spec.tone,
      [
        { solid: cutSlab(spec.size, 0.08), shape: standingBox(spec.size), moving: true },
        ...decoration(
          'timber',
          ...[-1, 1].map((s) =>
            boxAt([s * (w / 2 + guide), (span + h) / 2, -d / 2], [guide, span + h, guide]),
          ),
        ),
      ],
      rimSockets(spec.size),
      { kind: 'slide', travel: [0, span, 0], ...timedBy(spec) },
    );
  },
};

const turntable: Family = {
  id: 'turntable',
  label: 'Turning slab',
  group: 'movers',
  words: 'rotating spinning wheel platform carousel',
  material: 'mover',
  size: [4, 0.4, 4],
  sizable: true,
  params: [seconds('period', 'Period', 8), counted, phase, way],
  build: (spec) => {
    const [w, h, d] = spec.size;
    return pieceFrom(
      spec.tone,
      [
        {
          solid: prism(roundOutline(w, d, 12), 0, h, Math.min(0.06, h / 4)),
          shape: prism(roundOutline(w, d, 12), 0, h),
          moving: true,
        },
        ...decoration(
          'timber',
          boxAt([0, h + 0.005, 0], [w * 0.7, 0.02, Math.min(0.2, d / 4)]),
        ).map((bit) => ({
          ...bit,
          moving: true,
        })),
      ],
      [],
      roundBy(spec, [0, 1, 0], [0, 0, 0]),
    );
  },
};

const seesaw: Family = {
  id: 'seesaw',
  label: 'Seesaw',
  group: 'movers',
  words: 'rocking tilting plank balance',
  material: 'mover',
  size: [5, 1, 1.6],
  sizable: true,
  params: [
    degrees('swing', 'Tilts', 14, 2, 35, 1),
    seconds('period', 'Period', 4),
    counted,
    phase,
    ease,
  ],
  build: (spec) => {
    const [w, h, d] = spec.size;
    const thick = Math.min(0.2, h / 3);
    const foot: Vec2[] = [
      [-h * 0.5, 0],
      [h * 0.5, 0],
      [0, h - thick],
    ];
    return pieceFrom(
      spec.tone,
      [
        {
          solid: at(standingBox([w, thick, d]), [0, h - thick, 0]),
          moving: true,
        },
        { solid: extrude(foot, d * 0.7), tone: 'slate' },
      ],
      endSockets(w, h),
      {
        kind: 'swing',
        pivot: [0, h - thick, 0],
        axis: [0, 0, 1],
        angle: spec.number('swing'),
        ...timedBy(spec),
      },
    );
  },
};

const bob: Family = {
  id: 'bob',
  label: 'Bobbing raft',
  group: 'movers',
  words: 'float buoy raft bobbing pontoon',
  material: 'timber',
  size: [2.4, 0.6, 2.4],
  sizable: true,
  params: [
    metres('span', 'Bobs', 0.5, 0.1, 6, 0.1),
    seconds('period', 'Period', 3),
    counted,
    phase,
    ease,
  ],
  build: (spec) => {
    const [w, h, d] = spec.size;
    const logs = Math.max(2, Math.min(10, Math.round(d / 0.5)));
    return pieceFrom(
      spec.tone,
      [
        ...Array.from({ length: logs }, (_, i) => ({
          solid: at(cutSlab([w, h, (d / logs) * 0.94], 0.06), [
            0,
            0,
            (d * (i + 0.5)) / logs - d / 2,
          ]),
          role: null,
          moving: true,
        })),
        { solid: standingBox(spec.size), tone: null, moving: true },
        ...decoration('rope', boxAt([0, h, 0], [Math.min(0.12, w / 8), 0.04, d])).map((bit) => ({
          ...bit,
          moving: true,
        })),
      ],
      rimSockets(spec.size),
      { kind: 'slide', travel: [0, spec.number('span'), 0], ...timedBy(spec) },
    );
  },
};

const crumble: Family = {
  id: 'crumble',
  label: 'Crumbling slab',
  group: 'movers',
  words: 'falling breaking weak slab collapse',
  material: 'stone',
  size: [2, 0.4, 2],
  sizable: true,
  params: [seconds('hold', 'Holds for', 0.7), seconds('back', 'Is back after', 3)],
  build: (spec) => {
    const [w, h, d] = spec.size;
    // Drawn in shards, so that what gives way can be told from what holds.
    const shards: Vec2[][] = [
      [
        [-w / 2, -d / 2],
        [w * 0.1, -d / 2],
        [-w * 0.08, d * 0.06],
        [-w / 2, d * 0.18],
      ],
      [
        [w * 0.14, -d / 2],
        [w / 2, -d / 2],
        [w / 2, d * 0.1],
        [-w * 0.04, d * 0.05],
      ],
      [
        [-w / 2, d * 0.22],
        [-w * 0.08, d * 0.1],
        [w * 0.12, d / 2],
        [-w / 2, d / 2],
      ],
      [
        [-w * 0.03, d * 0.09],
        [w / 2, d * 0.14],
        [w / 2, d / 2],
        [w * 0.16, d / 2],
      ],
    ];
    return pieceFrom(
      spec.tone,
      [
        ...decoration(spec.tone, ...shards.map((outline) => prism(outline, 0, h))).map((bit) => ({
          ...bit,
          moving: true,
        })),
        { solid: standingBox(spec.size), tone: null, lock: 'gives' },
      ],
      rimSockets(spec.size),
    );
  },
};

const windmill: Family = {
  id: 'windmill',
  label: 'Paddle wheel',
  group: 'movers',
  words: 'wheel paddles turning mill water steps',
  material: 'mover',
  size: [6, 6, 2],
  sizable: false,
  params: [
    metres('radius', 'Radius', 2.6, 1, 12, 0.1),
    metres('span', 'Width', 1.6, 0.4, 8),
    seconds('period', 'Period', 10),
    counted,
    phase,
    way,
  ],
  build: (spec) => {
    const [r, span] = [spec.number('radius'), spec.number('span')];
    const hub: Vec3 = [0, r, 0];
    // Four paddles about an axle along z.
    const paddles = [0, 90, 180, 270].map((angle) => {
      const long: Vec2[] = [
        [r * 0.25, -0.12],
        [r, -0.12],
        [r, 0.12],
        [r * 0.25, 0.12],
      ];
      const k = angle / 90;
      const turn = ([x, y]: Vec2): Vec2 =>
        k === 0 ? [x, y] : k === 1 ? [-y, x] : k === 2 ? [-x, -y] : [y, -x];
      return at(extrude(long.map(turn), span), hub);
    });
    const axle = extrude(
      regularOutline(8, r * 0.22).map(([x, z]): Vec2 => [x, z]),
      span * 1.2,
    );
    return pieceFrom(
      spec.tone,
      [
        ...paddles.map((solid) => ({ solid, moving: true })),
        { solid: at(axle, hub), tone: 'timber', moving: true },
        ...decoration(
          'slate',
          ...[-1, 1].map((s) =>
            at(prism(cutRectangle(0.4, 0.3, 0.05), 0, r + 0.2), [0, 0, s * (span * 0.6 + 0.2)]),
          ),
        ),
      ],
      [],
      roundBy(spec, [0, 0, 1], hub),
    );
  },
};

export const MOVERS: readonly Family[] = [drift, lift, turntable, seesaw, bob, crumble, windmill];
