import { layPieces, setRole, type PieceInHand } from '../edit';
import { checkCourse as findings } from '../check';
import { emptyCourse, type Course } from '../course';
import { markOf } from '../pieces';
import {
  buildWorld,
  replay,
  courseHash,
  Recorder,
  initialState,
  tick,
  type RunEvent,
} from './index';

const ground: PieceInHand = { family: 'slab', at: [10, -1, 0], size: [60, 1, 6] };
const course = (pieces: PieceInHand[], more: Partial<Course> = {}): Course => ({
  ...layPieces({ ...emptyCourse('Marks'), ...more }, [ground, ...pieces]),
});
const onwards = { x: 16, z: 0, jump: false };

function run(told: Course, ticks: number, start = 0) {
  const world = buildWorld(told);
  const state = initialState(world, 1, start);
  const events: RunEvent[] = [];
  for (let i = 0; i < ticks; i++) tick(world, state, onwards, (event) => events.push(event));
  return { world, state, events };
}

test('any piece may be a checkpoint or the goal: it stays solid, and touching it counts', () => {
  const laid = course([
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [6, 0, 0], size: [2, 0.2, 6] },
    { family: 'block', at: [12, 0, 0] },
  ]);
  const [step, post] = [laid.pieces[2].id, laid.pieces[3].id];
  const marked = setRole(setRole(laid, new Set([step]), 'checkpoint'), new Set([post]), 'goal');
  expect(marked.pieces.map(markOf)).toEqual([null, 'start', 'checkpoint', 'goal']);
  const { state, events } = run(marked, 900);
  expect(events.filter(({ kind }) => kind === 'checkpoint').map(({ piece }) => piece)).toEqual([
    step,
  ]);
  expect(state.finish).toBeGreaterThan(0);
  expect(findings(marked).some(({ rule }) => rule === 'goal')).toBe(false);
  // Without the roles there is nothing to pass.
  expect(run(laid, 900).state.finish).toBe(-1);
  expect(courseHash(marked)).not.toBe(courseHash(laid));
});

test('a return to a piece that is a checkpoint stands on top of it', () => {
  const laid = course([
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [4, 0, 0], size: [2, 0.3, 6] },
    { family: 'thorns', at: [8, 0, 0], size: [2, 0.7, 6] },
  ]);
  const marked = setRole(laid, new Set([laid.pieces[2].id]), 'checkpoint');
  const world = buildWorld(marked);
  const state = initialState(world);
  let back: RunEvent | null = null;
  for (let i = 0; i < 900 && !back; i++) {
    tick(world, state, onwards, (event) => (back = event.kind === 'respawn' ? event : back));
  }
  expect(back!.x).toBeCloseTo(4, 1);
  expect(back!.y).toBeCloseTo(0.3, 1);
});

test('checkpoints of all sorts are numbered in one row', () => {
  const laid = course([
    { family: 'start', at: [0, 0, 0] },
    { family: 'cairn', at: [3, 0, 0] },
    { family: 'slab', at: [6, 0, 0], size: [2, 0.2, 6] },
    { family: 'slab', at: [9, 0, 0], size: [2, 0.2, 6] },
  ]);
  const two = new Set([laid.pieces[3].id, laid.pieces[4].id]);
  const marked = setRole(laid, two, 'checkpoint');
  expect(buildWorld(marked).checkpoints.map(({ number }) => number)).toEqual([1, 2, 3]);
  const again = setRole(marked, two, undefined);
  expect(again).toEqual(laid);
});

test('a piece that is a region lets the runner through', () => {
  const laid = course([
    { family: 'start', at: [0, 0, 0] },
    { family: 'block', at: [4, 0, 0], size: [1, 3, 6] },
    { family: 'lantern', at: [8, 0, 0] },
  ]);
  expect(run(laid, 900).state.finish).toBe(-1);
  const open = setRole(laid, new Set([laid.pieces[2].id]), 'region');
  expect(run(open, 900).state.finish).toBeGreaterThan(0);
});

test('of several starts a run begins at the one it says, and is replayed from there', () => {
  const told = course(
    [
      { family: 'start', at: [0, 0, 0], params: { leg: 1 } },
      { family: 'start', at: [6, 0, 0], params: { leg: 1 } },
      { family: 'lantern', at: [12, 0, 0] },
    ],
    { starts: 'turn' },
  );
  const [far, near] = [run(told, 900, 0), run(told, 900, 1)];
  expect(near.state.finish).toBeLessThan(far.state.finish);
  const recorder = new Recorder();
  for (let i = 0; i < 900; i++) recorder.add(onwards);
  const hash = courseHash(told);
  const of = (start: number) => replay(told, recorder.run(hash, 1, 1, start)).time;
  expect(of(0)).toBe(far.state.finish);
  expect(of(1)).toBe(near.state.finish);
  // One that says a start there is not begins at one there is.
  expect(of(2)).toBe(far.state.finish);
  expect(findings(told).filter(({ rule }) => rule === 'starts')).toEqual([]);
  expect(findings({ ...told, starts: undefined }).some(({ rule }) => rule === 'starts')).toBe(true);
});

test('a start laid where runs choose among several begins the same leg', () => {
  const told = course([{ family: 'start', at: [0, 0, 0] }], { starts: 'chance' });
  const two = layPieces(told, [{ family: 'start', at: [3, 0, 0] }]);
  expect(two.legs).toBeUndefined();
  expect(buildWorld(two).starts).toHaveLength(1);
  expect(buildWorld(two).starts[0]).toHaveLength(2);
});

test('a goal’s zone is as large as it is said to be, and the time in it counts', () => {
  const zone = (wide: number, deep: number) =>
    course(
      [
        { family: 'start', at: [0, 0, 0] },
        { family: 'lantern', at: [10, 0, 0], params: { wide, deep } },
      ],
      { kind: 'hold', hold: 2 },
    );
  // At a run the usual zone is left again long before two seconds are over.
  expect(run(zone(2.4, 1), 600).state.finish).toBe(-1);
  expect(run(zone(6, 40), 600).state.finish).toBeGreaterThan(0);
});

test('a checkpoint’s gate is as wide as it is said to be', () => {
  const beside = (wide: number) =>
    course([
      { family: 'start', at: [0, 0, 0] },
      { family: 'cairn', at: [6, 0, 2.6], params: { wide } },
    ]);
  const reached = (told: Course) => run(told, 400).state.checkpoint;
  expect(reached(beside(3))).toBe(-1);
  expect(reached(beside(8))).toBe(0);
});
