import type { IsGiven } from './cue';

export const isStart: IsGiven = (_, s) => s.tick === 1;
