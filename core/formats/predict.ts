import { cosDeg, sinDeg } from '../geometry';

/** A place as it is kept in a code: x, y, z and the heading, in ten-millionths of metres and degrees. */
export type Place = readonly [number, number, number, number];

/** Places and angles are kept to ten-millionths: whole numbers of these. */
export const UNIT = 1e7;
const ROUND = 360 * UNIT;

/** A heading within a whole turn. */
const wrap = (heading: number): number => ((heading % ROUND) + ROUND) % ROUND;

/**
 * Where a piece would stand that went on from the piece `lag` before as that one went on from the piece
 * `lag` before it: rows, rings and spirals go on so. With less behind it, where the one before stands.
 */
export function predictPlace(places: readonly Place[], lag: number): Place {
  const [last, before] = [places[places.length - lag], places[places.length - 2 * lag]];
  if (!last) return [0, 0, 0, 0];
  if (!before) return last;
  const turned = (last[3] - before[3]) / UNIT;
  const [x, z] = [last[0] - before[0], last[2] - before[2]];
  const [c, s] = [cosDeg(turned), sinDeg(turned)];
  return [
    Math.round(last[0] + x * c + z * s),
    last[1] + last[1] - before[1],
    Math.round(last[2] - x * s + z * c),
    wrap(last[3] + last[3] - before[3]),
  ];
}
