import type { Piece } from '@/core/course';
import { pieceBounds, specOf, familyOf, type Ambient } from '@/core/pieces';
import type { Vec3 } from '@/core/geometry';

/** A sound that stands somewhere in a course, as far as hearing it needs to know. */
export interface SoundPlace {
  readonly id: string;
  readonly what: Ambient;
  /** How loud it is at a place, 0 to 2. */
  readonly at: (listener: Vec3) => number;
}

/** The sounds placed in a course. */
export const soundPlaces = (pieces: readonly Piece[]): SoundPlace[] =>
  pieces.filter(({ family, hidden }) => family === 'sound' && !hidden).map(soundPlace);

/** Full within the piece; beyond it, less the farther off, until it is not heard. */
function soundPlace(piece: Piece): SoundPlace {
  const spec = specOf(familyOf(piece.family), piece);
  const { low, high } = pieceBounds(piece);
  const [fades, loud] = [spec.number('fades'), spec.number('loud')];
  return {
    id: piece.id,
    what: spec.choice('what') as Ambient,
    at: (listener) => {
      const away = Math.hypot(
        ...listener.map((v, axis) => Math.max(0, low[axis] - v, v - high[axis])),
      );
      if (away === 0) return loud;
      return away >= fades ? 0 : loud * (1 - away / fades) ** 2;
    },
  };
}
