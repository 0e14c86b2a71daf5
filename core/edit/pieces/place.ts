import { create } from 'mutative';
import { BOUNDS, type Course, type Piece } from '../../course';
import type { Vec3 } from '../../geometry';
import { chosenPlaces } from './chosen';

const clampToBounds = (v: number): number => Math.min(BOUNDS, Math.max(-BOUNDS, v));

/**
 * Metres and degrees are kept to a ten-millionth: sums of steps stay round numbers, and ends that
 * were joined stay joined when they are moved.
 */
export const roundToStored = (v: number): number => Math.round(v * 1e7) / 1e7 + 0;

/** Puts another in the place of every chosen piece; the others stay the same objects. */
function replacePieces(
  course: Course,
  choice: ReadonlySet<string>,
  another: (piece: Piece) => Piece,
): Course {
  const pieces = [...course.pieces];
  let changed = false;
  for (const i of chosenPlaces(course, choice)) {
    const next = another(pieces[i]);
    changed ||= next !== pieces[i];
    pieces[i] = next;
  }
  return changed ? { ...course, pieces } : course;
}

/**
 * Changes every chosen piece; the others stay the same objects.
 * @param change changes the piece it is given in place, and returns nothing
 */
export const changePieces = (
  course: Course,
  choice: ReadonlySet<string>,
  change: (piece: Piece) => undefined,
): Course => replacePieces(course, choice, (piece) => create(piece, change));

/** Moves the chosen pieces by metres along x, y and z, never past the bounds. */
export function movePieces(course: Course, choice: ReadonlySet<string>, by: Vec3): Course {
  const along = (piece: Piece, axis: number) =>
    roundToStored(clampToBounds(piece.at[axis] + by[axis]));
  return replacePieces(course, choice, (piece) => ({
    ...piece,
    at: [along(piece, 0), along(piece, 1), along(piece, 2)],
  }));
}

/** Turns each chosen piece by degrees about the upright through its own foot. */
export const turnPieces = (course: Course, choice: ReadonlySet<string>, degrees: number): Course =>
  changePieces(course, choice, (piece) => {
    const [x, y, z] = piece.turn ?? [0, 0, 0];
    setTurn(piece, [x, wrapTurn(y + degrees), z]);
  });

/** The same angle between 0 and 360 degrees. */
export const wrapTurn = (degrees: number): number => roundToStored(((degrees % 360) + 360) % 360);

/** Gives a piece a turn, leaving it out when it is none. */
export function setTurn(piece: Piece, turn: Vec3): void {
  if (turn.every((v) => v === 0)) delete piece.turn;
  else piece.turn = [turn[0], turn[1], turn[2]];
}
