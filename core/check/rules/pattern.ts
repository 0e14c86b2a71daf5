import { endIndex, endsOf } from '../../edit';
import type { Piece } from '../../course';
import { familyOf } from '../../pieces';
import { sparseOf } from '../crowd';
import { type Check, type CheckRule, type Finding, MOST_TOLD, pieceFinding } from '../finding';
import { HAIR } from '../joins';

/** Patterned floors turned against the neighbour they join. */
const patterns: Check<'pattern'> = (whole) => {
  const course = sparseOf(whole);
  const index = endIndex(course);
  const byId = new Map(course.pieces.map((piece) => [piece.id, piece]));
  const found: Finding<'pattern'>[] = [];
  const told = new Set<string>();
  const heading = (piece: Piece) => Math.round(piece.turn?.[1] ?? 0) % 180;
  for (const piece of course.pieces) {
    if (!familyOf(piece.family).patterned || told.has(piece.id)) continue;
    for (const end of endsOf(piece)) {
      const other = index
        .near(end.at, HAIR)
        .map((near) => byId.get(near.piece)!)
        .find((near) => near.id > piece.id && near.family === piece.family);
      if (!other || heading(other) === heading(piece) || told.has(other.id)) continue;
      told.add(other.id);
      const [x, y, z] = piece.turn ?? [0, 0, 0];
      found.push(
        pieceFinding(
          other,
          'pattern',
          'notice',
          `${familyOf(other.family).label}: its pattern is turned against its neighbour's.`,
          { label: 'Turn it alike', edit: { do: 'turn', id: other.id, turn: [x, y, z] } },
        ),
      );
    }
    if (found.length >= MOST_TOLD) break;
  }
  return found;
};

export const patternRule: CheckRule<'pattern'> = { id: 'pattern', check: patterns };
