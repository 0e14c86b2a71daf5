import { counts } from './cue';

export const isFallen = counts((s) => s.falls);
