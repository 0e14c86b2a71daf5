import { USUAL_COPIES, type Course, type Piece } from '../../course';
import {
  cosDeg,
  distance,
  mapPoints,
  mapVec3,
  type Matrix3,
  rotate,
  sinDeg,
  type Vec3,
} from '../../geometry';
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
} from '../../pieces';
import { BROADPHASE_MARGIN, type Collider, type Hurt, type Mouth, type OneWay } from './collider';
import { InflatedShapes, formBounds, centreHeight, type Capsule } from './capsule';
import { SpatialHash } from './spatialHash';
import { legsNear } from './legs';
import { indexLinks } from './linkIndex';
import { lockOf, switchesOf, type Gate } from './gate';
import { moversOf, reachOf, reachOut } from './mover';
import { BroadPhase } from './broadPhase';
import { portalsOf } from './portals';
import { runnerOf } from './runner';
import { throwingOf, type ProjectileEmitter } from './emitter';
import { tideLine } from './tide';
import {
  DEFAULT_GRAVITY,
  DEFAULT_HOLD,
  DEFAULT_LAPS,
  NotRunnable,
  spotAt,
  type Checkpoint,
  type SpawnPoint,
  type World,
} from './world';

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
  const gates: Gate[] = [];
  const pieceGates = new Int32Array(pieces.length).fill(-1);
  const parts = new Set<number>();
  pieces.forEach((piece, index) => {
    const shapes = contactShapes(course, piece);
    const turn = turnOf(piece);
    const place = toWorld(piece);
    // A gate that is the goal besides is kept shut by what bars it.
    const ends = shapes.some(({ role }) => role === 'goal');
    if (ends) pieceGates[index] = gates.push(lockOf(piece, 'barred')) - 1;
    for (const shape of shapes) {
      if (shape.lock) pieceGates[index] = gates.push(lockOf(piece, shape.lock)) - 1;
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
        lock: pieceGates[index],
        mover,
        isDynamic: mover >= 0 && movers.list[mover].loose,
        low: mapVec3((i) => low[i] - BROADPHASE_MARGIN),
        high: mapVec3((i) => high[i] + BROADPHASE_MARGIN),
        bodies: new InflatedShapes(form),
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

  for (const { form, mover, isDynamic } of colliders) {
    if (isDynamic) reachOut(movers.list[mover], formBounds(form), BROADPHASE_MARGIN);
  }

  const runner = runnerOf(course.runner);
  const links = course.links ?? [];
  for (const { effects } of links) {
    for (const { kind, value } of effects) if (kind === 'size' && value) parts.add(value);
  }
  const watchedByLinks = new Uint8Array(pieces.length);
  const byId = new Map(pieces.map(({ id }, i) => [id, i]));
  for (const { cue } of links) {
    if (cue.kind !== 'left' && cue.kind !== 'stood') continue;
    for (const id of cue.pieces ?? []) watchedByLinks[byId.get(id) ?? -1] = 1;
  }
  const sizes = [...parts].sort((a, b) => a - b).slice(0, MOST_SIZES);
  const bodies = [1, ...sizes].map((part, index): Capsule => ({
    index,
    radius: runner.body.radius * part,
    half: runner.body.half * part,
  }));

  const emitters: ProjectileEmitter[] = [];
  let maxProjectiles = 0;
  pieces.forEach((piece, index) => {
    if (!piece.thrower) return;
    const [w, h] = specOf(familyOf(piece.family), piece).size;
    const extents = { up: h * 0.75, ahead: w / 2 + piece.thrower.size / 2 };
    const clock = movers.whole[index];
    const places = {
      ...{ piece: index, index: emitters.length, first: maxProjectiles, clock },
      body: bodies.length,
    };
    emitters.push(throwingOf(course, piece, places, extents));
    maxProjectiles += piece.thrower.most ?? USUAL_COPIES;
  });

  const moved = [...bodies, ...emitters.map(({ body }) => body)];
  const over = Math.max(...moved.map(({ radius }) => radius)) + STEP_ROOM;
  const up = Math.max(...moved.map(centreHeight)) + STEP_ROOM;

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
    gates: gates,
    pieceGates: pieceGates,
    movers: movers.list,
    pieceMovers: movers.whole,
    partMovers: movers.part,
    dynamicPoseSize: movers.drives,
    runnerDriven: movers.list.filter(({ driven }) => driven && driven.kind !== 'drift'),
    triggeredMovers: movers.list.filter(({ wake }) => wake),
    loose: movers.list.filter(({ loose }) => loose),
    emitters: emitters,
    maxProjectiles: maxProjectiles,
    links,
    linkIndex: indexLinks(links, byId, movers.list),
    watchedByLinks: watchedByLinks,
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
    sizeIndex: (part) => 1 + Math.max(-1, sizes.indexOf(part)),
    broadPhase: new BroadPhase(new SpatialHash(colliders), colliders, over, up),
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
function spotOf(piece: Piece, lane: number | null): SpawnPoint {
  const [x, foot, z] = piece.at;
  const y = piece.role === 'checkpoint' ? pieceBounds(piece).high[1] : foot;
  return spotAt([x, y, lane ?? z], piece.turn?.[1] ?? 0);
}

/** The starts of each leg: the first of them, or all that one may begin at. */
function spotsOf(
  beginnings: readonly { readonly piece: Piece; readonly leg: number }[],
  one: boolean,
  lane: number | null,
): SpawnPoint[][] {
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
