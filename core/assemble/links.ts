import * as v from 'valibot';
import {
  LinkSchema,
  MOST_LINKS,
  type Course,
  type CueKind,
  type Effect,
  type EffectKind,
  type Link,
} from '../course';

/** Cues that watch pieces, and effects that are done to pieces. */
export const CUES_OF_PIECES: readonly CueKind[] = [
  'touched',
  'left',
  'stood',
  'broken',
  'all-gathered',
  'checkpoint',
];
export const EFFECTS_ON_PIECES: readonly EffectKind[] = [
  'show',
  'hide',
  'open',
  'shut',
  'break',
  'start',
  'stop',
  'carry',
];

/** What cues are counted by, and timed by, when they are begun with. */
export const CUE_COUNTS: Partial<Record<CueKind, number>> = {
  ...{ gathered: 5, beat: 4, worth: 20, fallen: 3, round: 1 },
};
export const CUE_SECONDS: Partial<Record<CueKind, number>> = {
  ...{ stood: 1, timer: 5, 'time-left': 10 },
};
/** Cues that may wait for all of several pieces. */
export const CUES_OF_ALL: readonly CueKind[] = ['touched', 'broken', 'checkpoint'];

/** What a link has of its own when one is begun with a cue. */
export const newCue = (kind: CueKind, pieces: readonly string[] = []): Link['cue'] => ({
  kind,
  ...(CUES_OF_PIECES.includes(kind) && pieces.length > 0 ? { pieces: [...pieces] } : {}),
  ...(CUE_COUNTS[kind] ? { count: CUE_COUNTS[kind] } : {}),
  ...(CUE_SECONDS[kind] ? { seconds: CUE_SECONDS[kind] } : {}),
});

/** An effect as it is when it is added. */
export const newEffect = (kind: EffectKind, pieces: readonly string[] = []): Effect => ({
  kind,
  ...(EFFECTS_ON_PIECES.includes(kind) && pieces.length > 0 ? { pieces: [...pieces] } : {}),
  ...(
    {
      push: { by: [0, 10, 0] },
      gravity: { value: 0.5, seconds: 5 },
      speed: { value: 1.5, seconds: 5 },
      size: { value: 0.5, seconds: 5 },
      still: { seconds: 1 },
      tide: { value: 2, seconds: 10 },
      message: { text: 'Well run' },
      points: { value: 10 },
      sound: { sound: 'bell' },
    } as Partial<Record<EffectKind, Partial<Effect>>>
  )[kind],
});

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

/** Changes one effect of a link. */
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

/** Has one of a link's effects come at another place among them. */
export function moveEffect(course: Course, id: string, from: number, to: number): Course {
  const link = course.links?.find((one) => one.id === id);
  if (!link || to < 0 || to >= link.effects.length || from === to) return course;
  const effects = [...link.effects];
  effects.splice(to, 0, ...effects.splice(from, 1));
  return changeLink(course, id, { effects });
}
