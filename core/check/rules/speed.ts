import type { Course, Piece } from '../../course';
import { type Vec3, boundsOf } from '../../geometry';
import { type Motion, inTempo, isDriven, parseMotion, topSpeed } from '../../motion';
import { localGeometry } from '../../pieces';
import { type Check, type CheckRule, pieceFinding } from '../finding';

/** Fastest a mover may carry or hit a runner, m/s: within a tick it then stays thinner than a body. */
export const FASTEST_MOVER = 30;

/** The greatest speed of anything that moves of a piece, m/s; nothing when nothing moves. */
function fastestOf(piece: Piece, tempo: Course['tempo']): number | null {
  const { parts, motion } = localGeometry(piece);
  const whole = (piece.motion ?? []).flatMap((told) => (isDriven(told) ? [] : [parseMotion(told)]));
  if (!motion && whole.length === 0) return null;
  const corners = (moving: boolean) =>
    parts.flatMap((part) => (!moving || part.moving ? cornersOf(part.solid.points) : []));
  const fastest = (of: Motion, points: readonly Vec3[]) =>
    of.kind === 'way'
      ? topSpeed(inTempo(of, tempo), [0, 0, 0])
      : Math.max(0, ...points.map((p) => topSpeed(inTempo(of, tempo), p)));
  return (
    (motion ? fastest(motion, corners(true)) : 0) +
    whole.reduce((sum, one) => sum + fastest(one, corners(false)), 0)
  );
}

/** The corners of the box about points: nothing of what is within moves faster than all of them. */
const cornersOf = (points: readonly Vec3[]): Vec3[] => {
  const { low, high } = boundsOf(points);
  return [low, high].flatMap(([x], i) => [
    [x, low[1], (i ? high : low)[2]] as Vec3,
    [x, high[1], (i ? low : high)[2]] as Vec3,
  ]);
};

const speed: Check<'speed'> = ({ pieces, tempo }) =>
  pieces.flatMap((piece) => {
    const fastest = fastestOf(piece, tempo);
    if (fastest === null || fastest <= FASTEST_MOVER) return [];
    const message = `Moves at ${fastest.toFixed(0)} m/s; at most ${FASTEST_MOVER} m/s keeps contact exact. Give it a longer period.`;
    return [pieceFinding(piece, 'speed', 'error', message)];
  });

export const speedRule: CheckRule<'speed'> = { id: 'speed', check: speed };
