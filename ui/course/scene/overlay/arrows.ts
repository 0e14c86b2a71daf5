import type { Course, Piece } from '@/core/course';
import { add, cosDeg, middle, rotate, scale, sinDeg, sub, type Vec3 } from '@/core/geometry';
import {
  fieldArrows,
  isForce,
  localGeometry,
  pieceBounds,
  placedField,
  toWorld,
  turnOf,
} from '@/core/pieces';

/** A direction of a piece, shown from one place to another, m. */
export interface DirectionArrow {
  readonly piece: string;
  readonly from: Vec3;
  readonly to: Vec3;
}

/** How long arrows are, m. */
const LONG = 1.6;

const byPiece = new WeakMap<Piece, readonly DirectionArrow[]>();

/** The directions of a course's pieces: which way they push, let through, and go. */
export const arrowsOf = ({ pieces }: Pick<Course, 'pieces'>): readonly DirectionArrow[] =>
  pieces.flatMap((piece) => {
    let known = byPiece.get(piece);
    if (!known) byPiece.set(piece, (known = ofPiece(piece)));
    return known;
  });

function ofPiece(piece: Piece): readonly DirectionArrow[] {
  const arrows: DirectionArrow[] = [];
  const centre = middle(pieceBounds(piece));
  const turn = turnOf(piece);
  const show = (from: Vec3, along: Vec3) =>
    arrows.push({ piece: piece.id, from, to: add(from, along) });
  const { shapes } = localGeometry(piece);
  const forced = shapes.find(({ field }) => isForce(field));
  if (forced?.field) {
    const field = placedField(forced.field, turn, toWorld(piece));
    for (const [from, to] of fieldArrows(field, centre, LONG)) show(from, sub(to, from));
  }
  if (piece.oneWay) {
    // The side that stops: what comes against the arrow is let through.
    const { side } = piece.oneWay;
    show(centre, scale(rotate(turn, [-sinDeg(side), cosDeg(side), 0]), LONG * 0.75));
  }
  for (const motion of piece.motion ?? []) {
    if (motion.kind !== 'path') continue;
    const place = toWorld(piece);
    const points: Vec3[] = [[0, 0, 0], ...(motion.points as Vec3[])];
    for (let i = 1; i < points.length && i < 6; i++) {
      const [a, b] = [place(points[i - 1]), place(points[i])];
      const lift: Vec3 = [0, centre[1] - piece.at[1], 0];
      const half = scale(add(b, scale(a, -1)), 0.5);
      show(add(add(a, half), scale(half, -0.3)), scale(half, 0.6));
      arrows[arrows.length - 1] = {
        piece: piece.id,
        from: add(arrows[arrows.length - 1].from, lift),
        to: add(arrows[arrows.length - 1].to, lift),
      };
    }
  }
  return arrows;
}
