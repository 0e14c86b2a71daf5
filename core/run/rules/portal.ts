import { cosDeg, sinDeg } from '../../geometry';
import type { World } from '../world';
import { nextRandom, type RunState, SKIN } from '../state';
import { standClear } from '../contact';

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
  const [a, b] = [world.pieces[from], world.pieces[out]];
  s.x = b.at[0];
  s.y = b.at[1] + SKIN;
  s.z = world.lane ?? b.at[2];
  s.baseY = b.at[1];
  if (stops) {
    s.vx = 0;
    s.vy = 0;
    s.vz = 0;
  }
  const turn = (b.turn?.[1] ?? 0) - (a.turn?.[1] ?? 0);
  if (world.lane === null && turn !== 0) {
    const [c, n] = [cosDeg(turn), sinDeg(turn)];
    const { vx, vz, fx, fz } = s;
    s.vx = c * vx + n * vz;
    s.vz = c * vz - n * vx;
    s.fx = c * fx + n * fz;
    s.fz = c * fz - n * fx;
    s.heading = (((s.heading + turn) % 360) + 360) % 360;
  }
  s.ground = -1;
  s.portal = out;
  s.portalTick = s.tick;
  standClear(world, s);
  return true;
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
