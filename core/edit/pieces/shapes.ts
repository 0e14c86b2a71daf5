import type { Course, DrawnShape, Piece, ShapePart } from '../../course';
import { boundsOf, convexHull, convexParts, signedArea, type Vec2 } from '../../geometry';
import { familyOf, localGeometry, profileOf, specOf } from '../../pieces';
import { changePieces, roundToStored } from './place';

// Edits of a drawn collision shape. They are made on the profile of a piece: x along it, y up.

type Outline = Extract<ShapePart, { kind: 'outline' }>;

/** The extents a shape of a piece is drawn for. */
export const sizeOf = (piece: Piece): [number, number, number] => {
  const [w, h, d] = specOf(familyOf(piece.family), piece).size;
  return [w, h, d];
};

const point = ([x, y]: Vec2): [number, number] => [roundToStored(x), roundToStored(y)];

/** A shape begun from what is drawn of the piece: its hull, or one part for each of its solids. */
export function shapeFromPicture(piece: Piece, how: 'hull' | 'parts'): DrawnShape {
  const { parts } = localGeometry(piece);
  const flat = parts.map(({ solid }) => convexHull(solid.points.map(([x, y]): Vec2 => [x, y])));
  const { low, high } = boundsOf(parts.flatMap(({ solid }) => solid.points));
  const depth = Math.max(0.05, high[2] - low[2]);
  const across = roundToStored((high[2] + low[2]) / 2);
  const outlines = (how === 'hull' ? [convexHull(flat.flat())] : flat)
    .filter((ring) => ring.length > 2 && Math.abs(signedArea(ring)) > 1e-4)
    .slice(0, 40);
  return {
    size: sizeOf(piece),
    parts: outlines.map((ring): ShapePart => ({
      kind: 'outline',
      points: simplified(ring).map(point),
      depth: roundToStored(depth),
      ...(across === 0 ? {} : { across }),
    })),
  };
}

/** Most points a part has when it is begun from the picture. */
const MOST_POINTS = 12;

/** A convex ring with its least telling points left out. */
function simplified(ring: readonly Vec2[]): Vec2[] {
  const points = [...ring];
  while (points.length > MOST_POINTS) {
    let least = 0;
    let area = Infinity;
    points.forEach((b, i) => {
      const [a, c] = [
        points[(i + points.length - 1) % points.length],
        points[(i + 1) % points.length],
      ];
      const lost = Math.abs(signedArea([a, b, c]));
      if (lost < area) [least, area] = [i, lost];
    });
    points.splice(least, 1);
  }
  return points;
}

/** The box about what is drawn of a piece. */
const pictured = (piece: Piece) =>
  boundsOf(localGeometry(piece).parts.flatMap(({ solid }) => solid.points));

/** A ball, box or capsule about what is drawn of the piece. */
export function fittedPart(piece: Piece, kind: 'ball' | 'box' | 'capsule'): ShapePart {
  const { low, high } = pictured(piece);
  const size = [0, 1, 2].map((axis) => Math.max(0.05, high[axis] - low[axis]));
  const middle = [0, 1, 2].map((axis) => roundToStored((high[axis] + low[axis]) / 2)) as [
    number,
    number,
    number,
  ];
  if (kind === 'ball') return { kind, at: middle, radius: roundToStored(Math.max(...size) / 2) };
  if (kind === 'box')
    return { kind, at: middle, size: size.map(roundToStored) as [number, number, number] };
  const upright = size[1] >= size[0];
  const radius = roundToStored(Math.min(size[0], size[1]) / 2);
  const reach = Math.max(size[0], size[1]) / 2 - radius;
  const end = (side: number): [number, number] =>
    upright
      ? [middle[0], roundToStored(middle[1] + side * reach)]
      : [roundToStored(middle[0] + side * reach), middle[1]];
  return { kind, from: end(-1), to: end(1), radius, depth: roundToStored(size[2]) };
}

/** The profile's box about a part, turned boxes as if they were not; with its middle across. */
function boxOf(part: ShapePart): { low: Vec2; high: Vec2; across: number } {
  if (part.kind === 'box' || part.kind === 'ball') {
    const [x, y, across] = part.at;
    const [w, h] = part.kind === 'box' ? part.size : [2 * part.radius, 2 * part.radius];
    return { low: [x - w / 2, y - h / 2], high: [x + w / 2, y + h / 2], across };
  }
  const [points, round] =
    part.kind === 'capsule' ? [[part.from, part.to], part.radius] : [part.points, 0];
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return {
    low: [Math.min(...xs) - round, Math.min(...ys) - round],
    high: [Math.max(...xs) + round, Math.max(...ys) + round],
    across: part.across ?? 0,
  };
}

/** A part moved so that its middle is that of what is drawn of the piece. */
export function centredPart(piece: Piece, part: ShapePart): ShapePart {
  const picture = pictured(piece);
  const own = boxOf(part);
  const by = (axis: 0 | 1) =>
    (picture.low[axis] + picture.high[axis] - own.low[axis] - own.high[axis]) / 2;
  const moved = ([x, y]: readonly [number, number]) => point([x + by(0), y + by(1)]);
  const across = roundToStored((picture.low[2] + picture.high[2]) / 2);
  if (part.kind === 'box' || part.kind === 'ball') {
    const [x, y] = moved([part.at[0], part.at[1]]);
    return { ...part, at: [x, y, across] };
  }
  const { across: _, ...rest } = part;
  const laid = across === 0 ? rest : { ...rest, across };
  return laid.kind === 'capsule'
    ? { ...laid, from: moved(laid.from), to: moved(laid.to) }
    : { ...laid, points: laid.points.map(moved) };
}

/** A part made as large as what is drawn of the piece, and put about it; an outline keeps its form. */
export function refittedPart(piece: Piece, part: ShapePart): ShapePart {
  const allowance = part.allowance ? { allowance: part.allowance } : {};
  if (part.kind !== 'outline') return { ...fittedPart(piece, part.kind), ...allowance };
  const picture = pictured(piece);
  const own = boxOf(part);
  const fit = (v: number, axis: 0 | 1) => {
    const extent = own.high[axis] - own.low[axis];
    const u = extent > 0 ? (v - own.low[axis]) / extent : 0.5;
    return picture.low[axis] + u * (picture.high[axis] - picture.low[axis]);
  };
  return {
    ...(centredPart(piece, part) as Outline),
    points: part.points.map(([x, y]) => point([fit(x, 0), fit(y, 1)])),
    depth: roundToStored(Math.max(0.05, picture.high[2] - picture.low[2])),
  };
}

/** The first corner of an outline that is a dent, or -1 when it is convex. */
export function dentOf(points: readonly Vec2[]): number {
  const side = Math.sign(signedArea(points)) || 1;
  return points.findIndex((b, i) => {
    const a = points[(i + points.length - 1) % points.length];
    const c = points[(i + 1) % points.length];
    return side * ((b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0])) < -1e-9;
  });
}

/** An outline with dents as convex ones that fill the same area. */
export function splitOutline(part: Outline): Outline[] {
  const ring = part.points.map(([x, y]): Vec2 => [x, y]);
  const { points, parts } = convexParts(signedArea(ring) < 0 ? [...ring].reverse() : ring, []);
  return parts.map((corners) => ({ ...part, points: corners.map((i) => point(points[i])) }));
}

/** A shape with one of its parts in place of what it was; with no part given, without it. */
export const withPart = (shape: DrawnShape, index: number, part: ShapePart | null): DrawnShape => ({
  ...shape,
  parts: part
    ? shape.parts.map((old, i) => (i === index ? part : old))
    : shape.parts.filter((_, i) => i !== index),
});

/** Moves a point of an outline, or the middle or end of another part, on the profile. */
export function movePartPoint(part: ShapePart, index: number, to: Vec2): ShapePart {
  const [x, y] = point(to);
  if (part.kind === 'outline') {
    return { ...part, points: part.points.map((old, i) => (i === index ? [x, y] : old)) };
  }
  if (part.kind === 'capsule') return { ...part, [index === 0 ? 'from' : 'to']: [x, y] };
  return { ...part, at: [x, y, part.at[2]] };
}

/** An outline with one more point, half way along an edge. */
export const splitShapeEdge = (part: Outline, edge: number): Outline => {
  const [a, b] = [part.points[edge], part.points[(edge + 1) % part.points.length]];
  const between = point([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]);
  return {
    ...part,
    points: [...part.points.slice(0, edge + 1), between, ...part.points.slice(edge + 1)],
  };
};

/**
 * Gives a shape to one piece or to its whole family in this course; nothing gives back the family's own.
 * @param course the course as it is; it stays so
 * @param piece a piece of the family
 * @param of whether it is this piece’s alone
 * @param shape in the piece’s own frame, or undefined for the family’s
 * @throws RangeError in words when a part has a dent or no area
 */
export function setShape(
  course: Course,
  piece: Piece,
  of: 'piece' | 'family',
  shape: DrawnShape | undefined,
): Course {
  shape?.parts.forEach((part, i) => {
    if (part.kind !== 'outline') return;
    if (Math.abs(signedArea(part.points)) < 1e-4) {
      throw new RangeError(`Part ${i + 1} has no area.`);
    }
    if (dentOf(part.points) >= 0) {
      throw new RangeError(
        `Part ${i + 1} has a dent. Split it into parts, or move the corner out.`,
      );
    }
  });
  if (of === 'piece') {
    return changePieces(course, new Set([piece.id]), (draft) => {
      if (shape) draft.shape = structuredClone(shape);
      else delete draft.shape;
    });
  }
  const { [piece.family]: _, ...others } = course.shapes ?? {};
  const shapes = shape ? { ...others, [piece.family]: shape } : others;
  const { shapes: __, ...rest } = course;
  return (Object.keys(shapes).length > 0 ? { ...rest, shapes } : rest) as Course;
}

/** The shape of a piece as it is, to begin drawing from. */
export const shapeOf = (course: Course, piece: Piece): DrawnShape =>
  piece.shape ?? course.shapes?.[piece.family] ?? shapeFromShapes(course, piece);

/** What the family itself has touch, as outlines. */
function shapeFromShapes(course: Course, piece: Piece): DrawnShape {
  const own = { ...piece, allowance: undefined };
  const { shapes } = profileOf({ collides: course.collides }, own);
  const rings = shapes.filter((ring) => ring.length > 2 && Math.abs(signedArea(ring)) > 1e-4);
  if (rings.length === 0) return shapeFromPicture(piece, 'hull');
  const depth = roundToStored(Math.max(0.05, sizeOf(piece)[2]));
  return {
    size: sizeOf(piece),
    parts: rings.slice(0, 40).map((ring): ShapePart => ({
      kind: 'outline',
      points: simplified(ring).map(point),
      depth,
    })),
  };
}
