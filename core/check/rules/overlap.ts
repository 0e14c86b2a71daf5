import { piecesOver } from '../../edit';
import type { Course, Piece } from '../../course';
import {
  type Bounds,
  type Overlap,
  type Polyhedron,
  boundsOf,
  boxesMeet,
  overlapOf,
} from '../../geometry';
import { contactShapes, familyOf, markOf, pieceBounds, toWorld } from '../../pieces';
import { MOST_PAIRS, sparseOf } from '../crowd';
import { type Check, type CheckRule, type Finding, MOST_TOLD, pieceFinding } from '../finding';

/** Deeper than this one is in the other, m: less is how things are stood on each other and side by side. */
const DEEP = 0.25;

/** The same of track, whose beds what rolls runs over, m. */
const DEEP_IN_TRACK = 0.05;

/** What stands on something is sunk into it up to this on purpose, m. */
const SUNK = 0.35;

/** How much a way out goes up or down for it to be one of sinking. */
const UPRIGHT = 0.7;

type Body = Polyhedron & Bounds;

/** Solid pieces that reach into each other, by how much, and the shortest way out. */
const overlaps: Check<'overlap'> = (course) => {
  const { pieces } = sparseOf(course);
  const bodies = new Map<Piece, Body[]>();
  const bodiesOf = (piece: Piece): Body[] => {
    let known = bodies.get(piece);
    if (!known) bodies.set(piece, (known = makeBodies(course, piece)));
    return known;
  };
  const found: { depth: number; finding: Finding<'overlap'> }[] = [];
  let pairs = 0;
  for (const piece of pieces) {
    if (pairs > MOST_PAIRS) break;
    const { low, high } = pieceBounds(piece);
    const over = piecesOver(pieces, low[0], low[2], high[0], high[2]);
    pairs += over.length;
    for (const other of over) {
      if (other.id <= piece.id || together(piece, other)) continue;
      const deep = isTrack(piece) && isTrack(other) ? DEEP_IN_TRACK : DEEP;
      // Whose boxes are no deeper in each other, the pieces are not either.
      if (!boxesMeet({ low, high }, pieceBounds(other), -deep)) continue;
      const deepest = deepestOf(bodiesOf(piece), bodiesOf(other), deep);
      if (!deepest || isSunk(deepest)) continue;
      found.push({ depth: deepest.depth, finding: told(piece, other, deepest) });
    }
  }
  return found
    .sort((a, b) => b.depth - a.depth)
    .slice(0, MOST_TOLD)
    .map(({ finding }) => finding);
};

const isTrack = ({ family }: Piece): boolean => familyOf(family).group === 'track';
const isWall = ({ family }: Piece): boolean => familyOf(family).group === 'walls';

/** True for pieces that are in each other on purpose: walls, and what is grouped or attached. */
const together = (a: Piece, b: Piece): boolean =>
  isWall(a) ||
  isWall(b) ||
  (a.group !== undefined && a.group === b.group) ||
  a.attach === b.id ||
  b.attach === a.id;

function makeBodies(course: Course, piece: Piece): Body[] {
  if (markOf(piece) !== null) return [];
  const place = toWorld(piece);
  return contactShapes(course, piece).flatMap(({ role, form }) => {
    if (role !== 'solid' || form.kind === 'ball') return [];
    const points = form.solid.points.map(place);
    return [{ points, faces: form.solid.faces, ...boundsOf(points) }];
  });
}

/** The deepest overlap of two pieces' solids that is deeper than a depth in metres. */
function deepestOf(mine: readonly Body[], its: readonly Body[], deep: number): Overlap | null {
  let deepest: Overlap | null = null;
  for (const a of mine) {
    for (const b of its) {
      if (!boxesMeet(a, b, -deep)) continue;
      const found = overlapOf(a, b);
      if (found && found.depth > deep && (!deepest || found.depth > deepest.depth)) deepest = found;
    }
  }
  return deepest;
}

const isSunk = ({ depth, way }: Overlap): boolean =>
  depth < SUNK && Math.abs(way[1]) > UPRIGHT * depth;

function told(piece: Piece, other: Piece, { depth, way }: Overlap): Finding<'overlap'> {
  const deep = depth < 1 ? `${Math.round(depth * 100)} cm` : `${depth.toFixed(1)} m`;
  return {
    ...pieceFinding(
      other,
      'overlap',
      'notice',
      `${familyOf(other.family).label} reaches ${deep} into ${familyOf(piece.family).label.toLowerCase()}.`,
      { label: 'Move it out', edit: { do: 'move', id: other.id, by: way } },
    ),
    other: piece.id,
  };
}

export const overlapRule: CheckRule<'overlap'> = { id: 'overlap', check: overlaps };
