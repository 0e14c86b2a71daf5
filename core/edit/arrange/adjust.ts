import type { Course, Piece } from '../../course';
import { add, cross, dot, normalize, rotate, sub, type Matrix3, type Vec3 } from '../../geometry';
import { aboutAxis } from '../../motion';
import { familyOf, pieceBounds, turnOf, worldParts } from '../../pieces';
import { cornersOf } from '../snap/corners';
import { turnedFurther } from '../pieces/images';
import { groundBelow, pickPiece } from '../lookup/pick';
import { changePieces, setTurn, roundToStored } from '../pieces/place';
import type { Axis } from '../pieces/properties';

const set = (piece: Piece, [x, y, z]: Vec3): void => {
  piece.at = [roundToStored(x), roundToStored(y), roundToStored(z)];
};
const without = (course: Course, choice: ReadonlySet<string>): Course => ({
  ...course,
  pieces: course.pieces.filter(({ id }) => !choice.has(id)),
});

/**
 * Stretches the chosen pieces along an axis of their own by metres: the side pulled moves, the other
 * stays; from both sides, the middle stays. What has no size of its own is left alone.
 * @param course the course as it is; it stays so
 * @param choice ids of the pieces it is done to
 * @param axis 0, 1 or 2: x, y or z of the world
 * @param by outwards, m
 * @param side which side is pulled: 1 towards the axis, -1 against it
 * @param both whether the other side goes as far the other way
 */
export function stretchPieces(
  course: Course,
  choice: ReadonlySet<string>,
  axis: Axis,
  by: number,
  side: 1 | -1 = 1,
  both = false,
): Course {
  if (!Number.isFinite(by)) throw new RangeError('That is not a number.');
  return changePieces(course, choice, (piece) => {
    const family = familyOf(piece.family);
    if (!family.sizable) return;
    const size = [...(piece.size ?? family.size)] as [number, number, number];
    const whole = both ? 2 * by : by;
    const next = Math.min(200, Math.max(0.05, roundToStored(size[axis] + whole)));
    const grown = next - size[axis];
    size[axis] = next;
    if (size.every((v, i) => v === family.size[i])) delete piece.size;
    else piece.size = size;
    // A piece stands on its foot's middle: upwards it grows from its foot, along and across from there.
    const foot = axis === 1;
    const shift = both
      ? foot
        ? -grown / 2
        : 0
      : foot
        ? side > 0
          ? 0
          : -grown
        : (side * grown) / 2;
    const along: [number, number, number] = [0, 0, 0];
    along[axis] = shift;
    set(piece, add(piece.at, rotate(turnOf(piece), along)));
  });
}

/** Sets the chosen pieces down on what lies below each of them; over open water they stay. */
export function dropPieces(course: Course, choice: ReadonlySet<string>): Course {
  const rest = without(course, choice);
  return changePieces(course, choice, (piece) => {
    const { low } = pieceBounds(piece as Piece);
    const ground = groundBelow(rest, [piece.at[0], low[1] - HEADROOM_BELOW, piece.at[2]]);
    if (ground !== null) piece.at[1] = roundToStored(piece.at[1] + ground - low[1]);
  });
}
/** Ground is looked for from a little above the foot, not from above the piece's top. */
const HEADROOM_BELOW = 3.5;

/**
 * Lays the chosen pieces along the slope below each: their upright becomes the slope's, their heading
 * stays as near as it can.
 */
export function lieAlong(course: Course, choice: ReadonlySet<string>): Course {
  const rest = without(course, choice);
  return changePieces(course, choice, (piece) => {
    const slope = slopeBelow(rest, piece.at);
    if (!slope) return;
    const up = rotate(turnOf(piece as Piece), [0, 1, 0]);
    const axis = cross(up, slope.normal);
    const sine = Math.sqrt(dot(axis, axis));
    if (sine > 1e-9) {
      const angle = (Math.atan2(sine, dot(up, slope.normal)) * 180) / Math.PI;
      const by: Matrix3 = aboutAxis(normalize(axis), angle);
      setTurn(piece, turnedFurther(piece.turn, by));
    }
    piece.at[1] = roundToStored(slope.height);
  });
}

/** Height and normal of what lies at or below a place. */
function slopeBelow(course: Course, [x, y, z]: Vec3): { height: number; normal: Vec3 } | null {
  const from: Vec3 = [x, y + 2, z];
  const hit = pickPiece(course, { from, along: [0, -1, 0] });
  if (!hit) return null;
  const piece = course.pieces.find(({ id }) => id === hit.id)!;
  const height = from[1] - hit.t;
  let best: { off: number; normal: Vec3 } | null = null;
  for (const { solid } of worldParts(piece)) {
    for (const face of solid.faces) {
      const [a, b, c] = face.map((i) => solid.points[i]);
      const normal = normalize(cross(sub(b, a), sub(c, a)));
      if (normal[1] < 0.1) continue;
      const off = Math.abs(dot(normal, sub([x, height, z], a)));
      if (!best || off < best.off - 1e-9) best = { off, normal };
    }
  }
  return best && { height, normal: best.normal };
}

/** Sinks the chosen pieces into what they stand on, or raises them out of it, by metres. */
export const sinkPieces = (course: Course, choice: ReadonlySet<string>, by: number): Course =>
  changePieces(course, choice, (piece) => {
    piece.at[1] = roundToStored(piece.at[1] - by);
  });

/**
 * Moves the chosen pieces so that a corner of theirs lies exactly on a corner of another.
 * @param course the course as it is; it stays so
 * @param choice ids of the pieces it is done to
 * @param own a corner of the choice, in the world, m
 * @param onto where it comes to, m
 */
export function cornerOnto(
  course: Course,
  choice: ReadonlySet<string>,
  own: Vec3,
  onto: Vec3,
): Course {
  const by = sub(onto, own);
  return changePieces(course, choice, (piece) => {
    set(piece, add(piece.at, by));
  });
}

/** The corner of the chosen pieces nearest to a place. */
export function ownCorner(course: Course, choice: ReadonlySet<string>, p: Vec3): Vec3 | null {
  let best: Vec3 | null = null;
  let least = Infinity;
  for (const piece of course.pieces) {
    if (!choice.has(piece.id)) continue;
    for (const corner of cornersOf(piece)) {
      const d = sub(corner, p);
      if (dot(d, d) < least) {
        least = dot(d, d);
        best = corner;
      }
    }
  }
  return best;
}

/** Puts the first of the chosen pieces at the origin, the others with it. */
export function toOrigin(course: Course, choice: ReadonlySet<string>): Course {
  const first = course.pieces.find(({ id }) => choice.has(id));
  if (!first) return course;
  const [x, y, z] = first.at;
  return changePieces(course, choice, (piece) => {
    set(piece, sub(piece.at, [x, y, z]));
  });
}

/** Takes every turn away from the chosen pieces. */
export const resetTurn = (course: Course, choice: ReadonlySet<string>): Course =>
  changePieces(course, choice, (piece) => {
    setTurn(piece, [0, 0, 0]);
  });

/** Exchanges left and right of the chosen pieces. */
export const flipPieces = (course: Course, choice: ReadonlySet<string>): Course =>
  changePieces(course, choice, (piece) => {
    if (piece.flip) delete piece.flip;
    else piece.flip = true;
  });

/**
 * Turns the chosen pieces together, by degrees about an axis through a place; with `own`, each about
 * its own axis through its own foot.
 * @param course the course as it is; it stays so
 * @param choice ids of the pieces it is done to
 * @param axis 0, 1 or 2: x, y or z of the world
 * @param angle degrees, by the right hand
 * @param pivot what it is turned about, in the world, m
 * @param own whether the axis is each piece’s own
 */
export function spinPieces(
  course: Course,
  choice: ReadonlySet<string>,
  axis: Axis,
  angle: number,
  pivot: Vec3,
  own = false,
): Course {
  const unit: [number, number, number] = [0, 0, 0];
  unit[axis] = 1;
  return changePieces(course, choice, (piece) => {
    const turn = turnOf(piece as Piece);
    const by = aboutAxis(own ? rotate(turn, unit) : unit, angle);
    if (axis === 1 && !own && !piece.turn?.[0] && !piece.turn?.[2]) {
      // About the upright the heading alone changes, with nothing lost to rounding.
      setTurn(piece, [0, roundToStored(((((piece.turn?.[1] ?? 0) + angle) % 360) + 360) % 360), 0]);
    } else setTurn(piece, turnedFurther(piece.turn, by));
    if (!own) set(piece, add(pivot, rotate(by, sub(piece.at, pivot))));
  });
}

/** Sides of a block whose top edge can be pulled: towards x, z, and away from them. */
export type BlockSide = '+x' | '+z' | '-x' | '-z';

/** The corners of a cut block that belong to each side's edge. */
const EDGES: Record<BlockSide, readonly [string, string]> = {
  '+x': ['b', 'c'],
  '+z': ['c', 'd'],
  '-x': ['a', 'd'],
  '-z': ['a', 'b'],
};

export const BLOCK_SIDES = Object.keys(EDGES) as readonly BlockSide[];

/** The middle of a block's top edge in the world, or null for a piece that has no edges to pull. */
export function topEdge(piece: Piece, side: BlockSide): Vec3 | null {
  const family = familyOf(piece.family);
  if (!family.box) return null;
  const [wide, tall, deep] = piece.size ?? family.size;
  const raised = EDGES[side].map((corner) => Number(piece.params?.[corner] ?? 0));
  const sign = side[0] === '+' ? 1 : -1;
  return add(
    piece.at as Vec3,
    rotate(turnOf(piece), [
      side[1] === 'x' ? (sign * wide) / 2 : 0,
      tall + (raised[0] + raised[1]) / 2,
      side[1] === 'z' ? (sign * deep) / 2 : 0,
    ]),
  );
}

/**
 * Pulls one top edge of the chosen blocks up or down by metres, which makes ramps of them; what is a box
 * becomes a cut block first. An edge pulled down to the foot stays there.
 * @param course the course as it is; it stays so
 * @param choice ids of the pieces it is done to
 * @param side of the block, in its own frame
 * @param by upwards, m
 * @throws RangeError when nothing chosen is a box
 */
export function pullEdge(
  course: Course,
  choice: ReadonlySet<string>,
  side: BlockSide,
  by: number,
): Course {
  const boxes = new Set(
    course.pieces
      .filter(({ id, family }) => choice.has(id) && familyOf(family).box)
      .map(({ id }) => id),
  );
  if (boxes.size === 0) throw new RangeError('Only blocks and slabs have edges to pull.');
  return changePieces(course, boxes, (piece) => {
    const size = piece.size ?? familyOf(piece.family).size;
    if (piece.family !== 'ashlar') {
      piece.family = 'ashlar';
      piece.size = [size[0], size[1], size[2]];
      delete piece.params;
    }
    const params = { ...piece.params };
    for (const corner of EDGES[side]) {
      const next = roundToStored(
        Math.max(-size[1], Math.min(50, Number(params[corner] ?? 0) + by)),
      );
      if (next === 0) delete params[corner];
      else params[corner] = next;
    }
    if (Object.keys(params).length > 0) piece.params = params;
    else delete piece.params;
  });
}
