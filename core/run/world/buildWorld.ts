import { ticksOf } from './time';
import { CUE_TRAITS, type Course, type Link, type Piece } from '../../course';
import { distance, type Vec3 } from '../../geometry';
import { findFamily, registerModels } from '../../pieces';
import { BroadPhase } from './broadPhase';
import { centreHeight, type Capsule } from './capsule';
import type { Collider } from './collider';
import { compileColliders } from './compileColliders';
import { compileMovers } from './compileMovers';
import { compileEmitters } from './emitter';
import { switchesOf } from './gate';
import { legsNear } from './legs';
import { indexLinks } from './linkIndex';
import { portalsOf } from './portals';
import { runnerOf, type Runner } from './runners';
import { SpatialHash } from './spatialHash';
import { asLaid } from './asLaid';
import { compileCheckpoints, compileStarts, laneOf } from './spawnPoints';
import { tideLine } from './tide';
import { DEFAULT_GRAVITY, DEFAULT_HOLD, DEFAULT_LAPS, NotRunnable, type World } from './world';

/**
 * Makes a course ready to run.
 * @throws NotRunnable when it has no start, or a piece of a family that is not known
 */
export function buildWorld(course: Course): World {
  registerModels(course);
  const strange = course.pieces.find(({ family }) => !findFamily(family));
  if (strange) {
    const { id, family, at } = strange;
    throw new NotRunnable(`Piece ${id} at ${at.join(', ')} m is of no known family: "${family}".`);
  }
  const pieces = course.pieces.toSorted(asLaid);
  const lane = laneOf({ space: course.space, pieces });
  const starts = compileStarts(pieces, lane, course.starts === undefined);
  const movers = compileMovers(course, pieces);
  const { colliders, gates, pieceGates, pickups, portals } = compileColliders(
    course,
    pieces,
    movers,
  );
  const checkpoints = compileCheckpoints(pieces, lane);
  const runner = runnerOf(course.runner);
  const links = course.links ?? [];
  const sizes = sizesOf(colliders, links);
  const bodies = bodiesOf(runner, sizes);
  const { emitters, maxProjectiles } = compileEmitters(course, pieces, movers.whole, bodies.length);
  const placeOf = new Map(pieces.map(({ id }, i) => [id, i]));
  const switches = switchesOf(pieces, gates);
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
    respawns: pickups.map((index) => ticksOf(pieces[index].respawn ?? 0)),
    pickupAt: placesIn(pieces.length, pickups),
    pickupLegs: pickupLegs(course, pieces, pickups, legs > 0),
    portals: portalsOf(pieces, portals),
    portalAt: placesIn(pieces.length, portals),
    switches,
    pairs: new Set([...switches.values()].map(({ pair }) => pair)).size,
    placeOf,
    gates,
    pieceGates,
    movers: movers.list,
    pieceMovers: movers.whole,
    partMovers: movers.part,
    dynamicPoseSize: movers.dynamicPoseSize,
    runnerDriven: movers.list.filter(({ driven }) => driven && driven.kind !== 'drift'),
    triggeredMovers: movers.list.filter(({ wake }) => wake),
    loose: movers.list.filter(({ loose }) => loose),
    emitters,
    maxProjectiles,
    links,
    linkIndex: indexLinks(links, placeOf, movers.list),
    watchedByLinks: watchedBy(links, placeOf, pieces.length),
    breaking: pieces.some(({ breaks }) => breaks),
    beat: { seconds: 60 / (course.tempo?.beats ?? 120), offset: course.tempo?.offset ?? 0 },
    kind: course.kind,
    laps: course.laps ?? DEFAULT_LAPS,
    goals,
    roundOff:
      course.kind === 'laps' && checkpoints.length === 0 ? roundOff(goals, starts[0][0].at) : 0,
    holdTicks: ticksOf(course.hold ?? DEFAULT_HOLD),
    limit: ticksOf(course.limit ?? 0),
    tide: tideLine(course),
    lane,
    unharmed: false,
    sizeIndex: (part) => 1 + Math.max(-1, sizes.indexOf(part)),
    broadPhase: broadPhaseOf(colliders, [...bodies, ...emitters.map(({ body }) => body)]),
  };
}

/** The leg that each thing to gather belongs to. */
function pickupLegs(
  course: Course,
  pieces: readonly Piece[],
  pickups: readonly number[],
  inLegs: boolean,
): Int32Array {
  const places = pickups.map((index) => pieces[index].at);
  return Int32Array.from(inLegs ? legsNear(course, places) : pickups.map(() => 0));
}

/** The other sizes that regions and links may give the runner, as parts of its own, in rising order. */
function sizesOf(colliders: readonly Collider[], links: readonly Link[]): number[] {
  const parts = new Set<number>();
  for (const { field } of colliders) if (field?.kind === 'size') parts.add(field.part);
  for (const { effects } of links) {
    for (const { kind, value } of effects) if (kind === 'size' && value) parts.add(value);
  }
  return [...parts].sort((a, b) => a - b).slice(0, MOST_SIZES);
}

const bodiesOf = ({ body }: Runner, sizes: readonly number[]): Capsule[] =>
  [1, ...sizes].map((part, index) => ({
    index,
    radius: body.radius * part,
    half: body.half * part,
  }));

/** Whether each of so many pieces is one that a link waits for to be left or stood in. */
function watchedBy(
  links: readonly Link[],
  placeOf: ReadonlyMap<string, number>,
  count: number,
): Uint8Array {
  const watched = new Uint8Array(count);
  for (const { cue } of links) {
    if (!CUE_TRAITS[cue.kind].watched) continue;
    for (const id of cue.pieces ?? []) watched[placeOf.get(id) ?? -1] = 1;
  }
  return watched;
}

/** What lies near a place, as far as any of the bodies that move about need it within a tick. */
function broadPhaseOf(colliders: readonly Collider[], moved: readonly Capsule[]): BroadPhase {
  const over = Math.max(...moved.map(({ radius }) => radius)) + STEP_ROOM;
  const up = Math.max(...moved.map(centreHeight)) + STEP_ROOM;
  return new BroadPhase(new SpatialHash(colliders), colliders, over, up);
}

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
