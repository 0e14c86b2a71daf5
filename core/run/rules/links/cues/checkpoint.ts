import { happens } from './cue';

export const isCheckpoint = happens((world, s, piece) => {
  const place = world.checkpointAt[piece];
  return place < 0 || s.passed[place] === 1;
});
