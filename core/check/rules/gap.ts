import { type Connector, endIndex, endsOf } from '../../edit';
import { type Vec3, dot, sub } from '../../geometry';
import { familyOf } from '../../pieces';
import { plannedRoute } from '../../route';
import { byTheWay } from '../byTheWay';
import { sparseOf } from '../crowd';
import { type Check, type CheckRule, type Finding, MOST_TOLD, pieceFinding } from '../finding';
import { HAIR } from '../joins';

/** Nearer than this is joined, m. */
const JOINED = 1e-4;

const outOf = ({ turn }: Connector): Vec3 => [turn[0], turn[3], turn[6]];

/** Ends that nearly meet: a hairline between neighbours on the way. */
const gaps: Check<'gap'> = (whole) => {
  const course = { ...whole, pieces: sparseOf(whole).pieces };
  const index = endIndex(course);
  const { way } = plannedRoute(course);
  const found: Finding<'gap'>[] = [];
  const told = new Set<string>();
  const byId = new Map(course.pieces.map((piece) => [piece.id, piece]));
  for (const piece of course.pieces) {
    if (found.length >= MOST_TOLD) break;
    for (const end of endsOf(piece)) {
      const other = index
        .near(end.at, HAIR)
        .find(
          (near) =>
            near.piece !== piece.id && dot(outOf(near), outOf(end)) < -0.99 && byId.has(near.piece),
        );
      if (!other) continue;
      const by = sub(end.at, other.at);
      const wide = Math.sqrt(dot(by, by));
      const key = [piece.id, other.piece].sort().join(' ');
      if (wide < JOINED || told.has(key) || !byTheWay(way, end.at)) continue;
      told.add(key);
      const label = familyOf(byId.get(other.piece)!.family).label;
      found.push({
        ...pieceFinding(
          byId.get(other.piece)!,
          'gap',
          'notice',
          `${label} stands ${wide < 0.0005 ? 'under a millimetre' : `${(wide * 100).toFixed(1)} cm`} off its neighbour.`,
          { label: 'Close the gap', edit: { do: 'move', id: other.piece, by } },
        ),
        at: end.at,
        other: piece.id,
      });
    }
  }
  return found;
};

export const gapRule: CheckRule<'gap'> = { id: 'gap', check: gaps };
