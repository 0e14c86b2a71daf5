import { cutRectangle, extrude, prism, regularOutline } from '../../../geometry';
import type { Family } from '../../family';
import { at, cutSlab, pieceFrom, metres, rimSockets, decoration, standingBox } from '../../parts';

const sheet = (
  id: string,
  label: string,
  words: string,
  material: Family['material'],
  surface: { grip?: number; pace?: number },
): Family => ({
  id,
  label,
  group: 'floors',
  words,
  material,
  size: [3, 0.3, 3],
  sizable: true,
  params: [],
  build: ({ size, tone }) =>
    pieceFrom(
      tone,
      [{ solid: cutSlab(size, 0.05), shape: standingBox(size), surface }],
      rimSockets(size),
    ),
});

export const ice = sheet('ice', 'Ice', 'floor slippery slide frozen', 'ice', { grip: 0.12 });

export const mud = sheet('mud', 'Mud', 'floor slow silt sand flats sticky', 'mud', {
  pace: 0.45,
});

export const turf: Family = {
  ...sheet('turf', 'Turf', 'floor grass green lawn', 'moss', {}),
  box: true,
};

export const spring: Family = {
  id: 'spring',
  label: 'Springboard',
  group: 'floors',
  words: 'bounce bouncer jump trampoline launch',
  material: 'timber',
  size: [1.6, 0.5, 1.6],
  sizable: true,
  params: [metres('height', 'Throws up', 3.2, 0.5, 20, 0.1)],
  build: ({ size, tone, number }) => {
    const [w, h, d] = size;
    const coil = Math.min(w, d) * 0.28;
    return pieceFrom(
      tone,
      [
        ...decoration('slate', prism(cutRectangle(w * 0.9, d * 0.9, coil / 2), 0, h * 0.25)),
        ...decoration('metal', prism(regularOutline(8, coil), h * 0.25, h * 0.7)),
        ...decoration(tone, at(cutSlab([w, h * 0.3, d], 0.05), [0, h * 0.7, 0])),
        ...decoration(
          'flag',
          at(
            extrude(
              [
                [-w * 0.18, 0],
                [w * 0.18, 0],
                [0, 0.015],
              ],
              d * 0.5,
            ),
            [0, h, 0],
          ),
        ),
        { solid: standingBox(size), tone: null, surface: { throws: number('height') } },
      ],
      rimSockets(size),
    );
  },
};
