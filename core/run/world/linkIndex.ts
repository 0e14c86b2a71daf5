import { ticksOf } from './time';
import { CUE_TRAITS, type CueKind, type Effect, type Link } from '../../course';
import type { Mover } from './mover';

/** A link with its pieces by their places, and its times in ticks. */
export interface ReadyLink {
  readonly link: Link;
  /** Places of the pieces its cue names. */
  readonly pieces: readonly number[];
  readonly effects: readonly { readonly effect: Effect; readonly pieces: readonly number[] }[];
  /** Ticks it is stood in, or between two of a timer's cues; of its delay and its rest. */
  readonly seconds: number;
  readonly delay: number;
  readonly rest: number;
}

type ByPiece = ReadonlyMap<number, readonly number[]>;

/** A course's links, each to be found by what gives its cue. */
export interface LinkIndex {
  readonly links: readonly ReadyLink[];
  /** By the pieces they wait for. */
  readonly touched: ByPiece;
  readonly left: ByPiece;
  readonly stood: ByPiece;
  readonly broken: ByPiece;
  readonly checkpoint: ByPiece;
  /** Those that any checkpoint gives their cue, anything gathered, or the clock and the counts alone. */
  readonly anyCheckpoint: readonly number[];
  readonly gathered: readonly number[];
  readonly clock: readonly number[];
  /** Movers by the piece they move. */
  readonly movers: ByPiece;
}

/**
 * The index of a course's links.
 * @param placeOf places of pieces by their ids
 */
export function indexLinks(
  told: readonly Link[],
  placeOf: ReadonlyMap<string, number>,
  movers: readonly Mover[],
): LinkIndex {
  const places = (ids: readonly string[] = []) => ids.flatMap((id) => placeOf.get(id) ?? []);
  const links = told.map((link): ReadyLink => ({
    link,
    pieces: places(link.cue.pieces),
    effects: link.effects.map((effect) => ({ effect, pieces: places(effect.pieces) })),
    seconds: Math.max(1, ticksOf(link.cue.seconds ?? 1)),
    delay: ticksOf(link.delay ?? 0),
    rest: ticksOf(link.rest ?? 0),
  }));
  const of = (kind: CueKind) => links.flatMap(({ link }, i) => (link.cue.kind === kind ? [i] : []));
  const noticedBy = (what: (typeof CUE_TRAITS)[CueKind]['noticed']) =>
    links.flatMap(({ link }, i) => (CUE_TRAITS[link.cue.kind].noticed === what ? [i] : []));
  const byPiece = (kind: CueKind) =>
    grouped(of(kind).flatMap((i) => [...new Set(links[i].pieces)].map((piece) => [piece, i])));
  return {
    links,
    touched: byPiece('touched'),
    left: byPiece('left'),
    stood: byPiece('stood'),
    broken: byPiece('broken'),
    checkpoint: byPiece('checkpoint'),
    anyCheckpoint: of('checkpoint').filter((i) => links[i].pieces.length === 0),
    gathered: noticedBy('gathered'),
    clock: noticedBy('clock'),
    movers: grouped(movers.map(({ piece, index }) => [piece, index])),
  };
}

function grouped(pairs: readonly (readonly number[])[]): ByPiece {
  const lists = new Map<number, number[]>();
  for (const [piece, value] of pairs) {
    const list = lists.get(piece);
    if (list) list.push(value);
    else lists.set(piece, [value]);
  }
  return lists;
}
