import { neverActed, type IsGiven } from './cue';

export const isAllGathered: IsGiven = (world, s, { pieces }, i) =>
  neverActed(s, i) &&
  pieces.every((piece) => {
    const place = world.pickupAt[piece];
    return place < 0 || s.gathered[place] > 0;
  });
