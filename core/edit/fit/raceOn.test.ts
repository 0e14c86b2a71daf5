import { checkCourse } from '../../check';
import { emptyCourse, type Course } from '../../course';
import { checkpointNumber, markOf } from '../../pieces';
import { trackWay } from '../../route';
import { buildWorld, initialState, tick } from '../../run';
import { layPieces } from '../pieces/lay';
import { fitTrack, raceOn } from '.';
import { ROUTES } from '../routes.testing';

/** A new course with its plank, and a track fitted to a route. */
function fitted(route: number): { course: Course; ids: string[]; closed: boolean } {
  const { points, closed } = ROUTES[route];
  const fit = fitTrack({ points, closed, width: 3, tolerance: 1 });
  const young = layPieces(emptyCourse('Track', 'side-on'), [
    { family: 'slab', at: [0, -0.5, 0], size: [6, 0.5, 4] },
    { family: 'start', at: [-2, 0, 0] },
    { family: 'lantern', at: [2.5, 0, 0] },
  ]);
  const course = layPieces(young, fit.pieces);
  return { course, ids: course.pieces.slice(3).map(({ id }) => id), closed: fit.closed };
}

test('a round becomes a course of laps by cart, its start, goal and checkpoints on the track', () => {
  const { course, ids, closed } = fitted(1);
  const run = raceOn(course, ids, closed);
  expect(run).toMatchObject({ kind: 'laps', laps: 3, space: 'free', runner: { kind: 'cart' } });
  const marks = run.pieces.filter((piece) => markOf(piece));
  expect(marks.map(markOf).sort()).toEqual(['checkpoint', 'checkpoint', 'goal', 'start']);
  expect(marks.filter((piece) => markOf(piece) === 'checkpoint').map(checkpointNumber)).toEqual([
    1, 2,
  ]);
  expect(trackWay(run)?.closed).toBe(true);
  expect(checkCourse(run).filter(({ weight }) => weight === 'error')).toEqual([]);
  // It stands on the track and drives off along it.
  const world = buildWorld(run);
  const state = initialState(world);
  for (let i = 0; i < 90; i++) tick(world, state, { x: 0, z: -16, jump: false }, () => {});
  expect(state.falls).toBe(0);
  expect(state.ground).toBeGreaterThanOrEqual(0);
});

test('a track with two ends becomes a course from one to the other', () => {
  const open = ROUTES.findIndex((route) => !route.closed);
  const { course, ids, closed } = fitted(open);
  const run = raceOn(course, ids, closed);
  expect(run.kind).toBe('point');
  expect(run.laps).toBeUndefined();
  const [start, goal] = (['start', 'goal'] as const).map(
    (mark) => run.pieces.find((piece) => markOf(piece) === mark)!.at,
  );
  const way = trackWay(run)!.way;
  const near = (p: readonly number[], q: readonly number[]) =>
    Math.hypot(p[0] - q[0], p[2] - q[2]) < 3;
  expect(near(start, way[0])).toBe(true);
  expect(near(goal, way[way.length - 1])).toBe(true);
});

test('what a maker has chosen to run with stays, and a course without marks gets its own', () => {
  const { course, ids, closed } = fitted(1);
  const rolling = { ...course, runner: { kind: 'roller' as const } };
  expect(raceOn(rolling, ids, closed).runner.kind).toBe('roller');
  const bare = { ...course, pieces: course.pieces.filter((piece) => !markOf(piece)) };
  expect(raceOn(bare, ids, closed).pieces.filter((piece) => markOf(piece))).toHaveLength(4);
  expect(() => raceOn(course, ['nothing'], true)).toThrow(/not there/);
});
