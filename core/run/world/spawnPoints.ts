import type { Piece } from '../../course';
import { checkpointNumber, checkpointResets, legOf, markOf, pieceBounds } from '../../pieces';
import { NotRunnable, spotAt, type Checkpoint, type SpawnPoint } from './world';

/**
 * The places where the legs of a course may be begun, and the depth that a side-on stage keeps to.
 * @param one whether each leg begins at the first of its starts, whatever others there are
 * @throws NotRunnable when there is none
 */
export function compileStarts(
  pieces: readonly Piece[],
  sideOn: boolean,
  one: boolean,
): { readonly starts: SpawnPoint[][]; readonly lane: number | null } {
  const beginnings = pieces
    .map((piece, index) => ({ piece, index, leg: legOf(piece) }))
    .filter(({ piece }) => markOf(piece) === 'start')
    .sort((a, b) => a.leg - b.leg);
  if (beginnings.length === 0) throw new NotRunnable('The course has no start.');
  const lane = sideOn ? beginnings[0].piece.at[2] : null;
  const legs = [...new Set(beginnings.map(({ leg }) => leg))];
  const starts = legs.map((wanted) => {
    const all = beginnings.filter(({ leg }) => leg === wanted);
    return (one ? all.slice(0, 1) : all).map(({ piece, index }) => spotOf(piece, index, lane));
  });
  return { starts, lane };
}

/** The checkpoints of a course, as their pieces were laid. */
export const compileCheckpoints = (pieces: readonly Piece[], lane: number | null): Checkpoint[] =>
  pieces.flatMap((piece, index) =>
    markOf(piece) === 'checkpoint'
      ? [
          {
            ...spotOf(piece, index, lane),
            piece: index,
            number: checkpointNumber(piece),
            leg: legOf(piece) - 1,
            restores: checkpointResets(piece),
          },
        ]
      : [],
  );

/** Where a start or checkpoint has the runner stand: at its foot, or on top of any other piece. */
function spotOf(piece: Piece, index: number, lane: number | null): SpawnPoint {
  const [x, foot, z] = piece.at;
  const y = piece.role === 'checkpoint' ? pieceBounds(piece).high[1] : foot;
  return spotAt([x, y, lane ?? z], piece.turn?.[1] ?? 0, index);
}
