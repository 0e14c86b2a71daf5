import { box, cosDeg, extrude, loft, prism, sinDeg, wedge, type Vec2 } from '../../../geometry';
import type { Family } from '../../family';
import { count, degrees, endSockets, pieceFrom, metres, riseSockets } from '../../parts';

export const ramp: Family = {
  id: 'ramp',
  label: 'Ramp',
  group: 'stones',
  words: 'slope wedge incline up',
  material: 'stone',
  size: [3, 1, 2],
  sizable: true,
  params: [],
  build: ({ size, tone }) => pieceFrom(tone, [{ solid: wedge(size) }], riseSockets(size)),
};

export const ridge: Family = {
  id: 'ridge',
  label: 'Wedge',
  group: 'stones',
  words: 'ridge hump two sided slope up down',
  material: 'stone',
  size: [4, 1, 2],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) =>
    pieceFrom(
      tone,
      [
        {
          solid: extrude(
            [
              [-w / 2, 0],
              [w / 2, 0],
              [0, h],
            ],
            d,
          ),
        },
      ],
      endSockets(w, 0),
    ),
};

export const hip: Family = {
  id: 'hip',
  label: 'Corner ramp',
  group: 'stones',
  words: 'slope corner hip pyramid mound',
  material: 'stone',
  size: [3, 1, 3],
  sizable: true,
  params: [metres('top', 'Top', 1, 0.05, 100)],
  build: ({ size: [w, h, d], tone, number }) => {
    const [x, z] = [Math.min(number('top'), w * 0.9) / 2, Math.min(number('top'), d * 0.9) / 2];
    const rect = (a: number, b: number): Vec2[] => [
      [-a, -b],
      [a, -b],
      [a, b],
      [-a, b],
    ];
    return pieceFrom(tone, [{ solid: loft(rect(w / 2, d / 2), 0, rect(x, z), h) }]);
  },
};

export const steps: Family = {
  id: 'steps',
  label: 'Steps',
  group: 'stones',
  words: 'stairs flight staircase',
  material: 'slate',
  size: [2.4, 1, 2],
  sizable: true,
  params: [count('count', 'Steps', 4, 2, 20)],
  build: ({ size: [w, h, d], tone, number }) => {
    const steps = Math.round(number('count'));
    const flight = Array.from({ length: steps }, (_, i) =>
      box(
        [-w / 2 + (w * i) / steps, 0, -d / 2],
        [-w / 2 + (w * (i + 1)) / steps, (h * (i + 1)) / steps, d / 2],
      ),
    );
    return pieceFrom(
      tone,
      flight.map((solid) => ({ solid })),
      riseSockets([w, h, d]),
    );
  },
};

export const spiral: Family = {
  id: 'spiral',
  label: 'Spiral steps',
  group: 'stones',
  words: 'stairs winding tower helix staircase',
  material: 'slate',
  size: [5, 3, 5],
  sizable: true,
  params: [
    degrees('turn', 'Winds by', 180, 30, 720, 30),
    count('count', 'Steps', 14, 3, 60),
    metres('core', 'Core', 1.2, 0.2, 20),
  ],
  build: ({ size: [w, h, d], tone, number }) => {
    const steps = Math.round(number('count'));
    const turn = Math.min(number('turn'), steps * 60);
    const core = Math.min(0.9, number('core') / Math.min(w, d));
    const rise = h / steps;
    const thick = Math.min(Math.max(rise, 0.28), h);
    const corner = (angle: number, k: number): Vec2 => [
      (w / 2) * k * cosDeg(angle),
      -(d / 2) * k * sinDeg(angle),
    ];
    const treads = Array.from({ length: steps }, (_, i) => {
      const [from, to] = [(turn * i) / steps, (turn * (i + 1)) / steps];
      const top = rise * (i + 1);
      const outline = [corner(to, core), corner(to, 1), corner(from, 1), corner(from, core)];
      return prism(outline, Math.max(0, top - thick), top);
    });
    const middle = (w / 4 + d / 4) * (core / 2 + 0.5);
    return pieceFrom(
      tone,
      treads.map((solid) => ({ solid })),
      [
        { at: [middle, 0, 0], heading: 270, kind: 'rim' },
        {
          at: [middle * cosDeg(turn), h, -middle * sinDeg(turn)],
          heading: turn + 90,
          kind: 'rim',
        },
      ],
    );
  },
};
