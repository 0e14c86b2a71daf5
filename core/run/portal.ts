import { cosDeg, sinDeg } from '../geometry';
import { familyOf, specOf } from '../pieces';
import { SKIN, type RunState } from './state';
import type { World } from './world';

/**
 * Carries the runner from a portal to the next of its number, its speed turned by as much as the two
 * stand turned to each other.
 * @returns whether there was somewhere to go
 */
export function goThrough(world: World, s: RunState, from: number): boolean {
  // Out of a portal one first has to leave it before it takes one back.
  if (s.portal === from) {
    s.portalTick = s.tick;
    return false;
  }
  const pairOf = (index: number) => {
    const piece = world.pieces[index];
    return specOf(familyOf(piece.family), piece).number('pair');
  };
  const alike = world.portals.filter((index) => pairOf(index) === pairOf(from));
  if (alike.length < 2) return false;
  const to = alike[(alike.indexOf(from) + 1) % alike.length];
  const [a, b] = [world.pieces[from], world.pieces[to]];
  s.x = b.at[0];
  s.y = b.at[1] + SKIN;
  s.z = world.lane ?? b.at[2];
  s.baseY = b.at[1];
  if (world.lane === null) {
    const turn = (b.turn?.[1] ?? 0) - (a.turn?.[1] ?? 0);
    const [c, n] = [cosDeg(turn), sinDeg(turn)];
    const { vx, vz } = s;
    s.vx = c * vx + n * vz;
    s.vz = c * vz - n * vx;
    s.heading = (((s.heading + turn) % 360) + 360) % 360;
  }
  s.ground = -1;
  s.portal = to;
  s.portalTick = s.tick;
  return true;
}
