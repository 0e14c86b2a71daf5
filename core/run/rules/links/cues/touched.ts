import { happens } from './cue';

export const isTouched = happens((_, s, piece) => s.touched[piece] >= 0);
