import fc from 'fast-check';
import { emptyCourse, type Course } from '../../course';
import { layPieces, type PieceInHand } from '../../edit';
import { buildWorld, initialState, tick, type Input } from '../../run';
import { applyFix, checkCourse } from '..';

const right: Input = { x: 16, z: 0, jump: false };
const slab = (x: number, z: number): PieceInHand => ({
  family: 'slab',
  at: [x, -0.5, z],
  size: [4, 0.5, 1],
});
const onLane: PieceInHand[] = [
  slab(0, 0),
  { family: 'start', at: [-1, 0, 0] },
  { family: 'lantern', at: [12, 0, 0] },
  slab(12, 0),
];
const course = (pieces: PieceInHand[], space: Course['space'] = 'side-on'): Course =>
  layPieces(emptyCourse('Lane', space), [...onLane, ...pieces]);
const found = (of: Course) => checkCourse(of).filter(({ rule }) => rule === 'off-lane');

test('ground beside the lane is found, and its fix brings it onto the lane', () => {
  const wrong = course([slab(4.5, -0.85)]);
  const [finding] = found(wrong);
  expect(finding.message).toMatch(/off the runner's lane/);
  const mended = applyFix(wrong, finding.fix!);
  expect(mended.pieces.at(-1)!.at).toEqual([4.5, -0.5, 0]);
  expect(found(mended)).toEqual([]);
});

test('a shell and a lantern that runs go past are found', () => {
  const wrong = course([
    { family: 'shell', at: [0.5, 0.5, -1.2] },
    { family: 'lantern', at: [11, 0, 1.5] },
  ]);
  expect(found(wrong)).toHaveLength(2);
});

test.each<[string, PieceInHand[], Course['space']]>([
  ['far behind', [slab(4.5, -4)], 'side-on'],
  ['behind what is on the lane', [slab(0, -1), slab(12, 1)], 'side-on'],
  ['scenery', [{ family: 'pine', at: [4.5, 0, -1.5] }], 'side-on'],
  ['in a course without a lane', [slab(4.5, -0.85)], 'free'],
  [
    'what slides onto the lane',
    [
      {
        ...slab(4.5, -1.2),
        motion: [{ kind: 'path', points: [[0, 0, 1.2]], speed: 1 }],
      },
    ],
    'side-on',
  ],
])('no finding: %s', (_, pieces, space) => {
  expect(found(course(pieces, space))).toEqual([]);
});

test('a law: ground beside the lane is found just where the runner falls past it', () => {
  fc.assert(
    fc.property(fc.integer({ min: -200, max: 200 }), (hundredths) => {
      const z = hundredths / 100;
      const laid = course([slab(4.5, z)]);
      const world = buildWorld(laid);
      const state = initialState(world);
      let fell = false;
      for (let i = 0; i < 240 && state.x < 5; i++) {
        tick(world, state, right, ({ kind }) => (fell = fell || kind === 'fall'));
      }
      expect(found(laid).length > 0).toBe(fell || state.y < -0.5);
    }),
    { numRuns: 40 },
  );
});
