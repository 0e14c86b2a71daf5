import type { IsGiven } from './cue';

export const isTimer: IsGiven = (_, s, { seconds }) => s.tick % seconds === 0;
