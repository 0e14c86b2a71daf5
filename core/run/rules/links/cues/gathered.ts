import { counts } from './cue';

export const isGathered = counts((s) => s.gatheredCount);
