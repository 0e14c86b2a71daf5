import type { Course } from '../../course';
import { legOf, markOf } from '../../pieces';
import { type Check, type CheckRule, type Finding, pieceFinding } from '../finding';

const startsOf = ({ pieces }: Pick<Course, 'pieces'>) =>
  pieces.filter((piece) => markOf(piece) === 'start');

/** A second start on a leg, where the course does not say how runs choose. */
function twice(course: Course): Finding<'starts'>[] {
  const begun = new Set<number>();
  const second = startsOf(course).find((piece) => begun.size === begun.add(legOf(piece)).size);
  if (!second) return [];
  const where = course.legs ? ` on leg ${legOf(second)}` : '';
  return [
    pieceFinding(
      second,
      'starts',
      'error',
      `There are two starts${where}. Take one away, or say in the rules how runs choose.`,
    ),
  ];
}

/** Starts that no run ever begins at: they stand on a leg that the course does not have. */
function unused(course: Course): Finding<'starts'>[] {
  const legs = Math.max(1, course.legs?.length ?? 1);
  return startsOf(course)
    .filter((piece) => legOf(piece) > legs)
    .map((piece) => ({
      ...pieceFinding(
        piece,
        'starts',
        'notice',
        `No run begins at this start: it is on leg ${legOf(piece)}, which the course does not have.`,
      ),
      ...(piece.mark?.leg === undefined
        ? {
            fix: {
              label: 'Put it on leg 1',
              edit: { do: 'param' as const, id: piece.id, key: 'leg', value: 1 },
            },
          }
        : {}),
    }));
}

/** Starts that are too many, or that no run begins at. */
const starts: Check<'starts'> = (course) => (course.starts ? unused(course) : twice(course));

export const startsRule: CheckRule<'starts'> = { id: 'starts', check: starts };
