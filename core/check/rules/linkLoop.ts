import { CUE_TRAITS, type Course } from '../../course';
import { findFamily } from '../../pieces';
import { stronglyConnected } from '../components';
import type { Check, CheckRule } from '../finding';

const name = (course: Course, id: string): string => {
  const piece = course.pieces.find((one) => one.id === id);
  return piece ? (piece.name ?? findFamily(piece.family)?.label ?? piece.family) : id;
};

/** Links that break each other's pieces in a ring, and show them again, would act for ever within one tick. */
const loops: Check<'link-loop'> = (course) => {
  const all = course.links ?? [];
  // Links lead to the pieces they break, and those to the links that wait for them to be broken.
  const pieces = [
    ...new Set(all.flatMap(({ cue }) => (CUE_TRAITS[cue.kind].givenBy ? (cue.pieces ?? []) : []))),
  ];
  const nodes = new Map(pieces.map((id, i) => [id, all.length + i]));
  const ways: number[][] = Array.from({ length: all.length + pieces.length }, () => []);
  all.forEach(({ cue, effects }, i) => {
    const { givenBy } = CUE_TRAITS[cue.kind];
    if (!givenBy) return;
    for (const id of new Set(cue.pieces)) ways[nodes.get(id)!].push(i);
    for (const effect of effects) {
      if (effect.kind !== givenBy) continue;
      for (const id of effect.pieces ?? []) if (nodes.has(id)) ways[i].push(nodes.get(id)!);
    }
  });
  const ring = stronglyConnected(ways.length, (node) => ways[node])
    .filter((group) => group.length > 1)
    .map((group) => group.filter((node) => node < all.length).sort((a, b) => a - b))
    .find((links) => links.some((i) => all[i].effects.some(({ kind }) => kind === 'show')));
  if (!ring) return [];
  const broken = [...new Set(ring.flatMap((i) => all[i].cue.pieces ?? []))];
  const told = broken.slice(0, MOST_NAMED).map((id) => name(course, id));
  const more = broken.length > MOST_NAMED ? ` and ${broken.length - MOST_NAMED} more` : '';
  const [first] = ring;
  return [
    {
      rule: 'link-loop',
      weight: 'error',
      message: `These links set each other off in a loop: ${[...new Set(told)].join(', ')}${more}.`,
      piece: all[first].cue.pieces?.[0],
      fix: { label: 'Remove one of them', edit: { do: 'unlink', id: all[first].id } },
    },
  ];
};

/** Most pieces of a ring of links that are named. */
const MOST_NAMED = 5;

export const linkLoopRule: CheckRule<'link-loop'> = { id: 'link-loop', check: loops };
