import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import { create } from 'zustand';
import { MAKERS_RUN, type PublishedCourse } from '@/core/protocol';
import type { PaleWish } from '../run/pale/usePales';
import { api } from '../state/api';
import { MOST_PALES, toggled } from '../state/shownRuns';
import { KEYS } from '../state/keys';

interface BesideRuns {
  /** Of each course by its name which runs are wanted beside one's own; of one not touched yet, one's best. */
  readonly of: Readonly<Record<string, readonly string[]>>;
}

export const useBesideRuns = create<BesideRuns>()(() => ({ of: {} }));

type Published = Pick<PublishedCourse, 'slug' | 'best' | 'makerTime'>;

/** Has one run alone go along on a course. */
export const raceRun = (slug: string, key: string): void =>
  useBesideRuns.setState(({ of }) => ({ of: { ...of, [slug]: [key] } }));

/** The runs wanted beside one's own on a course, as far as they still can be seen. */
export function besideKeys({ slug, best, makerTime }: Published, of: BesideRuns['of']): string[] {
  const own = best.find((one) => one.own)?.run;
  const wanted = of[slug] ?? (own === undefined ? [] : [own]);
  return wanted.filter((key) =>
    key === MAKERS_RUN ? makerTime !== null : best.some(({ run }) => run === key),
  );
}

/** Wants a run beside one's own, or no longer; of too many the one wanted longest goes. */
export const toggleBesideRun = (published: Published, key: string): void =>
  useBesideRuns.setState(({ of }) => {
    const now = besideKeys(published, of);
    return { of: { ...of, [published.slug]: toggled(now, key).slice(-MOST_PALES) } };
  });

const NO_WISHES: readonly PaleWish[] = [];

/** The runs to be shown beside one's own, as far as the server has told them. */
export function useBesideWishes(data: PublishedCourse | undefined): readonly PaleWish[] {
  const of = useBesideRuns((s) => s.of);
  const keys = useMemo(() => (data ? besideKeys(data, of) : []), [data, of]);
  const runs = useQueries({
    queries: keys.map((key) => ({
      queryKey: KEYS.shownRun(data?.slug, data?.hash, key),
      queryFn: ({ signal }) => api.shownRun(data!.slug, key, signal),
      staleTime: key === MAKERS_RUN ? Infinity : 60_000,
      retry: false,
    })),
    combine: (answers) => answers.map((answer) => answer.data),
  });
  return useMemo(() => {
    if (!data || keys.length === 0) return NO_WISHES;
    const nameOf = (key: string) => {
      const row = data.best.find(({ run }) => run === key);
      return key === MAKERS_RUN ? data.maker : row?.own ? 'your best' : (row?.player ?? '');
    };
    return keys.flatMap((key, i) => {
      const run = runs[i];
      return run?.course === data.hash ? [{ key, name: nameOf(key), run }] : [];
    });
  }, [data, keys, runs]);
}
