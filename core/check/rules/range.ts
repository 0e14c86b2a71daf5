import { contactRoles, hasOwnMotion } from '../../pieces';
import { type Check, type CheckRule, pieceFinding } from '../finding';

/** What sleeps can be woken, and what wakes by nearness does not sleep at once. */
const ranges: Check<'range'> = ({ pieces }) =>
  pieces.flatMap((piece) => {
    const { wake } = piece;
    if (!wake) return [];
    if (!piece.motion && !piece.thrower && !hasOwnMotion(piece)) {
      return [
        pieceFinding(piece, 'range', 'notice', 'It has a range and nothing that wakes.', {
          label: 'Take the range away',
          edit: { do: 'untune', id: piece.id, key: 'wake' },
        }),
      ];
    }
    if (wake.by === 'near' && wake.sleep !== undefined && wake.sleep < (wake.range ?? 0)) {
      return [
        pieceFinding(
          piece,
          'range',
          'notice',
          'It sleeps nearer than it wakes, so it sleeps as far as it wakes.',
        ),
      ];
    }
    return [];
  });

/** What touches by being touched can be touched at all. */
const wakesByTouch: Check<'range'> = (course) =>
  course.pieces.flatMap((piece) =>
    piece.wake?.by === 'touch' && contactRoles(course, piece).length === 0
      ? [pieceFinding(piece, 'range', 'error', 'It wakes when touched, and nothing of it touches.')]
      : [],
  );

export const rangeRule: CheckRule<'range'> = {
  id: 'range',
  check: (course) => [...ranges(course), ...wakesByTouch(course)],
};
