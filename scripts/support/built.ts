import { layPieces } from '@/core/edit';
import { emptyCourse, type Course } from '@/core/course';
import { buildWorld, courseHash, Recorder, initialState, tick, type Run } from '@/core/run';
import { silence } from '@/server/testing/sounds';

/** Settings of a server that is to be worked hard from one address. */
export const HARD = {
  STONEHOP_READS: '100000000',
  STONEHOP_WRITES: '100000000',
  STONEHOP_MAKERS: '100000000',
  STONEHOP_REAL_TIME: '0',
  STONEHOP_ATTEMPTS: '100000000',
  STONEHOP_ADDRESS_MB: '100000000',
  STONEHOP_MAKER_MB: '100000',
  STONEHOP_MAKER_COURSES: '100000',
  STONEHOP_QUEUE: '1000',
};

/** A row of slabs with a start and a goal, a walk of a few seconds, with so many pieces in all. */
export const rowOf = (pieces: number, name = 'Row'): Course =>
  layPieces(emptyCourse(name), [
    { family: 'slab', at: [3, -0.5, 0], size: [12, 0.5, 2] },
    { family: 'start', at: [-2, 0, 0] },
    { family: 'lantern', at: [7, 0, 0] },
    ...Array.from({ length: Math.max(0, pieces - 3) }, (_, i) => ({
      family: 'slab',
      at: [2 * (i % 100), -5, 3 + 3 * Math.floor(i / 100)] as [number, number, number],
    })),
  ]);

/** A run to the right that rests for so many ticks first. */
export function walkRight(on: Course, rest: number, seed: number): Run {
  const world = buildWorld(on);
  const state = initialState(world, seed);
  const recorder = new Recorder();
  for (let i = 0; i < 1200 && state.finish < 0; i++) {
    const input = { x: i < rest ? 0 : 16, z: 0, jump: false };
    recorder.add(input);
    tick(world, state, input, () => {});
  }
  return recorder.run(courseHash(on), state.finish, seed);
}

/** A second of noise as a WAV file, another for each number. */
export function noise(seed: number): Buffer {
  const file = silence();
  for (let i = 44; i < file.length; i++) file[i] = (seed * 7919 + i * 31) & 255;
  return file;
}
