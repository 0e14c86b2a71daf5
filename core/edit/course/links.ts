import * as v from 'valibot';
import {
  CUE_TRAITS,
  EFFECT_TRAITS,
  LinkSchema,
  MOST_LINKS,
  type Course,
  type Cue,
  type CueKind,
  type Effect,
  type EffectKind,
  type Link,
} from '../../course';

/** A cue as it is when a link is given it. */
export function newCue(kind: CueKind, pieces: readonly string[] = []): Cue {
  const { ofPieces, count, seconds } = CUE_TRAITS[kind];
  return {
    kind,
    ...(ofPieces && pieces.length > 0 ? { pieces: [...pieces] } : {}),
    ...(count ? { count } : {}),
    ...(seconds ? { seconds } : {}),
  };
}

/** An effect as it is when it is added. */
export function newEffect(kind: EffectKind, pieces: readonly string[] = []): Effect {
  const { onPieces, initial } = EFFECT_TRAITS[kind];
  const { by, ...figures } = initial ?? {};
  return {
    kind,
    ...(onPieces && pieces.length > 0 ? { pieces: [...pieces] } : {}),
    ...figures,
    ...(by ? { by: [...by] } : {}),
  };
}

/**
 * Adds a link. Returns the course and the link's id.
 * @throws RangeError in words when there are as many as there may be
 */
export function addLink(
  course: Course,
  link: Pick<Link, 'cue' | 'effects'>,
): { course: Course; id: string } {
  const links = course.links ?? [];
  if (links.length >= MOST_LINKS) {
    throw new RangeError(`A course has at most ${MOST_LINKS} links.`);
  }
  const most = Math.max(0, ...links.map(({ id }) => Number(/^l(\d+)$/.exec(id)?.[1] ?? 0)));
  const id = `l${most + 1}`;
  return { course: { ...course, links: [...links, { id, ...link }] }, id };
}

/**
 * Changes a link.
 * @throws RangeError in words when the document may not have it
 */
export function changeLink(
  course: Course,
  id: string,
  change: Readonly<Partial<Record<keyof Link, unknown>>>,
): Course {
  return {
    ...course,
    links: course.links?.map((link) => {
      if (link.id !== id) return link;
      const next = Object.fromEntries(
        Object.entries({ ...link, ...change }).filter(([, value]) => value !== undefined),
      );
      const result = v.safeParse(LinkSchema, next);
      if (!result.success) throw new RangeError(`The link ${result.issues[0].message}.`);
      return result.output;
    }),
  };
}

/**
 * Changes one effect of a link.
 * @param course the course as it is; it stays so
 * @param id of the link
 * @param index which of them, from 0
 * @param effect what it becomes
 */
export const changeEffect = (course: Course, id: string, index: number, effect: Effect): Course =>
  changeLink(course, id, {
    effects: course.links
      ?.find((link) => link.id === id)
      ?.effects.map((old, i) => (i === index ? effect : old)),
  });

/** The course without a link. */
export function removeLink(course: Course, id: string): Course {
  const links = course.links?.filter((link) => link.id !== id);
  const { links: _, ...rest } = course;
  return (links && links.length > 0 ? { ...rest, links } : rest) as Course;
}

/** The links a piece gives the cue of, and those that do something to it. */
export function linksOf(
  { links = [] }: Pick<Course, 'links'>,
  piece: string,
): { readonly from: Link[]; readonly to: Link[] } {
  return {
    from: links.filter(({ cue }) => cue.pieces?.includes(piece)),
    to: links.filter(({ effects }) => effects.some(({ pieces }) => pieces?.includes(piece))),
  };
}

/**
 * What is left of a course's links, attachments and their like without some pieces: a link that has
 * nothing left to wait for or to do goes with them.
 */
export function withoutTies(course: Course, gone: ReadonlySet<string>): Course {
  const left = (pieces: readonly string[] | undefined) => pieces?.filter((id) => !gone.has(id));
  const keeps = (pieces: readonly string[] | undefined) =>
    pieces === undefined || pieces.some((id) => !gone.has(id));
  const links = course.links?.flatMap((link): Link[] => {
    if (!keeps(link.cue.pieces)) return [];
    const effects = link.effects
      .filter(({ pieces }) => keeps(pieces))
      .map((effect) => (effect.pieces ? { ...effect, pieces: left(effect.pieces) } : effect));
    if (effects.length === 0) return [];
    const cue = link.cue.pieces ? { ...link.cue, pieces: left(link.cue.pieces) } : link.cue;
    return [{ ...link, cue, effects }];
  });
  const pieces = course.pieces.some(({ attach }) => attach !== undefined && gone.has(attach))
    ? course.pieces.map((piece) => {
        if (piece.attach === undefined || !gone.has(piece.attach)) return piece;
        const { attach: _, ...rest } = piece;
        return rest as typeof piece;
      })
    : course.pieces;
  const { links: _, ...rest } = course;
  return { ...rest, pieces, ...(links && links.length > 0 ? { links } : {}) } as Course;
}

/**
 * Has one of a link's effects come at another place among them.
 * @param course the course as it is; it stays so
 * @param id of the link
 * @param from its place now, from 0
 * @param to its place then
 */
export function moveEffect(course: Course, id: string, from: number, to: number): Course {
  const link = course.links?.find((one) => one.id === id);
  if (!link || to < 0 || to >= link.effects.length || from === to) return course;
  const effects = [...link.effects];
  effects.splice(to, 0, ...effects.splice(from, 1));
  return changeLink(course, id, { effects });
}
