import { ticksOf } from './time';
import { beatSeconds, USUAL_COPIES, type Course, type Piece, type Thrower } from '../../course';
import { familyOf, specOf } from '../../pieces';
import type { Hurt } from './collider';
import type { Capsule } from './capsule';

/** A piece that sends out copies of another. */
export interface ProjectileEmitter {
  /** Place in World.emitters. */
  readonly index: number;
  /** Place in World.pieces, and of its first copy among all of them. */
  readonly piece: number;
  readonly first: number;
  readonly most: number;
  readonly told: Thrower;
  readonly body: Capsule;
  /** Ticks between two, into the first of them when it begins, and that a copy lasts. */
  readonly interval: number;
  readonly phase: number;
  /** Most ticks by which a throw may come late. */
  readonly late: number;
  readonly life: number;
  /** Heading and rise in degrees of the piece's own. */
  readonly heading: number;
  /** The mover whose clock it keeps, or -1, and what carries the place it throws from. */
  readonly clock: number;
  readonly hurt: Hurt;
  /** Upwards from the piece's foot and ahead of it, m. */
  readonly up: number;
  readonly ahead: number;
}

/**
 * The emitters of a course's pieces, and how many copies there may be at once.
 * @param course the course as it is; it stays so
 * @param pieces all pieces
 * @param clocks for each piece the mover whose clock it keeps, or -1
 * @param body place of the size that the copies' bodies are kept for
 */
export function compileEmitters(
  course: Course,
  pieces: readonly Piece[],
  clocks: Int32Array,
  body: number,
): { readonly emitters: ProjectileEmitter[]; readonly maxProjectiles: number } {
  const emitters: ProjectileEmitter[] = [];
  let first = 0;
  pieces.forEach((piece, index) => {
    if (!piece.thrower) return;
    const [w, h] = specOf(familyOf(piece.family), piece).size;
    const extents = { up: h * 0.75, ahead: w / 2 + piece.thrower.size / 2 };
    const places = { piece: index, index: emitters.length, first, clock: clocks[index], body };
    emitters.push(emitterOf(course, piece, places, extents));
    first += piece.thrower.most ?? USUAL_COPIES;
  });
  return { emitters, maxProjectiles: first };
}

/**
 * A thrower as its piece tells it.
 * @param places those that ProjectileEmitter names, and that of the size its copies' bodies are kept for
 */
function emitterOf(
  course: Course,
  piece: Piece,
  places: {
    readonly piece: number;
    readonly index: number;
    readonly first: number;
    readonly clock: number;
    readonly body: number;
  },
  extents: { readonly up: number; readonly ahead: number },
): ProjectileEmitter {
  const told = piece.thrower!;
  const seconds = told.beats ? beatSeconds(course.tempo, told.interval) : told.interval;
  const interval = Math.max(12, ticksOf(seconds));
  return {
    piece: places.piece,
    index: places.index,
    first: places.first,
    most: told.most ?? USUAL_COPIES,
    told,
    body: { index: places.body, radius: told.size / 2, half: 0 },
    interval,
    phase: Math.round(interval * (told.phase ?? 0)),
    late: Math.floor((interval - 1) * (told.late ?? 0)),
    life: Math.max(1, ticksOf(told.life)),
    heading: piece.turn?.[1] ?? 0,
    clock: places.clock,
    hurt: { does: told.does ?? 'back', force: 8 },
    ...extents,
  };
}
