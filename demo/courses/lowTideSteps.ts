import { layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse, type Course, type Link } from '@/core/course';
import type { DemoCourse } from './demoCourse';
import { shells, stone } from './stones';

/** The tide comes in once the second cairn is reached. */
function flooded(course: Course): Course {
  const mark = course.pieces.find(({ name }) => name === 'Flood mark')!;
  const flood: Link = {
    id: 'l1',
    cue: { kind: 'touched', pieces: [mark.id] },
    effects: [
      { kind: 'tide', value: 4.2, seconds: 30 },
      { kind: 'message', text: 'The tide is coming in' },
      { kind: 'sound', sound: 'horn' },
    ],
    once: true,
  };
  return { ...course, links: [flood] };
}

/** A side-on stage from the harbour stairs over the flats to the beacon quay. */
export const lowTideSteps: DemoCourse = {
  slug: 'low-tide-steps',
  maker: 'Isla',
  course: flooded({
    ...layPieces(emptyCourse('Low Tide Steps'), [
      stone(0, 0, 6),
      { family: 'start', at: [-1.8, 0, 0] },
      stone(5.6, 0.4, 2, { material: 'slate' }),
      stone(9, 0.9, 2),
      stone(12.4, 1.4, 2, { material: 'slate' }),
      stone(18, 1.6, 7),
      { family: 'thorns', at: [18.4, 1.6, 0], size: [1.6, 0.7, 1.6], name: 'Quay thorns' },
      { family: 'beam', at: [25, 1.3, 0], size: [5.5, 0.3, 1.6] },
      { family: 'post', at: [23, -1.4, 0], size: [0.35, 2.7, 0.35] },
      { family: 'post', at: [27, -1.4, 0], size: [0.35, 2.7, 0.35] },
      stone(30.6, 1.6, 5),
      { family: 'cairn', at: [30.4, 1.6, 0] },
      {
        family: 'drift',
        at: [35.4, 1.1, 0],
        size: [2.4, 0.5, 2],
        params: { span: 5.5, period: 6.5, phase: 0.1 },
        name: 'Ferry slab',
      },
      stone(45.5, 1.8, 4.6, { material: 'slate' }),
      stone(50.2, 1.8, 4.2),
      { family: 'ramp', at: [50.2, 1.8, 0], size: [4.2, 1.2, 2.4] },
      stone(54.4, 3, 4),
      stone(59, 3.5, 2, { material: 'slate' }),
      stone(62.4, 4, 2),
      stone(68.6, 4, 8),
      {
        family: 'arm',
        at: [69, 4, 0],
        params: { height: 3.8, length: 3.3, swing: 65, period: 3 },
        name: 'Kiln beam',
      },
      stone(76.2, 4, 5, { material: 'slate' }),
      { family: 'steps', at: [76.8, 4, 0], size: [3.6, 1.2, 2.4], params: { count: 5 } },
      stone(81, 5.2, 4.6),
      { family: 'cairn', at: [81, 5.2, 0], params: { number: 2 } },
      {
        family: 'drift',
        at: [85.6, 4.6, 0],
        size: [2.4, 0.5, 2],
        params: { direction: 'up', span: 3.4, period: 6.5, phase: 0.3 },
        name: 'Beacon lift',
      },
      stone(90.4, 8.4, 5),
      stone(95.4, 8.1, 2, { height: 6, material: 'slate' }),
      stone(98.8, 7.7, 2, { height: 5 }),
      { family: 'beam', at: [103, 7.1, 0], size: [4.5, 0.3, 1.6] },
      { family: 'post', at: [101.4, 1, 0], size: [0.35, 6.1, 0.35] },
      { family: 'post', at: [104.6, 1, 0], size: [0.35, 6.1, 0.35] },
      stone(109, 7.4, 6, { height: 6 }),
      { family: 'lantern', at: [110, 7.4, 0] },
      { family: 'pillar', at: [14.8, -1.8, -3], size: [0.9, 4, 0.9] },
      { family: 'pillar', at: [41, -1.6, -3.2], size: [1.2, 4.8, 1.2] },
      { family: 'pillar', at: [65, 0.4, -3], size: [1, 5.2, 1] },
      // Ledges passed from below: the way over the thorns.
      ...[
        [15.6, 2.7],
        [18.4, 3.9],
        [21, 2.7],
      ].map(([x, y]): PieceInHand => ({
        family: 'slab',
        at: [x, y, 0],
        size: [1.9, 0.22, 2],
        oneWay: { side: 0, drop: true },
        look: { material: 'timber' },
      })),
      { family: 'touch', at: [81, 5.2, 0], size: [3, 3, 2.4], name: 'Flood mark' },
      ...shells(
        [7.3, 1.4, 0],
        [10.7, 1.9, 0],
        [14.1, 2.3, 0],
        [18.4, 4.5, 0],
        [25, 2, 0],
        [40, 2.6, 0],
        [54.4, 3.4, 0],
        [60.7, 4.8, 0],
        [73.2, 5, 0],
        [85.6, 9.4, 0],
        [97.1, 9.2, 0],
        [103, 7.8, 0],
      ),
    ]),
    welcome: 'Mind the beam by the kiln. The ferry slab waits for nobody.',
    notes: 'Harbour stairs, over the flats, ferry slab, up past the kiln, lift to the beacon quay.',
    targets: { steady: 40, brisk: 33, swift: 28 },
  }),
  route: [
    [5.6, 0.4, 0],
    [9, 0.9, 0],
    [12.4, 1.4, 0],
    [16, 1.6, 0],
    [20.6, 1.6, 0],
    [25, 1.6, 0],
    [30.6, 1.6, 0],
    [45, 1.8, 0],
    [54.4, 3, 0],
    [59, 3.5, 0],
    [62.4, 4, 0],
    [66, 4, 0],
    [72, 4, 0],
    [76, 4.4, 0],
    [81, 5.2, 0],
    [90.4, 8.4, 0],
    [95.4, 8.1, 0],
    [98.8, 7.7, 0],
    [103, 7.4, 0],
    [110, 7.4, 0],
  ],
};
