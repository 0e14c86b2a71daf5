import { contactRoles, mayBeLoose } from '../../pieces';
import { type Check, type CheckRule, type Finding, pieceFinding } from '../finding';

/** What is loose can fall and be touched. */
const looseOnes: Check<'loose'> = (course) => {
  const loose = course.pieces.filter((piece) => piece.loose);
  const fix = (id: string) => ({
    label: 'Fix it in its place',
    edit: { do: 'untune' as const, id, key: 'loose' as const },
  });
  return loose.flatMap((piece): Finding<'loose'>[] => {
    if (!mayBeLoose(piece)) {
      const words = 'It is loose and moves by itself or acts: it stays as if it were not loose.';
      return [pieceFinding(piece, 'loose', 'notice', words, fix(piece.id))];
    }
    if (contactRoles(course, piece).length > 0) return [];
    return [
      pieceFinding(
        piece,
        'loose',
        'notice',
        'It is loose and nothing of it touches.',
        fix(piece.id),
      ),
    ];
  });
};

export const looseRule: CheckRule<'loose'> = { id: 'loose', check: looseOnes };
