import type { Course, Piece } from '../../course';
import { checkpointNumber, checkpointResets, legOf, markOf, pieceBounds } from '../../pieces';
import { asLaid } from './asLaid';
import { NotRunnable, spotAt, type Checkpoint, type SpawnPoint } from './world';

/** Pieces that begin a leg, with their places among all, those of the first leg first. */
const beginningsOf = (pieces: readonly Piece[]) =>
  pieces
    .map((piece, index) => ({ piece, index, leg: legOf(piece) }))
    .filter(({ piece }) => markOf(piece) === 'start')
    .sort((a, b) => a.leg - b.leg || asLaid(a.piece, b.piece));

/** The depth that runs of a side-on course keep to, m. Null in other courses and where there is no start. */
export const laneOf = ({ space, pieces }: Pick<Course, 'space' | 'pieces'>): number | null =>
  space === 'side-on' ? (beginningsOf(pieces)[0]?.piece.at[2] ?? null) : null;

/**
 * The places where the legs of a course may be begun.
 * @param one whether each leg begins at the first of its starts, whatever others there are
 * @throws NotRunnable when there is none
 */
export function compileStarts(
  pieces: readonly Piece[],
  lane: number | null,
  one: boolean,
): SpawnPoint[][] {
  const beginnings = beginningsOf(pieces);
  if (beginnings.length === 0) throw new NotRunnable('The course has no start.');
  const legs = [...new Set(beginnings.map(({ leg }) => leg))];
  return legs.map((wanted) => {
    const all = beginnings.filter(({ leg }) => leg === wanted);
    return (one ? all.slice(0, 1) : all).map(({ piece, index }) => spotOf(piece, index, lane));
  });
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
