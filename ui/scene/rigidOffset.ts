import type { Piece } from '@/core/course';
import { sub, type Vec3 } from '@/core/geometry';

/** Pieces as something was made of them, and how far all of them have been carried since, m. */
export interface Carried {
  readonly pieces: readonly Piece[];
  readonly by: Vec3;
}

const NOWHERE: Vec3 = [0, 0, 0];

/** How far all pieces have been moved without being changed otherwise; nothing when they were. */
export function carriedBy(from: readonly Piece[], to: readonly Piece[]): Vec3 | null {
  if (from.length !== to.length || from.length === 0) return null;
  const by = sub(to[0].at, from[0].at);
  for (let i = 0; i < from.length; i++) {
    const [a, b] = [from[i], to[i]];
    for (let axis = 0; axis < 3; axis++) {
      if (Math.abs(b.at[axis] - a.at[axis] - by[axis]) > 1e-9) return null;
    }
    if (a !== b && !alikeButForPlace(a, b)) return null;
  }
  return by;
}

function alikeButForPlace(a: Piece, b: Piece): boolean {
  const names = Object.keys(a) as (keyof Piece)[];
  return (
    names.length === Object.keys(b).length &&
    names.every((name) => name === 'at' || a[name] === b[name])
  );
}

/**
 * Tells again and again of pieces how they first were and how far they have been carried: what was made of
 * them then can be moved along. Once they are changed otherwise it begins anew with how they are.
 */
export function rigidOffset(): (pieces: readonly Piece[]) => Carried {
  let first: readonly Piece[] = [];
  return (pieces) => {
    const by = carriedBy(first, pieces);
    if (by) return { pieces: first, by };
    first = pieces;
    return { pieces, by: NOWHERE };
  };
}
