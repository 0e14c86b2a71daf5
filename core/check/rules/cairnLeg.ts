import type { Course, Piece } from '../../course';
import { distance, type Vec3 } from '../../geometry';
import { nearestOf } from '../../run';
import { checkpointNumber, legOf, markOf } from '../../pieces';
import { type Check, type CheckRule, MOST_TOLD, pieceFinding } from '../finding';

/** By how much nearer another leg has to pass for a checkpoint to lie on that, m. */
const NEARER = 2;

/** The places of a leg's start and goal, the start first, or null where it lacks one. */
function endsOfLeg(pieces: readonly Piece[], leg: number): readonly [Vec3, Vec3] | null {
  const of = (mark: 'start' | 'goal') =>
    pieces.find((piece) => markOf(piece) === mark && legOf(piece) === leg)?.at;
  const [start, goal] = [of('start'), of('goal')];
  return start && goal ? [start, goal] : null;
}

/**
 * Checkpoints that lie past the goal of the leg they belong to, on another leg: that goal then stays shut, as nobody
 * comes by them before it.
 */
const checkpointLegs: Check<'cairn-leg'> = ({ pieces, legs = [] }: Course) => {
  const ways = legs.map((_, i) => endsOfLeg(pieces, i + 1));
  return pieces
    .flatMap((piece) => {
      if (markOf(piece) !== 'checkpoint') return [];
      const own = ways[legOf(piece) - 1];
      if (!own) return [];
      const [start, goal] = own;
      // Past it: farther on than the goal is, and on the goal's side.
      const past =
        distance(piece.at, start) > distance(goal, start) &&
        distance(piece.at, goal) < distance(piece.at, start);
      const far = nearestOf(own, piece.at).far;
      const other = ways.findIndex(
        (way, i) =>
          way !== null && i !== legOf(piece) - 1 && nearestOf(way, piece.at).far < far - NEARER,
      );
      if (!past || other < 0) return [];
      const number = checkpointNumber(piece);
      return [
        pieceFinding(
          piece,
          'cairn-leg',
          'error',
          `Checkpoint ${number} belongs to leg ${legOf(piece)} but lies on leg ${other + 1}, past the goal: that goal stays shut.`,
        ),
      ];
    })
    .slice(0, MOST_TOLD);
};

export const cairnLegRule: CheckRule<'cairn-leg'> = { id: 'cairn-leg', check: checkpointLegs };
