import { type Connector, endIndex, endsOf } from '../../edit';
import type { Piece } from '../../course';
import { type Vec3, sub } from '../../geometry';
import { familyOf, topOver } from '../../pieces';
import { sparseOf } from '../crowd';
import { type Check, type CheckRule, type Finding, MOST_TOLD, pieceFinding } from '../finding';

/** Ends this near to one another over the map are meant to meet, m; and this near in height. */
const BESIDE = 0.05;

const OVER = 1.5;

/** Height from which an edge across the way counts as a step, m. */
const STEP = 0.02;

/** How far from the join both tops are looked at, m: within what is drawn, past what is cut off an edge. */
const INSIDE = 0.004;

/** How much steeper than level the way may be there: what it rises between the two places is no step. */
const SLOPE = 1.2;

/** Track ends that meet and whose beds do not: what rolls there runs against an edge. */
const steps: Check<'step'> = (whole) => {
  const course = { ...whole, pieces: sparseOf(whole).pieces };
  const index = endIndex(course);
  const byId = new Map(course.pieces.map((piece) => [piece.id, piece]));
  const found: Finding<'step'>[] = [];
  const told = new Set<string>();
  const top = (piece: Piece, { at, turn }: Connector, k: number) =>
    topOver(course, piece, at[0] + turn[0] * k, at[2] + turn[6] * k, at[1] + OVER);
  for (const piece of course.pieces) {
    if (found.length >= MOST_TOLD) break;
    for (const end of endsOf(piece)) {
      if (end.kind !== 'track') continue;
      const other = index.near(end.at, OVER).find((near) => meets(end, near));
      const its = other && byId.get(other.piece);
      if (!other || !its || told.has(`${its.id} ${piece.id}`)) continue;
      told.add(`${piece.id} ${its.id}`);
      const [own, next] = [top(piece, end, -INSIDE), top(its, end, INSIDE)];
      const step = Math.abs(own - next);
      if (!Number.isFinite(step) || step < STEP + 2 * INSIDE * SLOPE) continue;
      const label = familyOf(its.family).label;
      // Where it is the ends that stand apart, they are brought together exactly.
      const apart = sub(end.at, other.at);
      const by: Vec3 = Math.abs(apart[1] - (own - next)) < STEP / 2 ? apart : [0, own - next, 0];
      found.push({
        ...pieceFinding(
          its,
          'step',
          'notice',
          `${label} stands ${Math.round(step * 100)} cm ${next > own ? 'higher' : 'lower'} than the track it joins: what rolls is stopped or thrown there.`,
          { label: 'Bring it level', edit: { do: 'move', id: its.id, by } },
        ),
        at: end.at,
        other: piece.id,
      });
    }
  }
  return found;
};

/** Whether two track ends of different pieces face one another in one place of the map. */
const meets = (a: Connector, b: Connector): boolean =>
  b.piece !== a.piece &&
  b.kind === 'track' &&
  Math.hypot(b.at[0] - a.at[0], b.at[2] - a.at[2]) < BESIDE &&
  a.turn[0] * b.turn[0] + a.turn[3] * b.turn[3] + a.turn[6] * b.turn[6] < -0.9;

export const stepRule: CheckRule<'step'> = { id: 'step', check: steps };
