import type { IsGiven } from './cue';

/** Only what is left is told of: its telling is the cue. */
export const isLeft: IsGiven = () => true;
