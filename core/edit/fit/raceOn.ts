import { cosDeg, distance, sinDeg, type Vec3 } from '../../geometry';
import { RUNNER_TRAITS, type Course, type Piece } from '../../course';
import { legOf, markOf } from '../../pieces';
import { endsOf } from '../snap/connectors';
import { layPieces, type PieceInHand } from '../pieces/lay';
import { roundToStored } from '../pieces/place';
import { setRunner } from '../course/rules';

/** Height of a track's top over its ends, m. */
const TOP = 0.3;
/** How far along the first piece the start stands, and the goal of a round, m. */
const [START_IN, GOAL_IN] = [1.2, 3];
/** How far before the end of a track its goal stands, m. */
const GOAL_BACK = 1;
/** Rounds of a track that closes. */
const ROUNDS = 3;

/** A place along a track and the heading there. */
interface Spot {
  readonly at: Vec3;
  readonly heading: number;
}

/**
 * Has a track be what the course is run on: the first start and goal stand on it, checkpoints at its thirds where
 * it is a round; a runner on foot is given a cart, and the kind becomes that of the track.
 * @param ids the track's pieces, in the order of the way
 * @throws RangeError in words when none of them is there
 */
export function raceOn(course: Course, ids: readonly string[], closed: boolean): Course {
  const byId = new Map(course.pieces.map((piece) => [piece.id, piece]));
  const track = ids.flatMap((id) => byId.get(id) ?? []);
  if (track.length === 0) throw new RangeError('The track is not there any more.');
  const [first, last] = [track[0], track[track.length - 1]];
  const spots = closed ? [1 / 3, 2 / 3].map((part) => spotAt(track, part)) : [];
  const start = along(spotOf(first), START_IN);
  const goal = closed ? along(spotOf(first), GOAL_IN) : along(exitOf(last), -GOAL_BACK);
  const driven = RUNNER_TRAITS[course.runner.kind].walks
    ? setRunner(course, { kind: 'cart' })
    : course;
  const kind = closed ? 'laps' : 'point';
  const { laps: _, hold: __, ...rest } = driven;
  const told = { ...rest, kind, space: 'free', ...(closed ? { laps: ROUNDS } : {}) } as Course;
  const marked = put(put(told, 'start', start), 'goal', goal);
  return layPieces(
    marked,
    spots.map((spot): PieceInHand => ({ family: 'cairn', ...placed(spot) })),
  );
}

/** Moves the first start or goal of the first leg to a place, or lays one there. */
function put(course: Course, mark: 'start' | 'goal', spot: Spot): Course {
  const place = course.pieces.findIndex((one) => markOf(one) === mark && legOf(one) === 1);
  if (place < 0) {
    return layPieces(course, [
      { family: mark === 'start' ? 'start' : 'lantern', ...placed(spot), params: { leg: 1 } },
    ]);
  }
  const pieces = [...course.pieces];
  pieces[place] = { ...pieces[place], turn: undefined, ...placed(spot) };
  if (pieces[place].turn === undefined) delete pieces[place].turn;
  return { ...course, pieces };
}

const placed = ({ at, heading }: Spot): Pick<Piece, 'at' | 'turn'> => ({
  at: at.map(roundToStored) as unknown as Piece['at'],
  ...(roundToStored(heading) === 0
    ? {}
    : { turn: [0, roundToStored(heading), 0] as [number, number, number] }),
});

/** Where a piece of track begins, on its top. */
const spotOf = ({ at, turn }: Piece): Spot => ({
  at: [at[0], at[1] + TOP, at[2]],
  heading: turn?.[1] ?? 0,
});

/** The end by which a track leaves its last piece: the one farther from where that begins. */
function exitOf(piece: Piece): Spot {
  const end = endsOf(piece).reduce((a, b) =>
    distance(b.at, piece.at) > distance(a.at, piece.at) ? b : a,
  );
  const heading = (Math.atan2(-end.turn[6], end.turn[0]) * 180) / Math.PI;
  return { at: [end.at[0], end.at[1] + TOP, end.at[2]], heading: ((heading % 360) + 360) % 360 };
}

const along = ({ at, heading }: Spot, by: number): Spot => ({
  at: [at[0] + by * cosDeg(heading), at[1], at[2] - by * sinDeg(heading)],
  heading,
});

/** Where the piece begins that lies at a part of the way. */
function spotAt(track: readonly Piece[], part: number): Spot {
  const far = [0];
  for (let i = 1; i < track.length; i++)
    far.push(far[i - 1] + distance(track[i - 1].at, track[i].at));
  const want = far[far.length - 1] * part;
  const place = far.findIndex((metres) => metres >= want);
  return spotOf(track[Math.max(0, place)]);
}
