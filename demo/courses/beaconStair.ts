import { layPieces, ringCopies, type PieceInHand } from '@/core/edit';
import { emptyCourse, type Course } from '@/core/course';
import { cosDeg, sinDeg, type Vec3 } from '@/core/geometry';
import type { DemoCourse } from './demoCourse';
import { shells } from './stones';

/** Degrees a tread of the stair takes, its rise, and how many there are. */
const TREAD = 15;
const RISE = 0.28;
const TREADS = 78;
/** Middle of the stair from the tower's axis, m. */
const REACH = 7.2;
/** Treads that are missing, to be jumped; and where a lift takes over. */
const GAPS = new Set([15, 31, 32, 47, 62]);

/** The place on the stair after so many treads, at the middle of the tread's top. */
const onStair = (tread: number, out = REACH): Vec3 => {
  const angle = (tread + 0.5) * TREAD;
  return [out * cosDeg(angle), (tread + 1) * RISE, -out * sinDeg(angle)];
};
const two = ([x, y, z]: Vec3): [number, number, number] => [
  Math.round(x * 100) / 100,
  Math.round(y * 100) / 100,
  Math.round(z * 100) / 100,
];
/** A piece across or along the stair at a tread: 0 looks up the stair. */
const at = (tread: number, piece: Omit<PieceInHand, 'at'>, turn = 0, out = REACH): PieceInHand => ({
  ...piece,
  at: two(onStair(tread, out)),
  turn: [0, ((tread + 0.5) * TREAD + 90 + turn) % 360, 0],
});

/** All treads as one ring, made by copying the first about the tower's axis. */
function stair(course: Course): Course {
  const first: PieceInHand = {
    family: 'ring',
    at: [0, 0, 0],
    size: [16.8, RISE, 16.8],
    params: { hole: 12, sweep: TREAD },
  };
  // A ring's part goes clockwise from x; turned back by its own width it begins there.
  const laid = layPieces(course, [{ ...first, turn: [0, TREAD, 0] }]);
  const id = laid.pieces[laid.pieces.length - 1].id;
  const { course: whole } = ringCopies(laid, new Set([id]), [0, 0], TREADS, TREADS * TREAD, RISE);
  const treads = whole.pieces.filter(({ family }) => family === 'ring');
  const gone = new Set(treads.filter((_, i) => GAPS.has(i)).map((piece) => piece.id));
  return { ...whole, pieces: whole.pieces.filter((piece) => !gone.has(piece.id)) };
}

const TOP = (TREADS + 1) * RISE;

function build(): Course {
  const drums = [0, 1, 2, 3].map((i): PieceInHand => ({
    family: 'tower',
    at: [0, -1.6 + i * 5.9, 0],
    size: [11.2 - i * 0.4, 5.9, 11.2 - i * 0.4],
    look: { material: 'slate' },
  }));
  const quay: PieceInHand[] = [
    { family: 'block', at: [9.4, -3.2, 4.4], size: [9, 3.2, 8], look: { material: 'slate' } },
    { family: 'start', at: [11.6, 0, 6], turn: [0, 150, 0] },
    { family: 'lamp', at: [12.8, 0, 7.6] },
    { family: 'banner', at: [6, 0, 7.8] },
    { family: 'portal', at: [9.2, 0, 7.2], turn: [0, 90, 0], name: 'Boat stair' },
    { family: 'creels', at: [13, 0, 2.2], turn: [0, 20, 0] },
    { family: 'boat', at: [17, -1.1, 5], turn: [0, 70, 0] },
    { family: 'board', at: [8.2, 0, 7.4], turn: [0, 15, 0], params: { text: 'Up to the beacon' } },
  ];
  const doorways = [7, 23, 39, 55, 70].map((tread) =>
    at(tread, { family: 'doorway', size: [2.4, 2.6, 0.3], params: { width: 1.3 } }, 90),
  );
  const walls = [3, 11, 19, 27, 35, 43, 51, 59, 67, 75].map((tread) =>
    at(tread, { family: 'half', size: [2, 0.8, 0.2] }, 0, 8.3),
  );
  const lamps = [5, 17, 29, 41, 53, 65].map((tread) =>
    at(tread, { family: 'lamp', size: [0.5, 2, 0.5] }, 0, 8.2),
  );
  const hazards = [
    at(12, { family: 'thorns', size: [0.9, 0.5, 0.9] }, 0, 6.6),
    at(20, {
      family: 'spikes',
      size: [1.4, 0.8, 2.2],
      params: { period: 2.6 },
      wake: { by: 'near', range: 6, sleep: 9 },
    }),
    at(36, { family: 'thorns', size: [0.9, 0.5, 0.9] }, 0, 7.9),
    at(44, { family: 'arm', params: { height: 3.2, length: 2.6, swing: 60, period: 2.8 } }, 90),
    at(58, {
      family: 'spikes',
      size: [1.4, 0.8, 2.2],
      params: { period: 2.2, phase: 0.4 },
      wake: { by: 'near', range: 6, sleep: 9 },
    }),
    at(68, { family: 'thorns', size: [0.9, 0.5, 0.9] }, 0, 6.6),
  ];
  const cairns = [25, 50, 73].map((tread) => at(tread, { family: 'cairn' }));
  const crown = layPieces(emptyCourse('x', 'free'), [
    {
      family: 'battlement',
      at: two([5.2 * cosDeg(108), TOP + 0.02, -5.2 * sinDeg(108)]),
      size: [2.2, 1.1, 0.35],
      turn: [0, 198, 0],
    },
  ]);
  const ring = ringCopies(crown, new Set(['p1']), [0, 0], 13, 309).course.pieces.map(
    ({ id: _, group: __, ...piece }): PieceInHand => piece,
  );
  const head: PieceInHand[] = [
    { family: 'round', at: [0, TOP - 0.38, 0], size: [11.6, 0.4, 11.6] },
    {
      family: 'spiral',
      at: [0, TOP + 0.02, 0],
      size: [6.4, 2.52, 6.4],
      turn: [0, 200, 0],
      params: { turn: 180, count: 9, core: 2.6 },
    },
    { family: 'column', at: [0, TOP + 0.02, 0], size: [2.4, 2.5, 2.4] },
    {
      family: 'lantern',
      at: two([2.25 * cosDeg(370), TOP + 2.54, -2.25 * sinDeg(370)]),
      params: { opens: 'count', amount: 5 },
    },
    {
      family: 'light-beam',
      at: [-4.2, TOP + 0.02, -1.6],
      turn: [0, 40, 0],
      params: { reach: 5, height: 0.6, swing: 40, period: 8, counted: 'beats' },
      name: 'Beacon beam',
    },
    { family: 'banner', at: [-3.6, TOP + 0.02, 3] },
  ];
  const lift: PieceInHand = {
    ...at(
      31.5,
      {
        family: 'drift',
        size: [1.6, 0.3, 1.6],
        params: { span: 1.4, direction: 'across', period: 4 },
      },
      0,
      6.6,
    ),
  };
  const gatherable = [4, 9, 15, 22, 31, 38, 47, 54, 62, 72].map((tread): Vec3 => {
    const [x, y, z] = onStair(tread);
    return two([x, y + 0.7, z]);
  });
  return layPieces(stair(layPieces(emptyCourse('Beacon Stair', 'free'), [...quay, ...drums])), [
    ...doorways,
    ...walls,
    ...lamps,
    ...hazards,
    ...cairns,
    at(26, { family: 'portal', params: { speed: 'stops' } }, 90, 7.9),
    lift,
    ...ring,
    ...head,
    ...shells(...gatherable),
  ]);
}

/** Up round the beacon, tread by tread, through its doorways to the lantern on the crown. */
export const beaconStair: DemoCourse = {
  slug: 'beacon-stair',
  maker: 'Tamsin',
  course: {
    ...build(),
    tempo: { beats: 96, plays: true },
    sky: { hour: 18, sound: 'shore' },
    picture: { at: [26, 9, 22], look: [1, 3.5, 0], field: 24 },
    welcome: 'Seventy-eight treads, less five. Mind the spikes.',
    targets: { steady: 60, brisk: 48, swift: 40 },
  },
  route: [
    [8.6, 0, 1.6],
    ...Array.from({ length: 26 }, (_, i): Vec3 => onStair(3 * i)),
    onStair(TREADS - 1),
    [4.2, TOP + 0.02, -1.6],
    ...[20, 60, 100, 140, 168].map((angle): Vec3 => [
      2.25 * cosDeg(200 + angle),
      TOP + 0.02 + 0.28 * Math.ceil((angle + 0.01) / 20),
      -2.25 * sinDeg(200 + angle),
    ]),
  ],
};
