import { endIndex, endsOf, type Connector } from '../edit';
import type { Course, Piece } from '../course';
import { distance, mapVec3, type Vec3 } from '../geometry';
import { familyOf, markOf } from '../pieces';

/** How near the start a track has to begin, and the goal has to be to it, m. */
const NEAR = 8;
/** Ends nearer than this are joined, m. */
const JOINED = 1e-3;

/** A track piece come to by one of its ends, on the shortest way there. */
interface Come {
  readonly piece: Piece;
  readonly by: Connector;
  /** Metres of track to that end. */
  readonly far: number;
  /** What was gone through before, and by which end it was left. */
  readonly before: { readonly come: Come; readonly out: Connector } | null;
}

/** A way along track, with the end it leaves its last piece by. */
interface Ridden {
  readonly last: Come;
  readonly out: Connector;
  readonly far: number;
  readonly closed: boolean;
}

/**
 * The way along the track pieces that are joined end to end, whichever way round each was laid, from the one
 * nearest to the start on: the shortest round where it closes, else the shortest way to the goal, else to the
 * furthest end. Null when there is no track near the start.
 */
export function trackWay(course: Course): { way: Vec3[]; closed: boolean } | null {
  const tracks = course.pieces.filter(
    (piece) => familyOf(piece.family).group === 'track' && endsOf(piece).length > 1,
  );
  if (tracks.length < 2) return null;
  const start = course.pieces.find((piece) => markOf(piece) === 'start')?.at;
  const goal = course.pieces.find((piece) => markOf(piece) === 'goal')?.at ?? null;
  const near = (piece: Piece) => (start ? distance(piece.at, start) : 0);
  const first = tracks.reduce((a, b) => (near(b) < near(a) ? b : a));
  if (near(first) > NEAR) return null;
  const onward = ride(course, tracks, first, 0, goal);
  const back = onward.closed ? onward : ride(course, tracks, first, 1, goal);
  const ridden = back.far > onward.far ? back : onward;
  return { way: placesOf(ridden), closed: ridden.closed };
}

/** The way on from a piece that is come to by one of its ends (Dijkstra, 1959, over the pieces). */
function ride(
  course: Course,
  tracks: readonly Piece[],
  first: Piece,
  end: number,
  goal: Vec3 | null,
): Ridden {
  const byId = new Map(tracks.map((piece) => [piece.id, piece]));
  const index = endIndex(course);
  const begun: Come = { piece: first, by: endsOf(first)[end], far: 0, before: null };
  const edge: Come[] = [begun];
  const done = new Set<string>();
  let best: Ridden | null = null;
  let reached: { ridden: Ridden; away: number } | null = null;
  while (edge.length > 0) {
    // Where no ways part there is only one to go on from.
    const next = edge.reduce((a, b) => (b.far < a.far ? b : a));
    edge.splice(edge.indexOf(next), 1);
    if (done.has(next.piece.id)) continue;
    done.add(next.piece.id);
    for (const out of exitsOf(next)) {
      const far = next.far + distance(next.by.at, out.at);
      const closed = done.size > 2 && distance(out.at, begun.by.at) < JOINED;
      const ridden = { last: next, out, far, closed };
      if (closed) return ridden;
      if (!best || far > best.far) best = ridden;
      const away = goal ? distance(goal, out.at) : Infinity;
      if (away < NEAR && (!reached || away < reached.away)) reached = { ridden, away };
      for (const by of index.near(out.at, JOINED)) {
        const piece = byId.get(by.piece);
        if (piece && !done.has(piece.id)) {
          edge.push({ piece, by, far, before: { come: next, out } });
        }
      }
    }
  }
  return reached?.ridden ?? best!;
}

/** The ends a piece may be left by: where ways part or meet, none that leads back beside the way come. */
function exitsOf({ piece, by }: Come): Connector[] {
  const ends = endsOf(piece);
  const facing = (out: Connector) => by.turn[0] * out.turn[0] + by.turn[6] * out.turn[6];
  return ends.filter((out) => out.index !== by.index && (ends.length === 2 || facing(out) < 0));
}

/** The places along a way, from its beginning. */
function placesOf({ last, out }: Ridden): Vec3[] {
  const parts: Vec3[][] = [];
  let at: { come: Come; out: Connector } | null = { come: last, out };
  while (at) {
    parts.push([...between(at.come.by, at.out), at.out.at]);
    if (!at.come.before) parts.push([at.come.by.at]);
    at = at.come.before;
  }
  return parts.reverse().flat();
}

/** Places along a bend, which a straight line between its ends would cut short. */
function between(from: Connector, to: Connector): Vec3[] {
  const ahead: Vec3 = [-from.turn[0], -from.turn[3], -from.turn[6]];
  const turned = 1 - (ahead[0] * to.turn[0] + ahead[1] * to.turn[3] + ahead[2] * to.turn[6]);
  if (turned < 1e-6) return [];
  // The curve through both ends along their directions (cubic Hermite), a third of the chord each.
  const reach = distance(from.at, to.at);
  return [0.25, 0.5, 0.75].map((t): Vec3 => {
    const [a, b] = [(1 - t) * (1 - t) * (1 + 2 * t), t * t * (3 - 2 * t)];
    const [c, d] = [t * (1 - t) * (1 - t), -t * t * (1 - t)];
    return mapVec3(
      (i) => a * from.at[i] + b * to.at[i] + reach * (c * ahead[i] + d * to.turn[3 * i]),
    );
  });
}
