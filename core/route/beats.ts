import type { Course } from '../course';
import { runnerOf } from '../run';

/** Where a beat falls on the way. */
export interface BeatMark {
  /** Metres from the start, at the runner's full pace. */
  readonly along: number;
  /** Whether it begins a bar. */
  readonly bar: boolean;
}

/** Most beats that are marked: more would be a band. */
const MOST_BEATS = 400;

/** Where the beats of a course fall along a way of so many metres, for its runner at full pace. */
export function beatMarks(
  { tempo, runner }: Pick<Course, 'tempo' | 'runner'>,
  length: number,
): BeatMark[] {
  if (!tempo) return [];
  const { topSpeed } = runnerOf(runner);
  const pace = (topSpeed * 60) / tempo.beats;
  const first = topSpeed * (tempo.offset ?? 0);
  const count = Math.min(MOST_BEATS, Math.max(0, Math.floor((length - first) / pace) + 1));
  return Array.from({ length: count }, (_, i) => ({
    along: first + i * pace,
    bar: i % (tempo.bar ?? 4) === 0,
  }));
}
