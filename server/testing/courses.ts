import { layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse, type Course } from '@/core/course';
import { buildWorld, courseHash, Recorder, initialState, tick, type Run } from '@/core/run';

/** A walk to the right of two seconds, with what else is to stand about. */
export const walk = (...pieces: PieceInHand[]): Course =>
  layPieces(emptyCourse('Quay Walk'), [
    { family: 'slab', at: [3, -0.5, 0], size: [12, 0.5, 2] },
    { family: 'start', at: [-2, 0, 0] },
    { family: 'lantern', at: [7, 0, 0] },
    ...pieces,
  ]);

/**
 * A run to the right, as far as it may take.
 * @param steps what is pushed and whether a jump is held, at a tick
 */
export function runOf(
  on: Course,
  steps: (tick: number) => { x: number; jump?: boolean },
  seed = 0,
): Run {
  const world = buildWorld(on);
  const state = initialState(world, seed);
  const recorder = new Recorder();
  for (let i = 0; i < 900 && state.finish < 0; i++) {
    const { x, jump = false } = steps(i);
    const input = { x, z: 0, jump };
    recorder.add(input);
    tick(world, state, input, () => {});
  }
  return recorder.run(courseHash(on), Math.max(0, state.finish), seed);
}

/** A run straight to the right that begins after so many ticks of rest. */
export const runRight = (on: Course, rest = 0): Run => runOf(on, (i) => ({ x: i < rest ? 0 : 16 }));

/** A run to the right with so many hops on the way. */
export const hopRight = (on: Course, hops: number): Run =>
  runOf(on, (i) => ({ x: 16, jump: i % 60 === 1 && i < 60 * hops }));
