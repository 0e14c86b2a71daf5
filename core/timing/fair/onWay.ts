import { commonPeriod, type Pose, TICKS_PER_SECOND } from '../../motion';
import {
  type Collider,
  gapTo,
  InflatedShapes,
  isDisabled,
  poseMover,
  type RunState,
  type World,
} from '../../run';
import { goesByClock, motionsOver, poseOnClock } from '../clock';

/** How near to where a hazard may be one has come to it, m. */
export const NEAR = 0.5;
/** Poses over its clock that it is looked for in, and the longest clock that is looked over, s. */
const [POSES, LONGEST] = [32, 20];

/** A hazard's shapes, with all the places they may be in. */
export interface Hazard {
  /** Its place in the world's pieces. */
  readonly piece: number;
  readonly shapes: readonly HazardShape[];
}

interface HazardShape {
  readonly collider: Collider;
  /** The form in each pose of its clock; none of what goes by no clock, whose pose is the run's. */
  readonly places: readonly { readonly pose: Pose; readonly bodies: InflatedShapes }[];
}

/** The hazards of a course, one a piece. */
export function hazardsOf(world: World): Hazard[] {
  const byPiece = new Map<number, HazardShape[]>();
  for (const collider of world.colliders) {
    if (collider.role !== 'hazard') continue;
    const shapes = byPiece.get(collider.piece) ?? [];
    byPiece.set(collider.piece, shapes);
    shapes.push({ collider, places: placesOf(world, collider) });
  }
  return [...byPiece].map(([piece, shapes]) => ({ piece, shapes }));
}

function placesOf(world: World, { mover, form }: Collider): HazardShape['places'] {
  if (mover < 0 || !goesByClock(world, mover)) return [];
  const ticks = commonPeriod(motionsOver(world, mover), LONGEST) * TICKS_PER_SECOND;
  return Array.from({ length: POSES }, (_, i) => ({
    pose: poseOnClock(world, mover, Math.round((i * ticks) / POSES)),
    bodies: new InflatedShapes(form),
  }));
}

/** Whether the runner is near any place in which a hazard may be. */
export function hasCome(world: World, s: RunState, { shapes }: Hazard): boolean {
  const body = world.bodies[s.size];
  const height = 2 * (body.radius + body.half);
  return shapes.some(({ collider: c, places }) => {
    if (isDisabled(world, s, c)) return false;
    const room = NEAR + body.radius;
    if (s.x < c.low[0] - room || s.x > c.high[0] + room) return false;
    if (s.z < c.low[2] - room || s.z > c.high[2] + room) return false;
    if (s.y < c.low[1] - NEAR - height || s.y > c.high[1] + NEAR) return false;
    if (places.length === 0) return gapNow(world, s, c) <= NEAR;
    return places.some(({ pose, bodies }) => gapTo(bodies, pose, body, s, NEAR).distance <= NEAR);
  });
}

/**
 * Metres between the runner and a collider at the state's tick; below nothing where they overlap.
 * @param world the course made ready
 * @param s the run's state
 * @param c the collider
 * @param at where the runner's foot is, m
 */
export const gapNow = (
  world: World,
  s: RunState,
  c: Collider,
  at: Readonly<Record<'x' | 'y' | 'z', number>> = s,
): number =>
  gapTo(
    c.bodies,
    c.mover < 0 ? null : poseMover(world.movers, s, c.mover).pose,
    world.bodies[s.size],
    at,
  ).distance;
