import { RUNNER_TRAITS, type Course, type CourseKind, type RunnerKind } from '../../course';
import { FAMILY_GROUPS, type FamilyGroup } from '../../pieces';
import { setRunner } from './rules';

// What a course is for, and what that suggests while nothing, or little, is built.

/** Pieces up to which a course counts as not built yet: its start, its goal and a few more. */
const FEW = 6;
const isYoung = ({ pieces }: Course): boolean => pieces.length < FEW;

/**
 * A course of another kind. Its pieces stay; while there are few, the rest follows the kind: rounds and
 * strokes go over a plan, and strokes are those of a flick stone.
 */
export function setKind(course: Course, kind: CourseKind): Course {
  const { laps: _, hold: __, ...rest } = course;
  const next = { ...rest, kind } as Course;
  if (!isYoung(course)) return next;
  const struck = kind === 'strokes' && RUNNER_TRAITS[course.runner.kind].walks;
  const over = kind === 'laps' || kind === 'strokes' ? ('free' as const) : course.space;
  return struck ? setRunner({ ...next, space: over }, { kind: 'flick' }) : { ...next, space: over };
}

/**
 * A course for another runner. Its pieces stay; while there are few, what rolls, drives or is struck goes
 * over a plan, and a course of strokes is one for the flick stone.
 */
export function chooseRunner(course: Course, runner: RunnerKind): Course {
  const next = setRunner(course, { kind: runner });
  if (!isYoung(course)) return next;
  const { walks, struck } = RUNNER_TRAITS[runner];
  const space = walks ? course.space : 'free';
  const kind =
    struck && course.kind === 'point'
      ? 'strokes'
      : !struck && course.kind === 'strokes'
        ? 'point'
        : course.kind;
  return { ...next, space, kind };
}

const FIRST: Readonly<Record<RunnerKind, readonly FamilyGroup[]>> = {
  hopper: ['floors', 'stones', 'timber'],
  roller: ['track', 'floors', 'timber'],
  cart: ['track', 'walls', 'timber'],
  flick: ['floors', 'walls', 'track'],
};

/** The groups of the catalogue in the order they are most likely wanted in. */
export function groupOrder({ runner, kind }: Pick<Course, 'runner' | 'kind'>): FamilyGroup[] {
  const first = [...FIRST[runner.kind]];
  if (kind === 'laps' && RUNNER_TRAITS[runner.kind].walks) first.unshift('track');
  // What is to be gathered is among the marks.
  if (kind === 'gather') first.splice(1, 0, 'marks');
  return [...new Set([...first, ...FAMILY_GROUPS])];
}
