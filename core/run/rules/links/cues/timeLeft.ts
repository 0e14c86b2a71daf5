import type { IsGiven } from './cue';

/** Given when so much of the course's time limit is left, or at once where that is more than there is. */
export const isTimeLeft: IsGiven = ({ limit }, s, { seconds }) =>
  limit > 0 && s.tick === Math.max(1, limit - seconds);
