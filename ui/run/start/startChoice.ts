import { create } from 'zustand';
import type { Course } from '@/core/course';
import { legOf, markOf } from '@/core/pieces';
import { courseHash } from '@/core/run';

/** How many starts a course's runs choose among; 1 where there is no choice. */
export function startCount(course: Course): number {
  if (!course.starts) return 1;
  const starts = course.pieces.filter((piece) => markOf(piece) === 'start').map(legOf);
  const first = Math.min(...starts);
  return Math.max(1, starts.filter((leg) => leg === first).length);
}

/** Which start the attempts on this device begin at: what came already, by course. */
interface Begun {
  /** The last one taken, and those not taken yet since all of them were. */
  readonly last: number;
  readonly left: readonly number[];
}

const useBegun = create<{ courses: Readonly<Record<string, Begun>> }>()(() => ({ courses: {} }));

/**
 * The start that the next attempt on a course begins at, from 0.
 * @param chosen the player's choice, where the course leaves it to them
 * @param random a number from 0 to just under 1
 */
export function nextStart(course: Course, chosen: number, random = Math.random): number {
  const count = startCount(course);
  if (count === 1) return 0;
  if (course.starts === 'choice') return Math.min(chosen, count - 1);
  const key = courseHash(course);
  const { courses } = useBegun.getState();
  const begun = courses[key] ?? { last: -1, left: [] };
  const all = Array.from({ length: count }, (_, i) => i);
  const left = begun.left.length > 0 ? begun.left : all;
  const next =
    course.starts === 'turn' ? (begun.last + 1) % count : left[Math.floor(random() * left.length)];
  const now = { last: next, left: left.filter((one) => one !== next) };
  useBegun.setState({ courses: { ...courses, [key]: now } });
  return next;
}
