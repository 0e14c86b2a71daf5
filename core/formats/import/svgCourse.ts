import { emptyCourse, MAX_NAME, MAX_PIECES, type Course, type PieceOutline } from '../../course';
import { layPieces, type PieceInHand } from '../../edit';
import { isWithin, signedArea, type Vec2 } from '../../geometry';
import { outlineFault } from '../../pieces';
import { ringsOf, SvgError, type Ring } from './svgRings';

// Closed outlines of a drawing become platforms on the ground: what is drawn to the right lies to the right, what is
// drawn above lies behind.

/** Most letters of a drawing. */
const MAX_SVG = 2 * 1024 * 1024;
/** Metres a drawing is laid in, along its longer side. */
const SPAN = 40;
/** Height of a platform, m, and the least across that one is made of. */
const [HEIGHT, LEAST] = [0.6, 0.1];
/** Holes of a platform at most. */
const MOST_HOLES = 20;

/** A drawing's outlines as platforms, and how many of them could not be. */
export interface SvgRead {
  readonly course: Course;
  readonly left: number;
}

/**
 * A course with a platform for each closed outline of a drawing, lying on the ground.
 * @param text the drawing
 * @param name what the course is called
 * @param span metres along the drawing's longer side
 * @throws SvgError when it is no drawing, is far too large, or has no closed outline
 */
export function courseFromSvg(text: string, name: string, span = SPAN): SvgRead {
  if (text.length > MAX_SVG) throw new SvgError('A drawing has at most 2 MB.');
  const rings = ringsOf(text);
  if (rings.length === 0) throw new SvgError('The drawing has no closed outline.');
  const box = boundsOf(rings);
  const scale = span / Math.max(box.width, box.height);
  if (!Number.isFinite(scale)) throw new SvgError('The drawing’s outlines have no size.');
  const placed = rings.map((ring) =>
    ring.map(([x, y]): Vec2 => [(x - box.x) * scale, (y - box.y) * scale]),
  );
  const platforms: PieceInHand[] = [];
  let left = 0;
  for (const shape of withHoles(placed)) {
    const platform = platformOf(shape);
    if (platform && platforms.length < MAX_PIECES) platforms.push(platform);
    else left++;
  }
  if (platforms.length === 0) {
    throw new SvgError(
      'No outline of the drawing can be a platform: each crosses itself or is too small.',
    );
  }
  const course = layPieces(emptyCourse(name.slice(0, MAX_NAME), 'free'), platforms);
  return { course, left };
}

function boundsOf(rings: readonly Ring[]) {
  const [low, high] = [
    [Infinity, Infinity],
    [-Infinity, -Infinity],
  ];
  for (const ring of rings) {
    for (const point of ring) {
      for (const axis of [0, 1]) {
        low[axis] = Math.min(low[axis], point[axis]);
        high[axis] = Math.max(high[axis], point[axis]);
      }
    }
  }
  return { x: low[0], y: low[1], width: high[0] - low[0], height: high[1] - low[1] };
}

/** A ring, and those within it that are holes of it. */
interface Shape {
  readonly ring: Ring;
  readonly holes: Ring[];
}

/** Rings within an uneven number of others are holes of the smallest about them. */
function withHoles(rings: readonly Ring[]): Shape[] {
  const bySize = rings
    .map((ring) => ({
      ring,
      box: boundsOf([ring]),
      area: Math.abs(signedArea(ring)),
      holes: [] as Ring[],
    }))
    .sort((a, b) => b.area - a.area);
  const shapes: Shape[] = [];
  bySize.forEach((one, i) => {
    const about = bySize
      .slice(0, i)
      .filter(({ ring, box }) => isIn(box, one.ring[0]) && isWithin(ring, one.ring[0]));
    if (about.length % 2 === 0) shapes.push(one);
    else about[about.length - 1].holes.push(one.ring);
  });
  return shapes;
}

const isIn = ({ x, y, width, height }: ReturnType<typeof boundsOf>, [px, py]: Vec2): boolean =>
  px >= x && py >= y && px <= x + width && py <= y + height;

/** A platform of a shape; null where its outline crosses itself or it is too small. */
function platformOf({ ring, holes }: Shape): PieceInHand | null {
  const { x, y, width, height } = boundsOf([ring]);
  if (Math.min(width, height) < LEAST) return null;
  const middle: Vec2 = [stored(x + width / 2), stored(y + height / 2)];
  const about = (one: Ring) => ({
    points: one.map(([px, py]) => ({
      at: [stored(px - middle[0]), stored(py - middle[1])] as [number, number],
    })),
  });
  const outline: PieceOutline = {
    ...about(ring),
    ...(holes.length > 0
      ? { holes: holes.slice(0, MOST_HOLES).map((hole) => about(hole).points) }
      : {}),
  };
  const piece: PieceInHand = {
    family: 'platform',
    at: [middle[0], -HEIGHT, middle[1]],
    size: [Math.max(LEAST, width), HEIGHT, Math.max(LEAST, height)],
    outline,
  };
  return outlineFault(outline) ? null : piece;
}

/** Kept to a tenth of a millimetre. */
const stored = (metres: number): number => Math.round(metres * 1e4) / 1e4;
