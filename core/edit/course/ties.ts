import { MOST_LINKS, type Course, type Link, type Piece } from '../../course';
import type { Vec3 } from '../../geometry';
import { familyOf, specOf } from '../../pieces';

// What ties pieces to one another, and how copies of them are tied among themselves: what goes along with
// what, the numbers that act together, and links.

/** Highest number that pieces which act together may carry. */
export const MOST_PAIR = 30;

type Tied = Pick<Piece, 'family' | 'params'>;
const isPaired = ({ family }: Tied): boolean =>
  family === 'portal' || family === 'switch' || family === 'gate';

/** The number by which a piece acts together with others, or null. */
export const pairOf = (piece: Tied): number | null =>
  isPaired(piece) ? specOf(familyOf(piece.family), piece).number('pair') : null;

/** A piece with another such number. */
export const withPair = <T extends Tied>(piece: T, pair: number): T => ({
  ...piece,
  params: { ...piece.params, pair },
});

/**
 * New numbers for copies, one for each that several of the copied pieces share: what acts together does so
 * among the copies as well, and apart from what was copied. A number that only one of them carries stays, and
 * so does every number once none is free.
 */
export function freshPairs(course: Course, copied: readonly Tied[]): ReadonlyMap<number, number> {
  const counts = new Map<number, number>();
  for (const piece of copied) {
    const pair = pairOf(piece);
    if (pair !== null) counts.set(pair, (counts.get(pair) ?? 0) + 1);
  }
  const fresh = new Map<number, number>();
  if (counts.size === 0) return fresh;
  const used = new Set(course.pieces.map(pairOf));
  let next = 1;
  for (const [pair, count] of counts) {
    if (count < 2) continue;
    while (used.has(next)) next++;
    if (next > MOST_PAIR) break;
    fresh.set(pair, next);
    used.add(next);
  }
  return fresh;
}

/** A link before it has an id. */
export type NewLink = Pick<Link, 'cue' | 'effects' | 'delay' | 'chance' | 'once' | 'rest'>;

/** The pieces a link names, in its cue and in its effects. */
export const namedBy = ({ cue, effects }: Link): string[] => [
  ...(cue.pieces ?? []),
  ...effects.flatMap(({ pieces = [] }) => pieces),
];

/** The links that name pieces of a choice and no others. */
export const linksAmong = (
  { links = [] }: Pick<Course, 'links'>,
  choice: { has: (id: string) => boolean },
): Link[] =>
  links.filter((link) => {
    const named = namedBy(link);
    return named.length > 0 && named.every((id) => choice.has(id));
  });

/** A link for the copies of the pieces it names. */
export function copiedLink(
  link: Link,
  idOf: (id: string) => string,
  vector: (v: Vec3) => [number, number, number],
): NewLink {
  const { id: _, ...rest } = link;
  const mapped = (pieces: string[] | undefined) => (pieces ? { pieces: pieces.map(idOf) } : {});
  return {
    ...rest,
    cue: { ...link.cue, ...mapped(link.cue.pieces) },
    effects: link.effects.map((effect) => ({
      ...effect,
      ...mapped(effect.pieces),
      ...(effect.by ? { by: vector(effect.by) } : {}),
    })),
  };
}

/**
 * The course with more links, with ids of their own.
 * @throws RangeError in words when there would be too many
 */
export function withLinks(course: Course, more: readonly NewLink[]): Course {
  if (more.length === 0) return course;
  const links = course.links ?? [];
  if (links.length + more.length > MOST_LINKS) {
    throw new RangeError(
      `A course has at most ${MOST_LINKS} links, and the copies bring their own.`,
    );
  }
  const most = Math.max(0, ...links.map(({ id }) => Number(/^l(\d+)$/.exec(id)?.[1] ?? 0)));
  return {
    ...course,
    links: [...links, ...more.map((link, i) => ({ ...link, id: `l${most + 1 + i}` }))],
  };
}

/**
 * The course with copies just laid tied among themselves as what they were copied from is.
 * @param ids the copy of each piece
 * @param vector what the copying does to a direction of the world
 */
export function tieCopies(
  course: Course,
  ids: ReadonlyMap<string, string>,
  vector: (v: Vec3) => [number, number, number],
): Course {
  const copies = new Set(ids.values());
  const hostOf = ({ id, attach }: Piece) =>
    attach !== undefined && copies.has(id) ? ids.get(attach) : undefined;
  // Most copies go along with nothing: their list then stays as it is.
  const pieces = course.pieces.some((piece) => hostOf(piece) !== undefined)
    ? course.pieces.map((piece) => {
        const host = hostOf(piece);
        return host === undefined ? piece : { ...piece, attach: host };
      })
    : course.pieces;
  return withLinks(
    { ...course, pieces },
    linksAmong(course, ids).map((link) => copiedLink(link, (id) => ids.get(id)!, vector)),
  );
}

/** Whether two pieces can act together by a number: portals with each other, a switch with a gate. */
const actTogether = (a: Tied, b: Tied): boolean =>
  isPaired(a) && isPaired(b) && (a.family === 'portal') === (b.family === 'portal');

/** The pieces that act together with one by its number, itself not among them. */
export function partnersOf({ pieces }: Pick<Course, 'pieces'>, piece: Piece): Piece[] {
  const pair = pairOf(piece);
  return pair === null
    ? []
    : pieces.filter(
        (one) => one.id !== piece.id && actTogether(one, piece) && pairOf(one) === pair,
      );
}

/** Why a piece cannot act together with another, as a sentence. Null where it can. */
export function pairMisfit(piece: Piece, other: Piece): string | null {
  if (piece.id === other.id) return 'Touch another piece.';
  if (actTogether(piece, other)) return null;
  return piece.family === 'portal'
    ? 'A portal leads to another portal. Touch one.'
    : 'Switches and gates act together. Touch one of those.';
}

/**
 * Has a piece act together with another: it takes the other's number, and so acts with all that share it.
 * @throws RangeError in words when the two cannot act together, or are one
 */
export function pairWith(course: Course, id: string, other: string): Course {
  const [piece, partner] = [id, other].map((one) => course.pieces.find((p) => p.id === one));
  if (!piece || !partner) throw new RangeError('Touch another piece.');
  const why = pairMisfit(piece, partner);
  if (why) throw new RangeError(why);
  const pieces = course.pieces.map((one) =>
    one === piece ? withPair(one, pairOf(partner)!) : one,
  );
  return { ...course, pieces };
}
