import { layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import type { DemoCourse } from './demoCourse';
import { shells } from './stones';

/** A deck of planks at a height, from corner to corner over the map. */
const deck = (x0: number, x1: number, z0: number, z1: number, top = 0): PieceInHand => ({
  family: 'slab',
  at: [(x0 + x1) / 2, top - 0.4, (z0 + z1) / 2],
  size: [x1 - x0, 0.4, z1 - z0],
  look: { material: 'timber' },
});

/** A low wall along x or z that a stone comes back from. */
const rail = (x0: number, x1: number, z0: number, z1: number, foot = 0): PieceInHand => ({
  family: 'block',
  at: [(x0 + x1) / 2, foot - 0.4, (z0 + z1) / 2],
  size: [Math.max(0.25, x1 - x0), 0.9, Math.max(0.25, z1 - z0)],
  look: { material: 'slate' },
});

const leg = (number: number, start: Vec3, turn: number, goal: Vec3): PieceInHand[] => [
  {
    family: 'start',
    at: [start[0], start[1], start[2]],
    turn: [0, turn, 0],
    ...(number > 1 ? { params: { leg: number } } : {}),
  },
  {
    family: 'lantern',
    at: [goal[0], goal[1], goal[2]],
    ...(number > 1 ? { params: { leg: number } } : {}),
  },
];

/** Straight along the loft, between the net racks. */
const first: PieceInHand[] = [
  ...leg(1, [1.5, 0, 0], 0, [14.5, 0, 0]),
  deck(0, 16, -2, 2),
  rail(0, 16, -2.25, -2),
  rail(0, 16, 2, 2.25),
  rail(-0.25, 0, -2.25, 2.25),
  rail(16, 16.25, -2.25, 2.25),
  { family: 'post', at: [7, 0, -0.7], size: [0.5, 1, 0.5] },
  { family: 'post', at: [10, 0, 0.8], size: [0.5, 1, 0.5] },
];

/** Round a corner, past a rack that slides across. */
const second: PieceInHand[] = [
  ...leg(2, [1.5, 0, -9], 0, [13.5, 0, -17]),
  deck(0, 15, -11, -7),
  deck(11, 15, -19, -11),
  rail(0, 15, -7, -6.75),
  rail(0, 11, -11.25, -11),
  rail(-0.25, 0, -11.25, -6.75),
  rail(15, 15.25, -19.25, -6.75),
  rail(10.75, 11, -19.25, -11.25),
  rail(11, 15, -19.25, -19),
  {
    family: 'crate',
    at: [7, 0, -10.2],
    size: [0.9, 0.9, 0.9],
    motion: [{ kind: 'path', points: [[0, 0, 2.4]], speed: 1.2, ease: 'smooth' }],
    name: 'Sliding rack',
  },
];

/** Up a ramp to the drying deck; a breeze along it helps. */
const third: PieceInHand[] = [
  ...leg(3, [1.5, 0, -28], 0, [20, 1.2, -28]),
  deck(0, 9, -30, -26),
  { family: 'ramp', at: [11, 0, -28], size: [4, 1.2, 4], look: { material: 'timber' } },
  deck(13, 22, -30, -26, 1.2),
  rail(0, 9, -30.25, -30),
  rail(0, 9, -26, -25.75),
  rail(-0.25, 0, -30.25, -25.75),
  rail(13, 22, -30.25, -30, 1.2),
  rail(13, 22, -26, -25.75, 1.2),
  rail(22, 22.25, -30.25, -25.75, 1.2),
  rail(9, 13, -30.25, -30, 0.5),
  rail(9, 13, -26, -25.75, 0.5),
  { family: 'wind', at: [7, 0, -28], size: [4, 2, 4], params: { force: 3 } },
];

/** Three legs over the decks of the net loft, with the flick stone. */
export const netLoftLinks: DemoCourse = {
  slug: 'net-loft-links',
  maker: 'Sorrel',
  course: {
    ...layPieces(
      {
        ...emptyCourse('Net Loft Links', 'free'),
        kind: 'strokes',
        runner: { kind: 'flick' },
        legs: [
          { name: 'Between the racks', par: 2 },
          { name: 'Round the corner', par: 3 },
          { name: 'Up to the drying deck', par: 3 },
        ],
        tide: -3,
      },
      [
        ...first,
        ...second,
        ...third,
        { family: 'hut', at: [-5, -1, -4], turn: [0, 90, 0] },
        { family: 'nets', at: [5, -0.6, 5], turn: [0, 20, 0] },
        { family: 'nets', at: [18, -0.8, -10], turn: [0, 80, 0] },
        { family: 'boat', at: [-4, -2.6, -18], turn: [0, 40, 0] },
        { family: 'buoy', at: [20, -2.8, 4] },
        { family: 'creels', at: [24.5, -1, -24] },
        ...shells([7, 0.1, 0.9], [13, 0.1, -9], [11, 0.8, -28]),
      ],
    ),
    sky: { hour: 15, sound: 'harbour' },
    welcome: 'Draw back, let go. Eight strokes are par.',
    targets: { steady: 40, brisk: 30, swift: 24 },
  },
  route: [
    [5, 0, 0],
    [9, 0, 0],
    [14.5, 0, 0],
    [1.5, 0, -9],
    [8, 0, -8.6],
    [13, 0, -9.4],
    [13.2, 0, -14],
    [13.5, 0, -17],
    [1.5, 0, -28],
    [8, 0, -28],
    [12, 0.8, -28],
    [16, 1.2, -28],
    [20, 1.2, -28],
  ],
};
