import type { Course, Piece } from '../../course';
import { cosDeg, multiply, sinDeg, turnMatrix, type Matrix3, type Vec3 } from '../../geometry';
import { flipped, localGeometry, type PieceGeometry } from '../../pieces';
import type { PieceInHand } from './lay';
import { isLopsided, mirroredBehaviour } from './mirrored';
import { setTurn, roundToStored, wrapTurn } from './place';

/** An upright plane to mirror over: square to x or z, through a value of it. */
export interface MirrorPlane {
  readonly axis: 'x' | 'z';
  readonly at: number;
}

const DEGREES = 180 / Math.PI;

/** The turn about x, y and z in degrees of a rotation; see turnMatrix for their order. */
export function turnOfMatrix(m: Matrix3): Vec3 {
  const level = Math.hypot(m[3], m[4]);
  const tilt = wrapTurn(Math.atan2(-m[5], level) * DEGREES);
  // Straight up or down the heading and the roll are one; all of it is taken as heading.
  if (level < 1e-9) return [tilt, wrapTurn(Math.atan2(-m[6], m[0]) * DEGREES), 0];
  return [
    tilt,
    wrapTurn(Math.atan2(m[2], m[8]) * DEGREES),
    wrapTurn(Math.atan2(m[3], m[4]) * DEGREES),
  ];
}

const sideless = new WeakMap<PieceGeometry, boolean>();

/** Whether a form is the same when left and right are exchanged, so that flipping it says nothing. */
export function isSideless(form: PieceGeometry): boolean {
  let known = sideless.get(form);
  if (known === undefined) {
    const marks = ({ parts, sockets }: PieceGeometry) =>
      [...parts.flatMap(({ solid }) => solid.points), ...sockets.map(({ at }) => at)].map((p) =>
        p.map((v) => Math.round(v * 1e4) + 0).join(','),
      );
    const [own, other] = [new Set(marks(form)), marks(flipped(form))];
    known = form.motion === undefined && other.every((mark) => own.has(mark));
    sideless.set(form, known);
  }
  return known;
}

/**
 * The piece seen in a mirror, and what it does with it.
 * @param shapes the course's collision shapes by family
 */
export function mirrorPiece<T extends PieceInHand>(
  piece: T,
  { axis, at }: MirrorPlane,
  shapes?: Course['shapes'],
): T {
  const over = (v: number) => roundToStored(2 * at - v);
  const [x, y, z] = piece.at;
  const m = turnMatrix(piece.turn ?? [0, 0, 0]);
  // Mirrored in the world and, to stay a rotation, across the piece's own length.
  const turn: Matrix3 =
    axis === 'x'
      ? [-m[0], -m[1], m[2], m[3], m[4], -m[5], m[6], m[7], -m[8]]
      : [m[0], m[1], -m[2], m[3], m[4], -m[5], -m[6], -m[7], m[8]];
  const image: T = {
    ...mirroredBehaviour(piece),
    at: axis === 'x' ? [over(x), y, z] : [x, y, over(z)],
  };
  setTurn(image as unknown as Piece, turnOfMatrix(turn));
  const drawn = piece.shape ?? shapes?.[piece.family];
  if (!isSideless(localGeometry(piece)) || isLopsided(drawn)) {
    if (piece.flip) delete image.flip;
    else image.flip = true;
  }
  return image;
}

/** The piece turned by degrees about an upright through a place of the map (x, z). */
export function turnAbout<T extends PieceInHand>(
  piece: T,
  [px, pz]: readonly [number, number],
  degrees: number,
): T {
  const [c, s] = [cosDeg(degrees), sinDeg(degrees)];
  const [x, z] = [piece.at[0] - px, piece.at[2] - pz];
  const image: T = {
    ...piece,
    at: [roundToStored(px + c * x + s * z), piece.at[1], roundToStored(pz + c * z - s * x)],
  };
  const [tx, ty, tz] = piece.turn ?? [0, 0, 0];
  setTurn(image as unknown as Piece, [tx, wrapTurn(ty + degrees), tz]);
  return image;
}

/** A direction of the world turned by degrees about an upright. */
export function turnedVector([x, y, z]: Vec3, degrees: number): [number, number, number] {
  const [c, s] = [cosDeg(degrees), sinDeg(degrees)];
  return [roundToStored(c * x + s * z), y, roundToStored(c * z - s * x)];
}

/** The rotation of a piece after another rotation. */
export const turnedFurther = (turn: Piece['turn'], by: Matrix3): Vec3 =>
  turnOfMatrix(multiply(by, turnMatrix(turn ?? [0, 0, 0])));
