import { happens } from './cue';

export const isBroken = happens((_, s, piece) => s.away[piece] === 1);
