import { TICKS_PER_SECOND } from '../../../../motion';
import type { IsGiven } from './cue';

/** Given on every so many-th beat of the course's tempo. */
export const isBeat: IsGiven = ({ beat }, s, { link }) => {
  const { offset, seconds } = beat;
  const { count = 1 } = link.cue;
  const beats = (tick: number) =>
    Math.floor((tick / TICKS_PER_SECOND - offset) / (seconds * count) + 1e-9);
  return s.tick / TICKS_PER_SECOND >= offset - 1e-9 && beats(s.tick) !== beats(s.tick - 1);
};
