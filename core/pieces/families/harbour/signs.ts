import { extrude, type Vec2 } from '../../../geometry';
import type { TextParam, Tone } from '../../family';
import { boxAt, type PartSpec } from '../../parts';
import { scenery } from '../sceneryPiece';

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
