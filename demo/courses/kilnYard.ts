import {
  drawWall,
  fillArea,
  layPieces,
  rectangle,
  setPanel,
  type PieceInHand,
} from '@/core/assemble';
import { emptyCourse, type Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import type { DemoCourse } from './demoCourse';
import { shells, stone } from './stones';

const at: PieceInHand['at'] = [0, 0, 0];
const setts: PieceInHand = { family: 'setts', at, size: [4, 0.4, 4] };

/** The yard: setts within a wall that has a doorway towards the harbour. */
function yard(): Course {
  const floor = fillArea(
    emptyCourse('Kiln Yard', 'free'),
    setts,
    -0.4,
    rectangle(setts, [0.5, 0.5], [23, 15]),
  );
  const wall: PieceInHand = { family: 'wall', at, size: [2, 1.8, 0.4] };
  const line: Vec3[] = [
    [0, 0, 0],
    [24, 0, 0],
    [24, 0, 10],
    [18, 0, 10],
    [18, 0, 16],
    [0, 0, 16],
    [0, 0, 0],
  ];
  const walled = drawWall(floor, line, wall);
  const { id } = walled.pieces[walled.pieces.length - 1];
  // The way out to the pipe, and a window beside it.
  return setPanel(setPanel(walled, id, 1, 2, 'door'), id, 0, 6, 'window');
}

function build(): Course {
  const pipe: PieceInHand = { family: 'half-pipe', at: [30.5, -0.25, 5], size: [9, 2.2, 4.6] };
  const cups: PieceInHand[] = [
    { family: 'cup', at: [51.8, 1.2, 5], size: [4, 0.9, 4], params: { open: 120 } },
    {
      family: 'cup',
      at: [46, 2.4, 16],
      size: [4, 0.9, 4],
      turn: [0, 270, 0],
      params: { open: 120 },
    },
  ];
  return layPieces(yard(), [
    { family: 'start', at: [3, 0, 13], turn: [0, 20, 0] },
    { family: 'kiln', at: [5, 0, 4], collision: 'on', name: 'Old kiln' },
    { family: 'kiln', at: [12, 0, 3.4], size: [3.4, 3.8, 3.4], turn: [0, 40, 0], collision: 'on' },
    { family: 'ramp', at: [10, 0, 12.5], size: [3.6, 1.2, 2.4] },
    stone(14, 1.2, 4.4, { z: 12.5, depth: 2.6, height: 1.2 }),
    { family: 'ashlar', at: [18.2, 0, 8.4], size: [2.4, 1.2, 2.4], params: { b: -1.1, c: -1.1 } },
    { family: 'crate', at: [7, 0, 9] },
    { family: 'crate', at: [8.5, 0, 9.9], turn: [0, 30, 0] },
    { family: 'cask', at: [20.5, 0, 2] },
    { family: 'cask', at: [21.6, 0, 2.4] },
    { family: 'vent', at: [16, 0, 5.6], size: [1, 2.6, 1], params: { period: 3.4 } },
    pipe,
    { family: 'thorns', at: [30, 0.02, 3.9], size: [0.9, 0.5, 0.7] },
    { family: 'ramp', at: [37, 0, 5], size: [4, 1.2, 2.6] },
    stone(40.6, 1.2, 3.4, { z: 5, depth: 3.4, height: 4 }),
    { family: 'gutter', at: [45.8, 0.95, 5], size: [7.4, 0.5, 1.6] },
    cups[0],
    { family: 'cairn', at: [40.6, 1.2, 5] },
    { family: 'lift', at: [50, 0.9, 9.6], size: [2.4, 0.4, 2.4], params: { span: 1.5, period: 5 } },
    { family: 'gutter', at: [48, 2.15, 13], size: [3.6, 0.5, 1.6], turn: [0, 235, 0] },
    cups[1],
    { family: 'plank', at: [40.2, 2.57, 16], size: [8, 0.12, 1] },
    stone(33.6, 2.7, 5, { z: 16, depth: 4, height: 5, material: 'slate' }),
    { family: 'lantern', at: [32.6, 2.7, 16] },
    { family: 'roller', at: [40.2, 2.7, 16], params: { radius: 0.25, span: 0.9, period: 2.4 } },
    { family: 'hut', at: [-5, -0.6, 6], turn: [0, 90, 0] },
    { family: 'nets', at: [-3, -0.8, 14], turn: [0, 70, 0] },
    { family: 'board', at: [2.2, 0, 10.6], turn: [0, 30, 0], params: { text: 'Lime kilns' } },
    ...shells(
      [5.2, 0.5, 8.6],
      [14, 1.7, 12.5],
      [22, 0.5, 5],
      [30.5, 0.6, 5],
      [45.8, 1.7, 5],
      [51.8, 2.1, 5],
      [46, 3.3, 16],
    ),
  ]);
}

/** Out of the kilns' yard, down the pipe, along the gutters from cup to cup. */
export const kilnYard: DemoCourse = {
  slug: 'kiln-yard',
  maker: 'Brice',
  course: {
    ...build(),
    sky: { hour: 9, tide: '#8FB39A' },
    welcome: 'A shell lies in each cup. Mind the roller.',
    targets: { steady: 32, brisk: 26, swift: 22 },
  },
  route: [
    [5.2, 0, 8.6],
    [9, 0.3, 12.5],
    [14, 1.2, 12.5],
    [16.8, 0, 11],
    [21, 0, 5.4],
    [25, 0, 5],
    [30.5, 0.1, 5],
    [36, 0.4, 5],
    [40.6, 1.2, 5],
    [45.8, 1.2, 5],
    [51.8, 1.5, 5],
    [50, 1.4, 9.4],
    [48.4, 2.5, 12.6],
    [46, 2.7, 16],
    [42, 2.7, 16],
    [36, 2.7, 16],
    [33, 2.7, 16.4],
  ],
};
