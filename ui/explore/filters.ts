import * as v from 'valibot';
import { KIND_WORDS, type CourseKind, type RunnerKind } from '@/core/course';
import {
  DIFFICULTIES,
  EXPLORE_ORDERS,
  ExploreQuery,
  LENGTHS,
  type ExploreAsked,
} from '@/core/protocol';
import { RUNNER_ROWS } from '../run/runners';

type Order = (typeof EXPLORE_ORDERS)[number];

/** What is looked for, as the address says it. */
export interface Filters {
  readonly words: string;
  readonly order: Order;
  readonly runner?: RunnerKind;
  readonly kind?: CourseKind;
  readonly length?: 'short' | 'middling' | 'long';
  readonly difficulty?: keyof typeof DIFFICULTIES;
  readonly unfinished: boolean;
  /** Whether only those of makers one follows are shown. */
  readonly followed: boolean;
}

/** All that is run most: what one comes upon first. */
export const ALL: Filters = { words: '', order: 'run', unfinished: false, followed: false };

/** What an address asks for; of what it says wrongly nothing. */
export function filtersOf(
  params: Readonly<Record<string, string | string[] | undefined>>,
): Filters {
  const field = <Key extends keyof typeof ExploreQuery.entries>(key: Key) => {
    const read = v.safeParse(ExploreQuery.entries[key], params[key]);
    return read.success && params[key] !== undefined ? read.output : undefined;
  };
  return {
    words: (field('words') as string | undefined) ?? '',
    order: (field('order') as Order | undefined) ?? ALL.order,
    runner: field('runner') as RunnerKind | undefined,
    kind: field('kind') as CourseKind | undefined,
    length: field('length') as Filters['length'],
    difficulty: field('difficulty') as Filters['difficulty'],
    unfinished: field('unfinished') === 'yes',
    followed: field('followed') === 'yes',
  };
}

/** The same as an address says it: nothing of what is as usual, which takes away what it said before. */
export const paramsOf = ({ words, order, unfinished, followed, ...rest }: Filters) => ({
  ...{ runner: rest.runner, kind: rest.kind, length: rest.length },
  difficulty: rest.difficulty,
  words: words.trim() || undefined,
  order: order === ALL.order ? undefined : order,
  unfinished: unfinished ? ('yes' as const) : undefined,
  followed: followed ? ('yes' as const) : undefined,
});

/** What the server is asked. */
export const askedOf = (filters: Filters): ExploreAsked => ({
  ...paramsOf(filters),
  order: filters.order,
});

/** How many of the filters beside words and order leave something out. */
export const narrowing = ({ words: _, order: __, ...rest }: Filters): number =>
  Object.values(rest).filter((one) => one !== undefined && one !== false).length;

const ANY = { value: 'any', label: 'Any' } as const;

export const ORDER_WORDS: Readonly<Record<Order, string>> = {
  run: 'Run most',
  new: 'Newest',
  liked: 'Liked most',
  close: 'Closest finishes',
};
export const ORDER_CHOICES = (Object.keys(ORDER_WORDS) as Order[]).map((value) => ({
  value,
  label: ORDER_WORDS[value],
}));
export const RUNNER_CHOICES = [
  ANY,
  ...(Object.keys(RUNNER_ROWS) as RunnerKind[]).map((value) => ({
    value,
    label: RUNNER_ROWS[value].label,
  })),
];
export const KIND_CHOICES = [
  ANY,
  ...(Object.keys(KIND_WORDS) as CourseKind[]).map((value) => ({
    value,
    label: KIND_WORDS[value],
  })),
];
export const LENGTH_CHOICES = [
  ANY,
  { value: 'short', label: `Under ${LENGTHS.short[1]} m` },
  { value: 'middling', label: `${LENGTHS.middling[0]} to ${LENGTHS.middling[1]} m` },
  { value: 'long', label: `Over ${LENGTHS.long[0]} m` },
] as const;
export const DIFFICULTY_CHOICES = [
  ANY,
  { value: 'gentle', label: `Gentle, under ${DIFFICULTIES.gentle[1]}` },
  { value: 'fair', label: `${DIFFICULTIES.fair[0]} to ${DIFFICULTIES.fair[1]}` },
  { value: 'hard', label: `Hard, over ${DIFFICULTIES.hard[0]}` },
] as const;
