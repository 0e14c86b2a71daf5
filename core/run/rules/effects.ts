import type { Effect } from '../../course';
import { DT, FOREVER, type LinkIndex, spotAt, type World } from '../world';
import { type RunState, type EmitEvent, tideOf } from '../state';
import { teleport, respawn } from '../contact';
import { startMover, stopMover } from './followers';
import type { TickEvents } from './tickEvents';
import { isPickupPresent } from './sensors';

const until = (s: RunState, seconds: number | undefined): number =>
  seconds ? s.tick + Math.round(seconds * 120) : FOREVER;

/**
 * Does what an effect says, to pieces by their places.
 * @returns whether the tick ends with it
 */
export function applyEffect(
  world: World,
  s: RunState,
  { movers }: LinkIndex,
  { effect, pieces }: { readonly effect: Effect; readonly pieces: readonly number[] },
  happened: TickEvents,
  say: EmitEvent,
): boolean {
  const { kind, value = 1, seconds } = effect;
  switch (kind) {
    case 'show':
      for (const piece of pieces) show(s, piece);
      return false;
    case 'hide':
      for (const piece of pieces) s.away[piece] = 1;
      return false;
    case 'break':
      for (const piece of pieces) breakPiece(world, s, piece, happened, say);
      return false;
    case 'open':
    case 'shut':
      for (const piece of pieces) {
        const lock = world.pieceGates[piece];
        if (lock >= 0) s.gates[lock] = kind === 'open' ? until(s, seconds) : -1;
        else if (kind === 'open') s.away[piece] = 1;
        else show(s, piece);
      }
      return false;
    case 'start':
    case 'stop':
      for (const piece of pieces) {
        for (const mover of movers.get(piece) ?? []) {
          if (kind === 'start') startMover(s, mover);
          else stopMover(s, mover);
        }
      }
      return false;
    case 'carry': {
      const [to] = pieces;
      if (to === undefined) return false;
      const { at, turn } = world.pieces[to];
      teleport(world, s, spotAt(at, turn?.[1] ?? 0));
      s.rest = 0;
      return true;
    }
    case 'push': {
      const [x, y, z] = effect.by ?? [0, value, 0];
      s.vx += x;
      s.vz += world.lane === null ? z : 0;
      if (y !== 0) {
        s.vy = y;
        s.ground = -1;
        s.coyote = 0;
        s.rising = false;
      }
      return false;
    }
    case 'gravity':
      s.gravityBy = value;
      s.gravityUntil = until(s, seconds);
      return false;
    case 'speed':
      s.speedBy = value;
      s.speedUntil = until(s, seconds);
      return false;
    case 'size':
      s.size = world.sizeIndex(value);
      s.sizeUntil = until(s, seconds);
      return false;
    case 'still':
      s.stillUntil = s.tick + Math.round((seconds ?? 1) * 120);
      return false;
    case 'tide':
      s.tideFrom = tideOf(s);
      s.tideTo = value;
      s.tideTick = s.tick;
      s.tideTicks = Math.round((seconds ?? 1) * 120);
      return false;
    case 'message':
      say('message', 1, -1, effect.text ?? '');
      return false;
    case 'sound':
      say('sound', 1, -1, effect.sound ?? 'bell');
      return false;
    case 'points':
      s.worth += value;
      return false;
    case 'win':
      s.finish = s.tick * DT;
      say('goal');
      return true;
    case 'back':
      s.falls++;
      respawn(world, s, say);
      return true;
  }
}

/** Has a piece be there again, as whole as at first. */
function show(s: RunState, piece: number): void {
  if (s.away[piece] === 0) return;
  s.away[piece] = 0;
  if (s.hits.length > 0) s.hits[piece] = 0;
}

/** Breaks a piece: it is away from now on. */
export function breakPiece(
  world: World,
  s: RunState,
  piece: number,
  happened: TickEvents,
  say: EmitEvent,
): void {
  if (s.away[piece] === 1) return;
  s.away[piece] = 1;
  happened.broken.push(piece);
  say('break', 1, piece);
  const pickup = world.pickupAt[piece];
  if (pickup >= 0 && isPickupPresent(world, s, pickup)) s.gathered[pickup] = s.tick + 1;
}
