import { NO_TURN, rotate, scale, sub, turnedHeading, turnMatrix, type Vec3 } from '../../geometry';
import { applyPose, type Pose, STILL, undoPose } from '../../motion';
import { DT, poseMover, type World } from '../world';
import { nextRandom, type RunState, SKIN } from '../state';
import { standClear } from '../contact';
import { speedOf } from '../move';

/**
 * Carries the runner from a portal to the next of its number, or to one by chance, each once before any
 * again; its speed kept and turned by as much as the two stand turned to each other, or lost.
 * @param from the portal's piece
 * @returns whether there was somewhere to go
 */
export function goThrough(world: World, s: RunState, from: number): boolean {
  // Out of a portal one first has to leave it before it takes one back.
  if (s.portal === from) {
    s.portalTick = s.tick;
    return false;
  }
  const own = world.portalAt[from];
  const { byChance, stops } = world.portals[own];
  const to = byChance ? exitByChance(world, s, own) : nextExit(world, s, own);
  if (to < 0) return false;
  const out = world.portals[to].piece;
  const [a, b] = [frameOf(world, s, from), frameOf(world, s, out)];
  const at = world.pieces[out].at;
  const [x, y, z] = applyPose(b.pose, at);
  // What carries the runner is not lost, and what carries the portals is counted from each.
  const carried = s.ground < 0 ? STANDS : speedOf(world, s, s.ground);
  const inwards = speedAt(a, [s.x, s.y, s.z]);
  let v: Vec3 = stops
    ? [0, 0, 0]
    : [
        s.vx + carried[0] - inwards[0],
        s.vy + carried[1] - inwards[1],
        s.vz + carried[2] - inwards[2],
      ];
  s.x = x;
  s.y = y + SKIN;
  s.z = world.lane ?? z;
  s.baseY = y;
  const turn = b.heading - a.heading;
  if (world.lane === null && turn !== 0) {
    const m = turnMatrix([0, turn, 0]);
    v = rotate(m, v);
    [s.fx, s.fy, s.fz] = rotate(m, [s.fx, s.fy, s.fz]);
    s.heading = (((s.heading + turn) % 360) + 360) % 360;
  }
  const outwards = speedAt(b, [x, y, z]);
  s.vx = v[0] + outwards[0];
  s.vy = v[1] + outwards[1];
  s.vz = world.lane === null ? v[2] + outwards[2] : 0;
  s.ground = -1;
  s.portal = out;
  s.portalTick = s.tick;
  standClear(world, s);
  return true;
}

const STANDS = [0, 0, 0];

/** How a piece stands now: what carries it, and its heading in degrees about y. */
function frameOf(world: World, s: RunState, piece: number): Frame {
  const mover = world.pieceMovers[piece];
  const own = world.pieces[piece].turn?.[1] ?? 0;
  if (mover < 0) return { pose: STILL, before: STILL, heading: own };
  const { pose, before } = poseMover(world.movers, s, mover);
  return { pose, before, heading: pose.turn === NO_TURN ? own : turnedHeading(own, pose.turn) };
}

interface Frame {
  readonly pose: Pose;
  readonly before: Pose;
  readonly heading: number;
}

/** How fast a place goes that goes along with a frame, m/s. */
function speedAt({ pose, before }: Frame, p: Vec3): Vec3 {
  if (pose === before) return [0, 0, 0];
  return scale(sub(p, applyPose(before, undoPose(pose, p))), 1 / DT);
}

/** The next portal of a portal's number that is there, round and round, or -1. */
function nextExit(world: World, s: RunState, own: number): number {
  const { alike } = world.portals[own];
  const at = alike.indexOf(own);
  for (let k = 1; k < alike.length; k++) {
    const to = alike[(at + k) % alike.length];
    if (s.away[world.portals[to].piece] === 0) return to;
  }
  return -1;
}

/** A way out that was not taken since all of them were, or -1 where there is none. */
function exitByChance(world: World, s: RunState, own: number): number {
  const exits = world.portals[own].alike.filter(
    (i) => i !== own && s.away[world.portals[i].piece] === 0,
  );
  if (exits.length === 0) return -1;
  let open = exits.filter((i) => s.mouths[i] === 0);
  if (open.length === 0) {
    for (const i of exits) s.mouths[i] = 0;
    open = exits;
  }
  const to = open[Math.floor(nextRandom(s) * open.length)];
  s.mouths[to] = 1;
  return to;
}
