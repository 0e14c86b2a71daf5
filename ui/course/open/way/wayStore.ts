import { create } from 'zustand';
import type { Course } from '@/core/course';
import { judgeInWorker, type SaidOfWay, type WatchedRun } from '@/workers/way';
import { useCourse } from '../../../state/courseStore';

/** A run that is to lead through the course still, and what it is called. */
export interface NamedRun extends WatchedRun {
  readonly name: string;
}

/** What is said of one of them. */
export interface SaidOfRun extends SaidOfWay {
  readonly key: string;
  readonly name: string;
}

interface Ways {
  /** The course that was asked about last and answered for; null before any was. */
  readonly of: Course | null;
  readonly said: readonly SaidOfRun[];
  readonly failed: boolean;
}
const NOTHING: Ways = { of: null, said: [], failed: false };

/** What is known of the runs of the open course since it was edited last. */
export const useWays = create<Ways>()(() => NOTHING);

/** How long an edit rests before the runs are tried anew, ms. */
const REST = 120;

let resting: ReturnType<typeof setTimeout> | undefined;
let asked: { course: Course; names: string } | null = null;

// What held of another course says nothing of this one.
useCourse.subscribe((now, before) => {
  if (now.id === before.id) return;
  clearTimeout(resting);
  asked = null;
  useWays.setState(NOTHING);
});

const namedAnswers = (
  runs: readonly NamedRun[],
  answers: ReadonlyMap<string, SaidOfWay>,
): SaidOfRun[] =>
  runs.flatMap(({ key, name }) => {
    const said = answers.get(key);
    return said ? [{ key, name, ...said }] : [];
  });

/** Has the runs tried on a course, once the hand rests; an answer about a course that is no more is not shown. */
export function askWays(course: Course, runs: readonly NamedRun[]): void {
  const names = runs.map(({ key }) => key).join(' ');
  if (asked?.course === course && asked.names === names) return;
  const question = { course, names };
  asked = question;
  clearTimeout(resting);
  if (runs.length === 0) return useWays.setState({ of: course, said: [], failed: false });
  resting = setTimeout(() => {
    const answers = new Map<string, SaidOfWay>();
    judgeInWorker(
      course,
      runs.map(({ key, run }) => ({ key, run })),
      (key, said) => {
        if (asked !== question) return;
        answers.set(key, said);
        useWays.setState({ of: course, said: namedAnswers(runs, answers), failed: false });
      },
      () => {
        if (asked !== question) return;
        asked = null;
        useWays.setState({ failed: true });
      },
    );
  }, REST);
}
