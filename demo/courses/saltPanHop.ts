import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import type { DemoCourse } from './demoCourse';
import { shells, stone } from './stones';

/** A short free-roaming hop round the salt pans and up to the pan house light. */
export const saltPanHop: DemoCourse = {
  slug: 'salt-pan-hop',
  maker: 'Corran',
  course: {
    ...layPieces(emptyCourse('Salt Pan Hop', 'free'), [
      stone(0, 0, 6, { depth: 6 }),
      { family: 'start', at: [-1.5, 0, 0] },
      { family: 'slab', at: [6, 0, 0], size: [2.5, 0.5, 2.5] },
      { family: 'slab', at: [10, 0.4, -2], size: [2.5, 0.5, 2.5], look: { material: 'slate' } },
      { family: 'slab', at: [13, 0.8, -5.5], size: [2.5, 0.5, 2.5] },
      stone(13, 1.6, 4, { z: -10.5, depth: 4 }),
      { family: 'cairn', at: [13, 1.6, -10.5], turn: [0, 90, 0] },
      { family: 'thorns', at: [14.4, 1.6, -9], size: [0.9, 0.6, 0.9] },
      { family: 'beam', at: [8.2, 1.3, -11], size: [5.4, 0.3, 1.6] },
      { family: 'post', at: [8.2, -1.2, -11], size: [0.4, 2.5, 0.4] },
      stone(3.4, 1.6, 3.6, { z: -11, depth: 3.6, material: 'slate' }),
      {
        family: 'drift',
        at: [0, 1.2, -11],
        size: [2.2, 0.5, 2.2],
        params: { span: 4, period: 4 },
        turn: [0, 180, 0],
      },
      stone(-9.6, 1.8, 4, { z: -11, depth: 4 }),
      {
        family: 'arm',
        at: [-9.6, 1.8, -11],
        turn: [0, 90, 0],
        params: { height: 3.6, length: 3, period: 2.8 },
      },
      { family: 'ramp', at: [-9.6, 1.8, -7.2], size: [3.6, 1.2, 3], turn: [0, 270, 0] },
      stone(-9.6, 1.8, 3, { z: -7.2, depth: 3.6 }),
      stone(-9.6, 3, 4, { z: -3.4, depth: 4 }),
      { family: 'lantern', at: [-9.6, 3, -3] },
      { family: 'pillar', at: [4, -1.2, 4.6], size: [0.9, 4, 0.9] },
      { family: 'pillar', at: [17, -1.2, -12.4], size: [1, 4.2, 1] },
      ...shells(
        [8, 1.4, -1],
        [11.6, 1.8, -3.8],
        [8.2, 2.2, -11],
        [-3.4, 2.8, -11],
        [-9.6, 3.2, -7],
      ),
    ]),
    welcome: 'Round the pans and up to the light.',
    targets: { steady: 20, brisk: 15, swift: 11 },
  },
  route: [
    [6, 0.5, 0],
    [10, 0.9, -2],
    [13, 1.3, -5.5],
    [13, 1.6, -10.8],
    [8.2, 1.6, -11],
    [3.4, 1.6, -11],
    [-8.8, 1.8, -11],
    [-9.6, 2.2, -8],
    [-9.6, 3, -3.2],
  ],
};
