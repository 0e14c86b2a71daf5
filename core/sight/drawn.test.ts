import type { Vec3 } from '../geometry';
import { buildWorld, initialState, NO_INPUT, tick } from '../run';
import { courseOf, floor } from '../run/testing';
import type { PieceInHand } from '../edit';
import { DrawnScene } from '.';

const [EYE, SEEN]: Vec3[] = [
  [0, 1, 20],
  [0, 1, -20],
];

/** Whether one sees past some pieces at the start and after so many ticks. */
function seesPast(ticks: readonly number[], ...pieces: PieceInHand[]): boolean[] {
  const course = courseOf(floor(-30, -20), ...pieces);
  const world = buildWorld(course);
  const scene = new DrawnScene(world);
  const s = initialState(world, 1);
  return ticks.map((until) => {
    while (s.tick < until) tick(world, s, NO_INPUT, () => {});
    return scene.isFree(s, EYE, SEEN);
  });
}

test('what stands between hides, what stands beside does not', () => {
  const wall: PieceInHand = { family: 'block', at: [0, 0, 0], size: [2, 3, 1] };
  expect(seesPast([0], wall)).toEqual([false]);
  expect(seesPast([0], { ...wall, at: [2, 0, 0] })).toEqual([true]);
  expect(seesPast([0], { ...wall, at: [2, 0, 0], turn: [0, 45, 0], size: [6, 3, 1] })).toEqual([
    false,
  ]);
});

test('what moves hides where it is', () => {
  // Two metres to the right in a second, and back.
  const slider: PieceInHand = {
    family: 'block',
    at: [0, 0, 0],
    size: [1, 3, 1],
    motion: [{ kind: 'path', points: [[2, 0, 0]], speed: 2 }],
  };
  expect(seesPast([0, 120, 240], slider)).toEqual([false, true, false]);
});

test('marks and pickups hide nothing, and a piece does not hide itself', () => {
  expect(seesPast([0], { family: 'lantern', at: [0, 0, 0] })).toEqual([true]);
  expect(seesPast([0], { family: 'shell', at: [0, 0.6, 0] })).toEqual([true]);
  const course = courseOf(floor(-30, -20), { family: 'block', at: [0, 0, 0], size: [2, 3, 1] });
  const world = buildWorld(course);
  const own = world.pieces.findIndex(({ family }) => family === 'block');
  const scene = new DrawnScene(world);
  expect(scene.isFree(initialState(world, 1), EYE, SEEN, own)).toBe(true);
});
