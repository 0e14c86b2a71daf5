import { CUE_TRAITS } from '../../../course';
import { FOREVER, type LinkIndex, type ReadyLink, type World } from '../../world';
import { nextRandom, LINK_SIZE, type RunState, type EmitEvent } from '../../state';
import type { TickEvents } from '../tickEvents';
import { ACTED, DUE, IS_GIVEN, LAST, type IsGiven } from './cues';
import { APPLY_EFFECT, type EffectContext } from './effects';

/** Most links that act within one tick; what is due beyond that acts in the next. */
const MOST_ACTS = 64;
/** Most messages, and most sounds, that a tick tells of: nobody could take in more. */
const MOST_TOLD = 4;
/** Ticks without a touch after which what was touched counts as left. */
const LEFT_TICKS = 3;

/** The links' acting within one tick. */
interface Acting extends EffectContext {
  /** The same, made at the first act, that tells no more than a few words. */
  few: EmitEvent | null;
  /** Ids of the links that acted, in order. */
  readonly acted: string[];
  /** How many may have acted before the rest has to wait, or counts as a loop. */
  most: number;
  ends: boolean;
}

/** Numbers of the links heard of; made anew for each round, and reused. */
const heard: number[] = [];

/**
 * Has every link act whose cue was given in this tick, and what is due. What effects themselves bring
 * about is heard in the same tick; a loop of them ends the links' acting with a word that names them.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param happened what links may hear of in this tick
 * @param say is told what happened
 * @returns whether the tick ends with what a link did
 */
export function actOnLinks(
  world: World,
  s: RunState,
  happened: TickEvents,
  say: EmitEvent,
): boolean {
  const index = world.linkIndex;
  const due = s.tick >= s.due;
  hearFirst(world, s, index, happened);
  // Most ticks bring nothing about.
  if (!due && heard.length === 0) {
    if (happened.broken.length > 0) happened.broken.length = 0;
    return false;
  }
  const first = inOrder(heard);
  const acted: string[] = [];
  // Of what is heard most does not act: so nothing is made here that only acting needs.
  const most = MOST_ACTS;
  const acting: Acting = { world, s, index, happened, say, few: null, acted, most, ends: false };
  // What broke is heard in rounds: what one of them breaks is for the next.
  if (happened.broken.length > 0) happened.broken.length = 0;
  if (due) actOnDue(acting);
  follow(acting, first, true);
  // What follows from what broke is counted apart: very many at once are no loop.
  acting.most = acted.length + MOST_ACTS;
  while (happened.broken.length > 0 && acted.length < acting.most) {
    heard.length = 0;
    for (const piece of happened.broken.splice(0)) hear(index.broken.get(piece));
    follow(acting, inOrder(heard), false);
  }
  if (happened.broken.length > 0) {
    happened.broken.length = 0;
    say('loop', 1, -1, [...new Set(acted)].slice(-MOST_NAMED).join(', '));
  }
  return acting.ends;
}

/** Most links of a loop that are named. */
const MOST_NAMED = 8;

/** Tells of no more than a few messages and sounds. */
function fewWords(say: EmitEvent): EmitEvent {
  const told = { message: 0, sound: 0 };
  return (kind, part, piece, text) => {
    if ((kind === 'message' || kind === 'sound') && ++told[kind] > MOST_TOLD) return;
    say(kind, part, piece, text);
  };
}

/** Has what is due act, as much as a tick may; the rest stays due. */
function actOnDue(acting: Acting): void {
  const { s, index } = acting;
  s.due = FOREVER;
  for (let i = 0; i < index.links.length; i++) {
    const due = s.links[i * LINK_SIZE + DUE];
    if (due < 0) continue;
    if (due <= s.tick && acting.acted.length < acting.most) act(acting, i);
    else s.due = Math.min(s.due, Math.max(due, s.tick + 1));
  }
}

function act(acting: Acting, i: number): void {
  const { world, s, index, happened, acted } = acting;
  const say = (acting.few ??= fewWords(acting.say));
  const { link, effects } = index.links[i];
  const context = { world, s, index, happened, say };
  acted.push(link.id);
  s.links[i * LINK_SIZE + DUE] = -1;
  say('link', 1, -1, link.id);
  for (const { effect, pieces } of effects) {
    if (APPLY_EFFECT[effect.kind](context, effect, pieces)) acting.ends = true;
  }
}

/** Notes links whose cue may have been given. */
function hear(links: readonly number[] | undefined): void {
  if (links) for (let k = 0; k < links.length; k++) heard.push(links[k]);
}

/** Notes the links whose cue may have been given in this tick before any acted. */
function hearFirst(world: World, s: RunState, index: LinkIndex, happened: TickEvents): void {
  const { touched, broken, checkpoints, gathered } = happened;
  const { clock, links } = index;
  // Setting a length costs more than looking at it.
  if (heard.length > 0) heard.length = 0;
  for (let k = 0; k < clock.length; k++) {
    const link = links[clock[k]];
    if (IS_GIVEN[link.link.cue.kind](world, s, link, clock[k])) heard.push(clock[k]);
  }
  for (let k = 0; k < touched.length; k++) hear(index.touched.get(touched[k]));
  for (let k = 0; k < broken.length; k++) hear(index.broken.get(broken[k]));
  for (let k = 0; k < checkpoints.length; k++) hear(index.checkpoint.get(checkpoints[k]));
  if (checkpoints.length > 0) hear(index.anyCheckpoint);
  if (gathered) hear(index.gathered);
  if (s.watched.length > 0) watch(s, index);
}

/** Notes the links that wait for pieces to be left, or to be stood in; forgets the pieces that were left. */
function watch(s: RunState, index: LinkIndex): void {
  const { watched } = s;
  let kept = 0;
  for (const piece of watched) {
    const since = s.tick - s.touched[piece];
    if (since < LEFT_TICKS) {
      watched[kept++] = piece;
      hear(index.stood.get(piece));
    } else if (since === LEFT_TICKS) hear(index.left.get(piece));
  }
  if (kept < watched.length) watched.length = kept;
}

/** The numbers of a list, each once, in rising order. */
const inOrder = (list: readonly number[]): readonly number[] =>
  list.length < 2 ? list : [...new Set(list)].sort((a, b) => a - b);

/** Has links act whose cue was given. */
function follow(acting: Acting, heard: readonly number[], first: boolean): void {
  const { world, s, index, acted } = acting;
  for (const i of heard) {
    const ready = index.links[i];
    if (!wasGiven(world, s, ready, i) || !mayAct(s, ready, i)) continue;
    if (!first && acted.length >= acting.most) return;
    s.links[i * LINK_SIZE + ACTED]++;
    s.links[i * LINK_SIZE + LAST] = s.tick;
    const { chance: odds } = ready.link;
    if (odds !== undefined && nextRandom(s) >= odds) continue;
    // Of very many at once the rest wait for the next tick.
    const delay = ready.delay > 0 || acted.length < acting.most ? ready.delay : 1;
    if (delay > 0) dueAt(s, i, s.tick + delay);
    else act(acting, i);
  }
}

function mayAct(s: RunState, { link, rest }: ReadyLink, i: number): boolean {
  const at = i * LINK_SIZE;
  if (s.links[at + DUE] >= 0) return false;
  if (s.links[at + ACTED] === 0) return true;
  return !link.once && s.tick - s.links[at + LAST] >= rest;
}

/** Has a link act at a tick, whatever it waits for. */
export function dueAt(s: RunState, link: number, tick: number): void {
  s.links[link * LINK_SIZE + DUE] = tick;
  s.due = Math.min(s.due, tick);
}

/** Notes that a piece was touched for which a link waits to be left or stood in. */
export function watchPiece(s: RunState, piece: number): void {
  if (!s.watched.includes(piece)) s.watched.push(piece);
}

/** Has pieces be as if the runner had just left them. */
export function leave(s: RunState, pieces: readonly number[]): void {
  for (const piece of pieces) {
    s.touched[piece] = s.tick - LEFT_TICKS;
    watchPiece(s, piece);
  }
}

/** Whether the cue of a link that was heard of is given; what the clock gives was asked for already. */
const wasGiven: IsGiven = (world, s, ready, i) => {
  const { kind } = ready.link.cue;
  return CUE_TRAITS[kind].noticed === 'clock' || IS_GIVEN[kind](world, s, ready, i);
};
