import { MOST_CARRIED, type Piece } from '../../course';
import { hasOwnMotion } from '../../pieces';
import { type Check, type CheckRule, type Finding, pieceFinding } from '../finding';

/** What goes along with something goes along with something that is there. */
const attached: Check<'attach'> = ({ pieces }) => {
  const ids = new Set(pieces.map(({ id }) => id));
  return pieces.flatMap((piece) =>
    piece.attach !== undefined && !ids.has(piece.attach)
      ? [
          pieceFinding(piece, 'attach', 'error', 'It goes along with a piece that is gone.', {
            label: 'Let go',
            edit: { do: 'untune', id: piece.id, key: 'attach' },
          }),
        ]
      : [],
  );
};

/** What goes along with something is not carried by too many movers, one on the other, nor in a ring. */
const carried: Check<'attach'> = ({ pieces }) => {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const depth = new Map<string, number>();
  const found: Finding<'attach'>[] = [];
  for (const piece of pieces) {
    const row: Piece[] = [];
    const onRow = new Set<string>();
    let next: Piece | undefined = piece;
    while (next && !depth.has(next.id) && !onRow.has(next.id)) {
      row.push(next);
      onRow.add(next.id);
      next = next.attach === undefined ? undefined : byId.get(next.attach);
    }
    if (next && onRow.has(next.id) && found.length < MOST_CARRIED_TOLD) {
      found.push(
        pieceFinding(next, 'attach', 'error', 'It goes along with what goes along with it.', {
          label: 'Let go',
          edit: { do: 'untune', id: next.id, key: 'attach' },
        }),
      );
    }
    let deep = next ? (depth.get(next.id) ?? 0) : 0;
    for (const one of row.reverse()) {
      if (one.motion !== undefined || hasOwnMotion(one)) deep++;
      depth.set(one.id, deep);
      if (deep !== MOST_CARRIED + 2 || found.length >= MOST_CARRIED_TOLD) continue;
      const words = `It is carried by more than ${MOST_CARRIED} movers, one on the other, and stays where it is.`;
      found.push(
        pieceFinding(one, 'attach', 'error', words, {
          label: 'Let go',
          edit: { do: 'untune', id: one.id, key: 'attach' },
        }),
      );
    }
  }
  return found;
};

const MOST_CARRIED_TOLD = 6;

export const attachRule: CheckRule<'attach'> = {
  id: 'attach',
  check: (course) => [...attached(course), ...carried(course)],
};
