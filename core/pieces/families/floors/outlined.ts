import { box, cutRectangle, prism, regularOutline, type Vec2 } from '../../../geometry';
import type { Family } from '../../family';
import { degrees, pieceFrom, metres, ringOutlines, rimSockets, roundOutline } from '../../parts';

/** A floor's bevel, never so deep that a thin one loses its side. */
const rim = (h: number, w: number, d: number) => Math.min(0.06, h / 4, w / 12, d / 12);

const outlined = (
  id: string,
  label: string,
  words: string,
  outline: (w: number, d: number) => Vec2[],
): Family => ({
  id,
  label,
  group: 'floors',
  words,
  material: 'stone',
  size: [2.4, 0.5, 2.4],
  sizable: true,
  params: [],
  build: ({ size: [w, h, d], tone }) => {
    const corners = outline(w, d);
    return pieceFrom(
      tone,
      [{ solid: prism(corners, 0, h, rim(h, w, d)), shape: prism(corners, 0, h) }],
      rimSockets([w, h, d]),
    );
  },
});

export const round = outlined('round', 'Round slab', 'floor disc circle millstone', (w, d) =>
  roundOutline(w, d, 16).map(([x, z]): Vec2 => [x, z]),
);

export const hexagon = outlined('hexagon', 'Hexagon', 'floor six sided honeycomb', (w, d) =>
  regularOutline(6, 0.5).map(([x, z]): Vec2 => [x * w, (z * d) / 0.8660254037844386]),
);

export const octagon = outlined('octagon', 'Cut slab', 'floor eight sided octagon', (w, d) =>
  cutRectangle(w, d, Math.min(w, d) * 0.29),
);

export const ell: Family = {
  id: 'ell',
  label: 'L slab',
  group: 'floors',
  words: 'floor corner angle bend ell',
  material: 'stone',
  size: [4, 0.5, 4],
  sizable: true,
  params: [metres('arm', 'Arm width', 2, 0.2, 20)],
  build: ({ size: [w, h, d], tone, number }) => {
    const arm = Math.min(number('arm'), w * 0.9, d * 0.9);
    const [x, z] = [w / 2, d / 2];
    return pieceFrom(
      tone,
      [
        { solid: box([-x, 0, z - arm], [x, h, z]) },
        { solid: box([-x, 0, -z], [-x + arm, h, z - arm]) },
      ],
      [
        { at: [x, h, z - arm / 2], heading: 0, kind: 'rim' },
        { at: [-x + arm / 2, h, -z], heading: 90, kind: 'rim' },
      ],
    );
  },
};

export const ring: Family = {
  id: 'ring',
  label: 'Ring',
  group: 'floors',
  words: 'floor round hole circle annulus',
  material: 'stone',
  size: [6, 0.5, 6],
  sizable: true,
  params: [
    metres('hole', 'Hole', 3, 0.2, 180),
    degrees('sweep', 'Part of a circle', 360, 15, 360, 15),
  ],
  build: ({ size: [w, h, d], tone, number }) => {
    const part = Math.min(0.95, number('hole') / w);
    const sweep = number('sweep');
    const sides = Math.max(2, Math.round(sweep / 15));
    return pieceFrom(
      tone,
      ringOutlines(w, d, part, sides, 0, sweep).map((outline) => ({ solid: prism(outline, 0, h) })),
      sweep === 360 ? rimSockets([w, h, d]) : [],
    );
  },
};

/**
 * A rectangle with a round hole, as convex outlines.
 * @param w width, m
 * @param d depth, m
 * @param hole across the hole, m
 * @param sides corners of the hole
 */
export function holedOutlines(w: number, d: number, hole: number, sides = 16): Vec2[][] {
  const k = Math.min(0.95, hole / w);
  const kz = Math.min(0.95, hole / d);
  return ringOutlines(1, 1, 1, sides, 0, 360).map(([, a, b]) => {
    const out = ([x, z]: Vec2): Vec2 => {
      const reach = 0.5 / Math.max(Math.abs(x), Math.abs(z));
      return [x * reach * w, z * reach * d];
    };
    const into = ([x, z]: Vec2): Vec2 => [x * w * k, z * d * kz];
    return [into(a), out(a), out(b), into(b)];
  });
}

export const well: Family = {
  id: 'well',
  label: 'Holed slab',
  group: 'floors',
  words: 'floor hole opening well hatch',
  material: 'stone',
  size: [4, 0.5, 4],
  sizable: true,
  params: [metres('hole', 'Hole', 1.6, 0.2, 100)],
  build: ({ size: [w, h, d], tone, number }) =>
    pieceFrom(
      tone,
      holedOutlines(w, d, number('hole')).map((outline) => ({ solid: prism(outline, 0, h) })),
      rimSockets([w, h, d]),
    ),
};
