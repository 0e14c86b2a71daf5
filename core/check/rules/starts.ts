import { legOf, markOf } from '../../pieces';
import { type Check, type CheckRule, pieceFinding } from '../finding';

/** Starts beyond the one a run begins at, where the course does not say how it chooses. */
const starts: Check<'starts'> = (course) => {
  const begun = new Set<number>();
  // Where a run takes one of several, there may be.
  const twice = course.starts
    ? undefined
    : course.pieces.find(
        (piece) => markOf(piece) === 'start' && begun.size === begun.add(legOf(piece)).size,
      );
  if (!twice) return [];
  const where = course.legs ? ` on leg ${legOf(twice)}` : '';
  return [
    pieceFinding(
      twice,
      'starts',
      'error',
      `There are two starts${where}. Take one away, or say in the rules how runs choose.`,
    ),
  ];
};

export const startsRule: CheckRule<'starts'> = { id: 'starts', check: starts };
