import { isAllGathered } from './allGathered';
import { isBeat } from './beat';
import { isBroken } from './broken';
import { isCheckpoint } from './checkpoint';
import { isFallen } from './fallen';
import { isGathered } from './gathered';
import { isLeft } from './left';
import { isRound } from './round';
import { isStart } from './start';
import { isStood } from './stood';
import { isTimeLeft } from './timeLeft';
import { isTimer } from './timer';
import { isTouched } from './touched';
import { isWorth } from './worth';
import type { CueKind } from '../../../../course';
import type { IsGiven } from './cue';

export { ACTED, DUE, LAST, type IsGiven } from './cue';

/** Whether each kind of cue is given. */
export const IS_GIVEN: Readonly<Record<CueKind, IsGiven>> = {
  touched: isTouched,
  left: isLeft,
  stood: isStood,
  gathered: isGathered,
  broken: isBroken,
  'all-gathered': isAllGathered,
  start: isStart,
  checkpoint: isCheckpoint,
  beat: isBeat,
  timer: isTimer,
  worth: isWorth,
  fallen: isFallen,
  round: isRound,
  'time-left': isTimeLeft,
};
