import { drawWall, fillArea, layPieces, rectangle, setPanel, type PieceInHand } from '@/core/edit';
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
  return layPieces(yard(), [
    { family: 'start', at: [3, 0, 13], turn: [0, 20, 0] },
    { family: 'kiln', at: [5, 0, 4], collision: 'on', name: 'Old kiln' },
    { family: 'kiln', at: [12, 0, 3.4], size: [3.4, 3.8, 3.4], turn: [0, 40, 0], collision: 'on' },
    { family: 'ramp', at: [10, 0, 12.5], size: [3.6, 1.2, 2.4] },
    stone(14, 1.2, 4.4, { z: 12.5, depth: 2.6, height: 1.2 }),
    { family: 'ashlar', at: [18.2, 0, 8.4], size: [2.4, 1.2, 2.4], params: { b: -1.1, c: -1.1 } },
    { family: 'crate', at: [7, 0, 9], loose: true },
    { family: 'crate', at: [8.5, 0, 9.9], turn: [0, 30, 0], size: [0.8, 0.8, 0.8], loose: true },
    { family: 'cask', at: [20.5, 0, 2] },
    { family: 'cask', at: [22.3, 0, 4.2], size: [0.6, 0.8, 0.6], loose: true },
    { family: 'cask', at: [22.3, 0, 5], size: [0.6, 0.8, 0.6], loose: true },
    { family: 'cask', at: [22.3, 0, 5.8], size: [0.6, 0.8, 0.6], loose: true },
    { family: 'cask', at: [22.3, 0.8, 4.6], size: [0.6, 0.8, 0.6], loose: true },
    { family: 'cask', at: [22.3, 0.8, 5.4], size: [0.6, 0.8, 0.6], loose: true },
    { family: 'vent', at: [16, 0, 5.6], size: [1, 2.6, 1], params: { period: 3.4 } },
    { family: 'slab', at: [25.1, -0.32, 5], size: [3, 0.3, 2.4], look: { material: 'timber' } },
    pipe,
    { family: 'thorns', at: [30, 0.02, 3.9], size: [0.9, 0.5, 0.7] },
    { family: 'ramp', at: [37, 0, 5], size: [4, 1.2, 2.6] },
    stone(40.6, 1.2, 3.4, { z: 5, depth: 3.4, height: 4 }),
    { family: 'gutter', at: [45.9, 0.9, 5], size: [7.4, 0.5, 1.8] },
    { family: 'cairn', at: [40.6, 1.2, 5] },
    stone(51.5, 1.2, 4, { z: 7, depth: 8.4, height: 4 }),
    { family: 'cup', at: [52.4, 1.2, 4.4], size: [2.2, 0.7, 2.2], params: { open: 150 } },
    {
      family: 'lift',
      at: [51.5, 0.8, 12.5],
      size: [2.6, 0.4, 2.5],
      params: { span: 1.5, period: 6 },
    },
    stone(51.5, 2.7, 4, { z: 16.2, depth: 4.8, height: 5 }),
    { family: 'slab', at: [42.9, 2.4, 16], size: [13.2, 0.3, 2.4], look: { material: 'timber' } },
    {
      family: 'crusher',
      at: [46, 2.7, 16],
      size: [1.4, 1.2, 2],
      params: { height: 2.6, drop: 2.3, period: 3.2 },
      wake: { by: 'near', range: 9 },
    },
    stone(33.6, 2.7, 5.4, { z: 16, depth: 4, height: 5, material: 'slate' }),
    { family: 'lantern', at: [32.6, 2.7, 16] },
    {
      family: 'cask',
      at: [34.6, 0, 7.6],
      turn: [0, 140, 0],
      name: 'Cask chute',
      thrower: {
        what: 'cask',
        size: 0.5,
        interval: 3,
        speed: 4,
        rise: 20,
        life: 5,
        most: 3,
        does: 'push',
      },
    },
    { family: 'hut', at: [-5, -0.6, 6], turn: [0, 90, 0] },
    { family: 'nets', at: [-3, -0.8, 14], turn: [0, 70, 0] },
    { family: 'board', at: [2.2, 0, 10.6], turn: [0, 30, 0], params: { text: 'Lime kilns' } },
    ...shells(
      [5.2, 0.5, 8.6],
      [14, 1.7, 12.5],
      [22, 0.5, 5],
      [30.5, 0.6, 5],
      [45.8, 1.7, 5],
      [52.4, 1.8, 4.4],
      [38, 3.2, 16],
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
    runner: { kind: 'roller' },
    picture: { at: [-13, 9, 29], look: [23, 0, 10], field: 24 },
    welcome: 'Roll out of the yard and up to the lamp. Mind the casks.',
    targets: { steady: 45, brisk: 36, swift: 30 },
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
    [50.6, 1.2, 6],
    [51.3, 1.2, 10],
    [51.5, 1.2, 12.6],
    [51.5, 2.7, 14.9],
    [50.6, 2.7, 16],
    [48.6, 2.7, 16],
    [43, 2.7, 16],
    [37, 2.7, 16],
    [33, 2.7, 16],
  ],
};
