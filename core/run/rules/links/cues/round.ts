import { counts } from './cue';

export const isRound = counts((s) => s.lap);
