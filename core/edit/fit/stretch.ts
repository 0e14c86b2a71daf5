import type { Course, Piece } from '../../course';
import { distance, type Vec3 } from '../../geometry';
import { endsOf, type Connector } from '../snap/connectors';
import { roundToStored, wrapTurn } from '../pieces/place';
import { nearestBetween, sketchLines, type SketchLine } from '../draw/sketch';
import type { FitEnd, FitWish } from './wish';

/** Ends nearer than this are joined, m. */
const JOINED = 1e-3;
/** How near a stretch has to lie to the drawn line it is to follow, m. */
const FOLLOWS = 30;

const trackEnds = (piece: Piece): readonly Connector[] =>
  endsOf(piece).filter(({ kind }) => kind === 'track');

/**
 * The pieces of a stretch of track in the order they are gone over, or null where those named are no such
 * stretch: each has two ends of track, and one leads on to the next.
 */
export function chainOf(course: Course, ids: ReadonlySet<string>): readonly Piece[] | null {
  const pieces = course.pieces.filter(({ id }) => ids.has(id));
  if (pieces.length === 0 || pieces.some((piece) => trackEnds(piece).length !== 2)) return null;
  const meets = (a: Piece, b: Piece) => distance(trackEnds(a)[1].at, trackEnds(b)[0].at) < JOINED;
  const first = pieces.find((piece) => !pieces.some((one) => one !== piece && meets(one, piece)));
  if (!first) return null;
  const chain = [first];
  for (;;) {
    const last = chain[chain.length - 1];
    const next = pieces.find((piece) => !chain.includes(piece) && meets(last, piece));
    if (!next) break;
    chain.push(next);
  }
  return chain.length === pieces.length ? chain : null;
}

const headingOf = ({ turn }: Connector): number => (Math.atan2(-turn[6], turn[0]) * 180) / Math.PI;
const fitEnd = (end: Connector, turned: number, lift: number): FitEnd => ({
  x: end.at[0],
  y: roundToStored(end.at[1] - lift),
  z: end.at[2],
  heading: wrapTurn(roundToStored(headingOf(end) + turned)),
});

/**
 * What to ask of a fit that lays a stretch anew along the drawn line, both of its ends joined as they are.
 * @param chain the stretch, in the order of the way
 * @param wish width, tolerance and bends as for a whole fit
 * @throws RangeError in words when no drawn line leads along it
 */
export function stretchWish(
  course: Course,
  chain: readonly Piece[],
  wish: Pick<FitWish, 'width' | 'tolerance' | 'bends' | 'tightest'>,
): FitWish {
  // Track is laid by its foot, and joined some way above it.
  const lift = trackEnds(chain[0])[0].at[1] - chain[0].at[1];
  const from = fitEnd(trackEnds(chain[0])[0], 180, lift);
  const to = fitEnd(trackEnds(chain[chain.length - 1])[1], 0, lift);
  const [a, b]: Vec3[] = [from, to].map(({ x, y, z }): Vec3 => [x, y, z]);
  const line = [...sketchLines(course.sketch)]
    .filter(({ points }) => points.length > 1)
    .sort((one, other) => farFrom(one, a, b) - farFrom(other, a, b))[0];
  if (!line || farFrom(line, a, b) > FOLLOWS) {
    throw new RangeError('No drawn line leads along these pieces.');
  }
  return { ...wish, closed: false, from, to, points: [a, ...between(line, a, b), b] };
}

/** A place along a line: after which of its points, and how far off it another place lies, m. */
function placeOn({ points, closed }: SketchLine, p: Vec3): { after: number; off: number } {
  const ring = (closed ? [...points, points[0]] : points) as Vec3[];
  let best = { after: 0, off: Infinity };
  for (let i = 1; i < ring.length; i++) {
    const off = distance(nearestBetween(ring[i - 1], ring[i], p), p);
    if (off < best.off) best = { after: i - 1, off };
  }
  return best;
}

const farFrom = (line: SketchLine, a: Vec3, b: Vec3): number =>
  placeOn(line, a).off + placeOn(line, b).off;

/** The points of a line between two places on it, the way from the one to the other. */
function between(line: SketchLine, a: Vec3, b: Vec3): Vec3[] {
  const points = line.points as Vec3[];
  const [first, last] = [placeOn(line, a).after, placeOn(line, b).after];
  // What is too near an end would have the track turn about on the spot.
  const clear = (p: Vec3) => distance(p, a) > 2 && distance(p, b) > 2;
  if (last >= first) return points.slice(first + 1, last + 1).filter(clear);
  if (line.closed) return [...points.slice(first + 1), ...points.slice(0, last + 1)].filter(clear);
  return points
    .slice(last + 1, first + 1)
    .reverse()
    .filter(clear);
}
