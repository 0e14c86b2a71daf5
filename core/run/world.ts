import type { Course, CourseKind, Piece } from '../course';
import type { Vec3 } from '../geometry';
import { STILL } from '../motion';
import { cairnNumber, registerModels, touches, worldMotion, worldShapes } from '../pieces';
import { reach, type Collider } from './collider';
import { Grid } from './grid';
import { hopperOf, type Hopper } from './hopper';
import { lockOf, type Lock } from './lock';
import { tideLine } from './tide';

/** Where a run begins or goes on: the foot's place and the heading in degrees about y. */
export interface Spot {
  readonly at: Vec3;
  readonly heading: number;
}

/** A checkpoint: its piece's number in the course's order and where a run goes on from it. */
export interface Checkpoint extends Spot {
  readonly piece: number;
  readonly number: number;
}

/**
 * A course made ready to run. Everything a tick reads is here; everything it changes is in RunState,
 * but for caches that hold no decision (poses, bodies, what is near).
 */
export interface World {
  /** The course's pieces in order of id: the order in the file changes nothing. */
  readonly pieces: readonly Piece[];
  readonly colliders: readonly Collider[];
  readonly hopper: Hopper;
  readonly start: Spot;
  readonly checkpoints: readonly Checkpoint[];
  /** Pickups by their piece, in order. */
  readonly pickups: readonly number[];
  /** Portals by their piece, in order. */
  readonly portals: readonly number[];
  readonly locks: readonly Lock[];
  /** What ends a run. */
  readonly kind: CourseKind;
  /** Times round, of laps; ticks within the goal, of holding it. */
  readonly laps: number;
  readonly holdTicks: number;
  /** Height of the tide line, m. */
  readonly tide: number;
  /** The depth (z) the runner keeps to, or null where it may go anywhere. */
  readonly lane: number | null;
  readonly near: Near;
}

/** The colliders about the runner, kept until it leaves the box they were gathered for. */
export interface Near {
  readonly grid: Grid;
  x0: number;
  y0: number;
  z0: number;
  x1: number;
  y1: number;
  z1: number;
  solids: Collider[];
  movers: Collider[];
  sensors: Collider[];
}

/** Times round and seconds within the goal when the maker says nothing. */
export const DEFAULT_LAPS = 3;
export const DEFAULT_HOLD = 10;

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
  const pieces = [...course.pieces].sort((a, b) => (a.id < b.id ? -1 : 1));
  const first = pieces.find((piece) => piece.family === 'start');
  if (!first) throw new NotRunnable('The course has no start.');
  const lane = course.space === 'side-on' ? first.at[2] : null;

  const colliders: Collider[] = [];
  const checkpoints: Checkpoint[] = [];
  const pickups: number[] = [];
  const portals: number[] = [];
  const locks: Lock[] = [];
  pieces.forEach((piece, index) => {
    const motion = worldMotion(piece) ?? null;
    const shapes = touches(course, piece) ? worldShapes(piece) : [];
    for (const shape of shapes) {
      if (shape.lock) locks.push(lockOf(piece, shape.lock));
      const moves = shape.moving ? motion : null;
      colliders.push({
        index: colliders.length,
        piece: index,
        role: shape.role,
        form: shape.form,
        surface: shape.surface,
        lock: shape.lock ? locks.length - 1 : -1,
        motion: moves,
        ...reach(shape.form, moves),
        body: null,
        bodyTick: -1,
        pose: STILL,
        before: STILL,
        poseTick: -1,
      });
    }
    if (piece.family === 'cairn') {
      const number = cairnNumber(piece);
      checkpoints.push({ ...spotOf(piece, lane), piece: index, number });
    }
    if (shapes.some(({ role }) => role === 'pickup')) pickups.push(index);
    if (shapes.some(({ role }) => role === 'portal')) portals.push(index);
  });

  return {
    pieces,
    colliders,
    hopper: hopperOf(course.runner.settings),
    start: spotOf(first, lane),
    checkpoints,
    pickups,
    portals,
    locks,
    kind: course.kind,
    laps: course.laps ?? DEFAULT_LAPS,
    holdTicks: Math.round((course.hold ?? DEFAULT_HOLD) * 120),
    tide: tideLine(course),
    lane,
    near: {
      grid: new Grid(colliders),
      ...{ x0: 1, y0: 1, z0: 1, x1: 0, y1: 0, z1: 0 },
      solids: [],
      movers: [],
      sensors: [],
    },
  };
}

const spotOf = (piece: Piece, lane: number | null): Spot => ({
  at: [piece.at[0], piece.at[1], lane ?? piece.at[2]],
  heading: piece.turn?.[1] ?? 0,
});

/** How far beyond what is asked for the neighbourhood is gathered, m. */
const MARGIN = 2;

/** The colliders that may touch a runner whose foot stays within the box. */
export function nearBox(
  world: World,
  x0: number,
  y0: number,
  z0: number,
  x1: number,
  y1: number,
  z1: number,
): Near {
  const { near } = world;
  if (
    x0 >= near.x0 &&
    y0 >= near.y0 &&
    z0 >= near.z0 &&
    x1 <= near.x1 &&
    y1 <= near.y1 &&
    z1 <= near.z1
  ) {
    return near;
  }
  near.x0 = x0 - MARGIN;
  near.y0 = y0 - MARGIN;
  near.z0 = z0 - MARGIN;
  near.x1 = x1 + MARGIN;
  near.y1 = y1 + MARGIN;
  near.z1 = z1 + MARGIN;
  near.solids = [];
  near.movers = [];
  near.sensors = [];
  for (const index of near.grid.near(near.x0, near.y0, near.z0, near.x1, near.y1, near.z1)) {
    const collider = world.colliders[index];
    if (collider.role !== 'solid') near.sensors.push(collider);
    else {
      near.solids.push(collider);
      if (collider.motion) near.movers.push(collider);
    }
  }
  return near;
}
