import { markOf, pieceBounds } from '../../pieces';
import { type Check, type CheckRule, pieceFinding } from '../finding';

const belowTide: Check<'below-tide'> = (course) => {
  if (course.tide === undefined) return [];
  const { tide } = course;
  return course.pieces
    .filter((piece) => markOf(piece) !== null && pieceBounds(piece).high[1] < tide)
    .map((piece) =>
      pieceFinding(
        piece,
        'below-tide',
        'error',
        'Stands below the tide line, where no run can go on.',
      ),
    );
};

export const belowTideRule: CheckRule<'below-tide'> = { id: 'below-tide', check: belowTide };
