import { LINK_SIZE } from '../../../state';
import { STOOD, STOOD_LAST, type IsGiven } from './cue';

/**
 * Given in the one tick in which it has been stood in for so long without a break.
 * @param _ the course made ready
 * @param s the run’s state
 * @param i place of the link among the course’s
 */
export const isStood: IsGiven = (_, s, { seconds }, i) => {
  const at = i * LINK_SIZE;
  const goesOn = s.links[at + STOOD_LAST] === s.tick - 1;
  s.links[at + STOOD] = goesOn ? s.links[at + STOOD] + 1 : 1;
  s.links[at + STOOD_LAST] = s.tick;
  return s.links[at + STOOD] === seconds;
};
