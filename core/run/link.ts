import type { Effect, Link } from '../course';
import { startMover, stopMover } from './drive';
import { chance } from './chance';
import { FOR_GOOD } from './lock';
import { isThere } from './meet';
import { putAt, respawn } from './put';
import { DT } from './runner';
import { LINK_SIZE, tideOf, type RunState } from './state';
import type { Say } from './tell';
import { spotAt, type World } from './world';

/** What happened within a tick that links wait for. */
export interface Happened {
  readonly touched: number[];
  readonly broken: number[];
  readonly checkpoints: number[];
  gathered: boolean;
}

export const nothingHappened = (): Happened => ({
  touched: [],
  broken: [],
  checkpoints: [],
  gathered: false,
});

/** Has nothing have happened any more, for the next tick. */
export function forget(happened: Happened): Happened {
  // Setting a length costs more than looking at it.
  for (const list of [happened.touched, happened.broken, happened.checkpoints]) {
    if (list.length > 0) list.length = 0;
  }
  happened.gathered = false;
  return happened;
}

const isQuiet = ({ touched, broken, checkpoints, gathered }: Happened): boolean =>
  touched.length + broken.length + checkpoints.length === 0 && !gathered;

/** Most links that may act within one tick; more are a loop. */
const MOST_ACTS = 64;
/** Ticks without a touch after which what was touched counts as left. */
const LEFT_TICKS = 3;

// Places within a link's numbers.
const [ACTED, LAST, DUE, STOOD] = [0, 1, 2, 3];

/** A link with the places of the pieces its cue names. */
interface Asked {
  readonly link: Link;
  readonly pieces: readonly number[];
}

/** A course's links, and which of them may act when nothing happens: in any tick, or a while after a touch. */
interface AllAsked {
  readonly links: readonly Asked[];
  readonly all: readonly number[];
  readonly anytime: readonly number[];
  readonly afterTouch: readonly number[];
}
const ANYTIME: readonly Link['cue']['kind'][] = ['start', 'beat', 'timer'];
const AFTER_TOUCH: readonly Link['cue']['kind'][] = [...ANYTIME, 'left', 'stood'];
const askedOf = new WeakMap<World, AllAsked>();

function asked(world: World): AllAsked {
  let known = askedOf.get(world);
  if (!known) {
    const byId = placesOf(world);
    const all = world.links.map((_, i) => i);
    const of = (kinds: readonly Link['cue']['kind'][]) =>
      all.filter((i) => kinds.includes(world.links[i].cue.kind));
    known = {
      links: world.links.map((link) => ({
        link,
        pieces: (link.cue.pieces ?? []).flatMap((id) => byId.get(id) ?? []),
      })),
      all,
      anytime: of(ANYTIME),
      afterTouch: of(AFTER_TOUCH),
    };
    askedOf.set(world, known);
  }
  return known;
}

const placesByWorld = new WeakMap<World, Map<string, number>>();
/** Places of pieces by their ids. */
export function placesOf(world: World): Map<string, number> {
  let known = placesByWorld.get(world);
  if (!known) {
    known = new Map(world.pieces.map(({ id }, i) => [id, i]));
    placesByWorld.set(world, known);
  }
  return known;
}

/**
 * Has every link act whose cue was given in this tick, and what is due. What effects themselves bring
 * about is heard in the same tick; a loop of them ends the links' acting with a word that names them.
 * @returns whether the tick ends with what a link did
 */
export function actOnLinks(world: World, s: RunState, happened: Happened, say: Say): boolean {
  const { links, all, anytime, afterTouch } = asked(world);
  const unheard = s.tick - s.heeded > LEFT_TICKS ? anytime : afterTouch;
  if (s.tick < s.due && unheard.length === 0 && isQuiet(happened)) return false;
  let acts = 0;
  let ends = false;
  const acted: string[] = [];
  const act = (i: number) => {
    acts++;
    acted.push(links[i].link.id);
    s.links[i * LINK_SIZE + DUE] = -1;
    say('link', 1, -1, links[i].link.id);
    for (const effect of links[i].link.effects) {
      if (take(world, s, effect, happened, say)) ends = true;
    }
  };
  if (s.tick >= s.due) {
    s.due = FOR_GOOD;
    for (let i = 0; i < links.length; i++) {
      const due = s.links[i * LINK_SIZE + DUE];
      if (due >= 0 && due <= s.tick) act(i);
      else if (due >= 0) s.due = Math.min(s.due, due);
    }
  }
  // Links in their order; again as long as one of them brought about what another waits for.
  let again = true;
  const quiet = isQuiet(happened);
  for (let round = 0; again && acts <= MOST_ACTS; round++) {
    again = false;
    const heard =
      quiet && round === 0 ? happened : { ...happened, broken: happened.broken.splice(0) };
    if (round > 0 && heard.broken.length === 0) break;
    const may = quiet && round === 0 ? unheard : all;
    for (let k = 0; k < may.length && acts <= MOST_ACTS; k++) {
      const i = may[k];
      if (!cued(world, s, links[i], i, heard, round)) continue;
      const { link } = links[i];
      if (!mayAct(s, link, i)) continue;
      s.links[i * LINK_SIZE + ACTED]++;
      s.links[i * LINK_SIZE + LAST] = s.tick;
      if (link.chance !== undefined && chance(s) >= link.chance) continue;
      if (link.delay) dueAt(s, i, s.tick + Math.round(link.delay * 120));
      else {
        act(i);
        again ||= happened.broken.length > 0;
      }
    }
  }
  if (acts > MOST_ACTS) {
    happened.broken.length = 0;
    say('loop', 1, -1, [...new Set(acted)].join(', '));
  }
  return ends;
}

function mayAct(s: RunState, { once, rest }: Link, i: number): boolean {
  const at = i * LINK_SIZE;
  if (s.links[at + DUE] >= 0) return false;
  if (s.links[at + ACTED] === 0) return true;
  return !once && s.tick - s.links[at + LAST] >= Math.round((rest ?? 0) * 120);
}

/** Has a link act at a tick, whatever it waits for. */
export function dueAt(s: RunState, link: number, tick: number): void {
  s.links[link * LINK_SIZE + DUE] = tick;
  s.due = Math.min(s.due, tick);
}

/** Has pieces be as if the runner had just left them. */
export function leave(s: RunState, pieces: readonly number[]): void {
  for (const piece of pieces) s.touched[piece] = s.tick - LEFT_TICKS;
  s.heeded = s.tick;
}

/** Whether a link's cue was given. Only the first round hears of anything but what broke. */
function cued(
  world: World,
  s: RunState,
  { link, pieces }: Asked,
  i: number,
  happened: Happened,
  round: number,
): boolean {
  const { kind, count = 1, seconds = 1 } = link.cue;
  // Asked in every tick of every link: nothing is made for it.
  if (kind === 'left') {
    for (let k = 0; k < pieces.length; k++) {
      if (round === 0 && s.tick - s.touched[pieces[k]] === LEFT_TICKS) return true;
    }
    return false;
  }
  if (kind === 'broken') return pieces.some((piece) => happened.broken.includes(piece));
  if (round > 0) return false;
  switch (kind) {
    case 'touched':
      return pieces.some((piece) => happened.touched.includes(piece));
    case 'stood': {
      const at = i * LINK_SIZE + STOOD;
      let within = false;
      for (let k = 0; k < pieces.length; k++) {
        within ||= s.tick - s.touched[pieces[k]] < LEFT_TICKS;
      }
      s.links[at] = within ? s.links[at] + 1 : 0;
      return s.links[at] === Math.round(seconds * 120);
    }
    case 'gathered':
      return happened.gathered && s.gatheredCount >= count && s.links[i * LINK_SIZE + ACTED] === 0;
    case 'all-gathered':
      return (
        happened.gathered &&
        s.links[i * LINK_SIZE + ACTED] === 0 &&
        pieces.every((piece) => {
          const place = world.pickupAt[piece];
          return place < 0 || s.gathered[place] > 0;
        })
      );
    case 'checkpoint':
      return happened.checkpoints.some((piece) => pieces.length === 0 || pieces.includes(piece));
    case 'start':
      return s.tick === 1;
    case 'beat': {
      const beat = world.beat.seconds * count;
      const at = (tick: number) => Math.floor((tick / 120 - world.beat.offset) / beat + 1e-9);
      return s.tick / 120 >= world.beat.offset - 1e-9 && at(s.tick) !== at(s.tick - 1);
    }
    case 'timer': {
      const ticks = Math.max(1, Math.round(seconds * 120));
      return s.tick % ticks === 0;
    }
  }
}

const until = (s: RunState, seconds: number | undefined): number =>
  seconds ? s.tick + Math.round(seconds * 120) : FOR_GOOD;

/** Does what an effect says. Returns whether the tick ends with it. */
function take(world: World, s: RunState, effect: Effect, happened: Happened, say: Say): boolean {
  const byId = placesOf(world);
  const pieces = (effect.pieces ?? []).flatMap((id) => byId.get(id) ?? []);
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
        const lock = world.pieceLocks[piece];
        if (lock >= 0) s.locks[lock] = kind === 'open' ? until(s, seconds) : -1;
        else if (kind === 'open') s.away[piece] = 1;
        else show(s, piece);
      }
      return false;
    case 'start':
    case 'stop':
      for (const mover of world.movers) {
        if (!pieces.includes(mover.piece)) continue;
        if (kind === 'start') startMover(s, mover.index);
        else stopMover(s, mover.index);
      }
      return false;
    case 'carry': {
      const [to] = pieces;
      if (to === undefined) return false;
      const { at, turn } = world.pieces[to];
      putAt(world, s, spotAt(at, turn?.[1] ?? 0));
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
      s.size = world.sizeOf(value);
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
  happened: Happened,
  say: Say,
): void {
  if (s.away[piece] === 1) return;
  s.away[piece] = 1;
  happened.broken.push(piece);
  say('break', 1, piece);
  const pickup = world.pickupAt[piece];
  if (pickup >= 0 && isThere(world, s, pickup)) s.gathered[pickup] = s.tick + 1;
}
