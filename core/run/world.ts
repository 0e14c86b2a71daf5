import { USUAL_COPIES, type Course, type CourseKind, type Link, type Piece } from '../course';
import { cosDeg, distance, mapPoints, rotate, sinDeg, type Matrix3, type Vec3 } from '../geometry';
import {
  checkpointNumber,
  checkpointResets,
  contactShapes,
  familyOf,
  legOf,
  localGeometry,
  markOf,
  pieceBounds,
  registerModels,
  specOf,
  toWorld,
  turnOf,
  type Shape,
} from '../pieces';
import { MARGIN, type Collider, type Hurt, type Mouth, type OneWay } from './collider';
import { Bodies, formBounds, liftOf, type Rounded } from './form';
import { Grid } from './grid';
import { legsNear } from './legs';
import { indexLinks, type LinkIndex } from './linkIndex';
import { lockOf, switchesOf, type Lock, type Switch } from './lock';
import { moversOf, reachOf, reachOut, type Mover } from './mover';
import { Neighbourhoods } from './near';
import { portalsOf, type Portal } from './portal';
import { runnerOf, type Runner } from './runner';
import { throwingOf, type Throwing } from './throwing';
import { tideLine } from './tide';

/** Where a run begins or goes on: the foot's place, the heading in degrees about y, and the way ahead. */
export interface Spot {
  readonly at: Vec3;
  readonly heading: number;
  readonly ahead: Vec3;
}

/** A checkpoint: its piece's number in the course's order and where a run goes on from it. */
export interface Checkpoint extends Spot {
  readonly piece: number;
  readonly number: number;
  /** The leg it belongs to, from 0. */
  readonly leg: number;
  /** Whether a return to it has everything as it was then. */
  readonly restores: boolean;
}

/**
 * A course made ready to run. Everything a tick reads is here; everything it changes is in RunState,
 * but for caches that hold no decision (poses, bodies, what is near).
 */
export interface World {
  /** The course's pieces in order of id, shorter ones first: the order in the file changes nothing. */
  readonly pieces: readonly Piece[];
  readonly colliders: readonly Collider[];
  readonly runner: Runner;
  /** The runner's body, as large as usual first, then in each other size. */
  readonly bodies: readonly Rounded[];
  /** Downward acceleration, m/s². */
  readonly gravity: number;
  /** Where each leg begins: its only start, or those of which a run takes one. */
  readonly starts: readonly (readonly Spot[])[];
  readonly legs: number;
  readonly checkpoints: readonly Checkpoint[];
  /** For each piece its place in `checkpoints`, or -1. */
  readonly checkpointAt: Int32Array;
  /** Whether checkpoints must be taken in turn. */
  readonly ordered: boolean;
  /** Pickups by their piece, in order, and after how many ticks each is back; 0 for never. */
  readonly pickups: readonly number[];
  readonly respawns: readonly number[];
  /** For each piece its place in `pickups`, or -1; and for each pickup the leg it belongs to, from 0. */
  readonly pickupAt: Int32Array;
  readonly pickupLegs: Int32Array;
  readonly portals: readonly Portal[];
  /** For each piece its place in `portals`, or -1. */
  readonly portalAt: Int32Array;
  /** Switches by their piece. */
  readonly switches: ReadonlyMap<number, Switch>;
  /** How many numbers switches carry. */
  readonly pairs: number;
  /** Places of pieces by their ids. */
  readonly placeOf: ReadonlyMap<string, number>;
  readonly locks: readonly Lock[];
  /** For each piece its lock, or -1. */
  readonly pieceLocks: Int32Array;
  readonly movers: readonly Mover[];
  /** For each piece what carries all of it, or -1. */
  readonly pieceMovers: Int32Array;
  /** For each piece what carries its moving part, or -1. */
  readonly partMovers: Int32Array;
  /** Numbers that driven movers keep. */
  readonly drives: number;
  /** Movers that follow the runner, and those that sleep. */
  readonly followers: readonly Mover[];
  readonly wakers: readonly Mover[];
  /** Movers of what is loose. */
  readonly loose: readonly Mover[];
  readonly throwers: readonly Throwing[];
  /** Copies there may be at once. */
  readonly copies: number;
  readonly links: readonly Link[];
  /** The links, each to be found by what gives its cue. */
  readonly linkIndex: LinkIndex;
  /** For each piece whether a link waits for it to be left or stood in. */
  readonly heeded: Uint8Array;
  /** Whether anything breaks. */
  readonly breaking: boolean;
  /** Seconds of a beat and to the first. */
  readonly beat: { readonly seconds: number; readonly offset: number };
  /** What ends a run. */
  readonly kind: CourseKind;
  /** Times round, of laps; ticks within the goal, of holding it; ticks a run may take, or 0. */
  readonly laps: number;
  /** Middles of the goals; how far off them all a round without checkpoints has to lead, m, or 0. */
  readonly goals: readonly Vec3[];
  readonly roundOff: number;
  readonly holdTicks: number;
  readonly limit: number;
  /** Height of the tide line, m. */
  readonly tide: number;
  /** The depth (z) the runner keeps to, or null where it may go anywhere. */
  readonly lane: number | null;
  /** Place in `bodies` of a size. */
  readonly sizeOf: (part: number) => number;
  readonly near: Neighbourhoods;
  /** What was touched within the tick: pieces, and the closing speed of each, m/s. */
  readonly touching: { count: number; readonly pieces: number[]; readonly speeds: number[] };
}

/** Times round and seconds within the goal when the maker says nothing. */
export const DEFAULT_LAPS = 3;
export const DEFAULT_HOLD = 10;
export const DEFAULT_GRAVITY = 22;

/** Thrown when a course cannot be run at all. */
export class NotRunnable extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'NotRunnable';
  }
}

/**
 * Makes a course ready to run.
 * @throws NotRunnable when it has no start
 */
export function buildWorld(course: Course): World {
  registerModels(course);
  const pieces = inOrder(course.pieces);
  const beginnings = pieces
    .filter((piece) => markOf(piece) === 'start')
    .map((piece) => ({ piece, leg: legOf(piece) }))
    .sort((a, b) => a.leg - b.leg);
  if (beginnings.length === 0) throw new NotRunnable('The course has no start.');
  const lane = course.space === 'side-on' ? beginnings[0].piece.at[2] : null;
  const starts = spotsOf(beginnings, course.starts === undefined, lane);

  const movers = moversOf(course, pieces);
  const colliders: Collider[] = [];
  const checkpoints: Checkpoint[] = [];
  const pickups: number[] = [];
  const portals: number[] = [];
  const locks: Lock[] = [];
  const pieceLocks = new Int32Array(pieces.length).fill(-1);
  const parts = new Set<number>();
  pieces.forEach((piece, index) => {
    const shapes = contactShapes(course, piece);
    const turn = turnOf(piece);
    const place = toWorld(piece);
    // A gate that is the goal besides is kept shut by what bars it.
    const ends = shapes.some(({ role }) => role === 'goal');
    if (ends) pieceLocks[index] = locks.push(lockOf(piece, 'barred')) - 1;
    for (const shape of shapes) {
      if (shape.lock) pieceLocks[index] = locks.push(lockOf(piece, shape.lock)) - 1;
      const form = placedForm(shape, place);
      const mover =
        shape.moving && movers.part[index] >= 0 ? movers.part[index] : movers.whole[index];
      const { low, high } = reachOf(movers.list, mover, formBounds(form));
      const { field } = shape;
      if (field?.kind === 'size') parts.add(field.part);
      colliders.push({
        index: colliders.length,
        piece: index,
        role: shape.role,
        form,
        surface: shape.surface,
        field: field && 'along' in field ? { ...field, along: rotate(turn, field.along) } : field,
        hurt: hurtOf(piece),
        oneWay: piece.oneWay && shape.role === 'solid' ? oneWayOf(piece, form) : null,
        mouth: shape.moving ? mouthOf(piece, place, turn) : null,
        lock: pieceLocks[index],
        mover,
        strays: mover >= 0 && movers.list[mover].loose,
        low: low.map((v) => v - MARGIN) as unknown as Vec3,
        high: high.map((v) => v + MARGIN) as unknown as Vec3,
        bodies: new Bodies(form),
      });
    }
    if (markOf(piece) === 'checkpoint') {
      checkpoints.push({
        ...spotOf(piece, lane),
        piece: index,
        number: checkpointNumber(piece),
        leg: legOf(piece) - 1,
        restores: checkpointResets(piece),
      });
    }
    if (shapes.some(({ role }) => role === 'pickup')) pickups.push(index);
    if (shapes.some(({ role }) => role === 'portal')) portals.push(index);
  });

  for (const { form, mover, strays } of colliders) {
    if (strays) reachOut(movers.list[mover], formBounds(form), MARGIN);
  }

  const runner = runnerOf(course.runner);
  const links = course.links ?? [];
  for (const { effects } of links) {
    for (const { kind, value } of effects) if (kind === 'size' && value) parts.add(value);
  }
  const heeded = new Uint8Array(pieces.length);
  const byId = new Map(pieces.map(({ id }, i) => [id, i]));
  for (const { cue } of links) {
    if (cue.kind !== 'left' && cue.kind !== 'stood') continue;
    for (const id of cue.pieces ?? []) heeded[byId.get(id) ?? -1] = 1;
  }
  const sizes = [...parts].sort((a, b) => a - b).slice(0, MOST_SIZES);
  const bodies = [1, ...sizes].map((part, index): Rounded => ({
    index,
    radius: runner.body.radius * part,
    half: runner.body.half * part,
  }));

  const throwers: Throwing[] = [];
  let copies = 0;
  pieces.forEach((piece, index) => {
    if (!piece.thrower) return;
    const [w, h] = specOf(familyOf(piece.family), piece).size;
    const extents = { up: h * 0.75, ahead: w / 2 + piece.thrower.size / 2 };
    const clock = movers.whole[index];
    const places = {
      ...{ piece: index, index: throwers.length, first: copies, clock },
      body: bodies.length,
    };
    throwers.push(throwingOf(course, piece, places, extents));
    copies += piece.thrower.most ?? USUAL_COPIES;
  });

  const moved = [...bodies, ...throwers.map(({ body }) => body)];
  const over = Math.max(...moved.map(({ radius }) => radius)) + STEP_ROOM;
  const up = Math.max(...moved.map(liftOf)) + STEP_ROOM;

  const switches = switchesOf(pieces, locks);
  const legs = course.legs ? Math.min(course.legs.length, starts.length) : 0;
  const goals = colliders
    .filter(({ role }) => role === 'goal')
    .map(({ piece }) => pieces[piece].at);

  return {
    pieces,
    colliders,
    runner,
    bodies,
    gravity: course.gravity ?? DEFAULT_GRAVITY,
    starts,
    legs,
    checkpoints,
    checkpointAt: placesIn(
      pieces.length,
      checkpoints.map(({ piece }) => piece),
    ),
    ordered: course.order !== 'free',
    pickups,
    respawns: pickups.map((index) => Math.round((pieces[index].respawn ?? 0) * 120)),
    pickupAt: placesIn(pieces.length, pickups),
    pickupLegs: Int32Array.from(
      legs > 0
        ? legsNear(
            course,
            pickups.map((i) => pieces[i].at),
          )
        : pickups.map(() => 0),
    ),
    portals: portalsOf(pieces, portals),
    portalAt: placesIn(pieces.length, portals),
    switches,
    pairs: new Set([...switches.values()].map(({ pair }) => pair)).size,
    placeOf: byId,
    locks,
    pieceLocks,
    movers: movers.list,
    pieceMovers: movers.whole,
    partMovers: movers.part,
    drives: movers.drives,
    followers: movers.list.filter(({ driven }) => driven && driven.kind !== 'drift'),
    wakers: movers.list.filter(({ wake }) => wake),
    loose: movers.list.filter(({ loose }) => loose),
    throwers,
    copies,
    links,
    linkIndex: indexLinks(links, byId, movers.list),
    heeded,
    breaking: pieces.some(({ breaks }) => breaks),
    beat: { seconds: 60 / (course.tempo?.beats ?? 120), offset: course.tempo?.offset ?? 0 },
    kind: course.kind,
    laps: course.laps ?? DEFAULT_LAPS,
    goals,
    roundOff:
      course.kind === 'laps' && checkpoints.length === 0 ? roundOff(goals, starts[0][0].at) : 0,
    holdTicks: Math.round((course.hold ?? DEFAULT_HOLD) * 120),
    limit: Math.round((course.limit ?? 0) * 120),
    tide: tideLine(course),
    lane,
    sizeOf: (part) => 1 + Math.max(-1, sizes.indexOf(part)),
    near: new Neighbourhoods(new Grid(colliders), colliders, over, up),
    touching: { count: 0, pieces: [], speeds: [] },
  };
}

/** Pieces as they were laid: by the length of their ids first, so that p2 comes before p10. */
const inOrder = (pieces: readonly Piece[]): Piece[] =>
  [...pieces].sort((a, b) => a.id.length - b.id.length || (a.id < b.id ? -1 : 1));

/** For each of so many pieces its place in a list of pieces, or -1. */
function placesIn(count: number, list: readonly number[]): Int32Array {
  const places = new Int32Array(count).fill(-1);
  list.forEach((piece, place) => (places[piece] = place));
  return places;
}

/** Least and most that a round without checkpoints leads off its goal, and by how much more than its start. */
const [LEAST_ROUND, MOST_ROUND, PAST_START] = [4, 10, 2];

/**
 * How far off the goals a round has to lead where no checkpoint tells it from standing about: further than
 * the start is, so that the first way over the line only begins the first round.
 */
function roundOff(goals: readonly Vec3[], start: Vec3): number {
  const nearest = Math.min(...goals.map((at) => distance(at, start)));
  return Math.min(MOST_ROUND, Math.max(LEAST_ROUND, nearest + PAST_START));
}

/** Half the greatest displacement that is looked for in what is kept of a place, m: a tick at 60 m/s. */
const STEP_ROOM = 0.25;
/** Most other sizes the runner may have in a course. */
const MOST_SIZES = 8;

/** A shape's form in the world, at rest. */
const placedForm = ({ form }: Shape, place: (p: Vec3) => Vec3): Shape['form'] =>
  form.kind === 'ball'
    ? { ...form, centre: place(form.centre) }
    : { ...form, solid: mapPoints(form.solid, place) };

const hurtOf = ({ hurt }: Piece): Hurt => ({
  does: hurt?.does ?? 'back',
  force: hurt?.force ?? (hurt?.does === 'slow' ? 1.5 : 9),
});

function oneWayOf(piece: Piece, form: Shape['form']): OneWay {
  const { side, drop } = piece.oneWay!;
  const normal = rotate(turnOf(piece), [-sinDeg(side), cosDeg(side), 0]);
  const points = form.kind === 'ball' ? [form.centre] : form.solid.points;
  const own = form.kind === 'ball' ? form.radius : (form.round ?? 0);
  const offset = Math.max(
    ...points.map((p) => normal[0] * p[0] + normal[1] * p[1] + normal[2] * p[2]),
  );
  return { normal, offset: offset + own, drop: drop === true };
}

/** Where a start or checkpoint has the runner stand: at its foot, or on top of any other piece. */
function spotOf(piece: Piece, lane: number | null): Spot {
  const [x, foot, z] = piece.at;
  const y = piece.role === 'checkpoint' ? pieceBounds(piece).high[1] : foot;
  return spotAt([x, y, lane ?? z], piece.turn?.[1] ?? 0);
}

/** The starts of each leg: the first of them, or all that one may begin at. */
function spotsOf(
  beginnings: readonly { readonly piece: Piece; readonly leg: number }[],
  one: boolean,
  lane: number | null,
): Spot[][] {
  const legs = [...new Set(beginnings.map(({ leg }) => leg))];
  return legs.map((wanted) => {
    const all = beginnings.filter(({ leg }) => leg === wanted);
    return (one ? all.slice(0, 1) : all).map(({ piece }) => spotOf(piece, lane));
  });
}

function mouthOf(piece: Piece, place: (p: Vec3) => Vec3, turn: Matrix3): Mouth | null {
  const { mouth } = localGeometry(piece);
  return mouth === undefined ? null : { at: place([0, mouth, 0]), up: rotate(turn, [0, 1, 0]) };
}

/** A place to begin at. */
export const spotAt = (at: Vec3, heading = 0): Spot => ({
  at,
  heading,
  ahead: [cosDeg(heading), 0, -sinDeg(heading)],
});
