import { endIndex } from '../../edit';
import { markOf } from '../../pieces';
import { sparseOf } from '../crowd';
import { type Check, type CheckRule, MOST_TOLD } from '../finding';
import { HAIR } from '../joins';

/** Track ends that lead nowhere: to no other end, nor to anything to go on over. */
const openEnds: Check<'open-end'> = (whole) => {
  const course = sparseOf(whole);
  const index = endIndex(course);
  const marks = course.pieces.filter((piece) => ['start', 'goal'].includes(markOf(piece) ?? ''));
  return index
    .open('track')
    .filter(
      (end) =>
        !index.near(end.at, HAIR).some((near) => near.piece !== end.piece) &&
        !marks.some(({ at }) => Math.hypot(at[0] - end.at[0], at[2] - end.at[2]) < 6),
    )
    .slice(0, MOST_TOLD)
    .map((end) => ({
      rule: 'open-end',
      weight: 'notice',
      message: 'A track ends here and goes on to nothing.',
      piece: end.piece,
      at: end.at,
    }));
};

export const openEndRule: CheckRule<'open-end'> = { id: 'open-end', check: openEnds };
