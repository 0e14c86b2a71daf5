import { neverActed, type IsGiven } from './cue';

/**
 * @param world the course made ready
 * @param s the run’s state
 * @param i place of the link among the course’s
 */
export const isAllGathered: IsGiven = (world, s, { pieces }, i) =>
  neverActed(s, i) &&
  pieces.every((piece) => {
    const place = world.pickupAt[piece];
    return place < 0 || s.gathered[place] > 0;
  });
