import { cosDeg, sinDeg } from '../geometry';
import { familyOf, specOf } from '../pieces';
import { chance } from './chance';
import { SKIN, type RunState } from './state';
import type { World } from './world';

/**
 * Carries the runner from a portal to the next of its number, or to one by chance, each once before any
 * again; its speed kept and turned by as much as the two stand turned to each other, or lost.
 * @returns whether there was somewhere to go
 */
export function goThrough(world: World, s: RunState, from: number): boolean {
  // Out of a portal one first has to leave it before it takes one back.
  if (s.portal === from) {
    s.portalTick = s.tick;
    return false;
  }
  const own = specOf(familyOf('portal'), world.pieces[from]);
  const alike = world.portals.filter(
    (index) =>
      s.away[index] === 0 &&
      specOf(familyOf('portal'), world.pieces[index]).number('pair') === own.number('pair'),
  );
  if (alike.length < 2) return false;
  const to =
    own.choice('exits') === 'chance'
      ? byChance(world, s, alike, from)
      : alike[(alike.indexOf(from) + 1) % alike.length];
  const [a, b] = [world.pieces[from], world.pieces[to]];
  s.x = b.at[0];
  s.y = b.at[1] + SKIN;
  s.z = world.lane ?? b.at[2];
  s.baseY = b.at[1];
  if (own.choice('speed') === 'stops') {
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
  s.portal = to;
  s.portalTick = s.tick;
  return true;
}

/** A way out that was not taken since all of them were. */
function byChance(world: World, s: RunState, alike: readonly number[], from: number): number {
  const exits = alike.filter((index) => index !== from);
  const mouth = (index: number) => world.portals.indexOf(index);
  let open = exits.filter((index) => s.mouths[mouth(index)] === 0);
  if (open.length === 0) {
    for (const index of exits) s.mouths[mouth(index)] = 0;
    open = exits;
  }
  const to = open[Math.floor(chance(s) * open.length)];
  s.mouths[mouth(to)] = 1;
  return to;
}
