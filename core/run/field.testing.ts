import type { PieceInHand } from '../edit';
import { layPieces } from '../edit';
import { emptyCourse, type Course } from '../course';

/** A slab of 2 by 2 m. */
export const slab = (at: PieceInHand['at'], change: Partial<PieceInHand> = {}): PieceInHand => ({
  family: 'slab',
  at,
  size: [2, 0.5, 2],
  ...change,
});
/** A free course on wide, flat ground. */
export const free = (...pieces: PieceInHand[]): Course =>
  layPieces(emptyCourse('Field', 'free'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [0, -1, 0], size: [60, 1, 60] },
    ...pieces,
  ]);
