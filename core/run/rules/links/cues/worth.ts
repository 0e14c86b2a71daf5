import { counts } from './cue';

export const isWorth = counts((s) => s.worth);
