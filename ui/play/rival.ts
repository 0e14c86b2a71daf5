import type { PublishedCourse } from '@/core/protocol';

type Row = PublishedCourse['best'][number];

/**
 * Whom to race: the one just ahead of oneself who lets others see the run; without a time of one's own the last of
 * those that are shown. Null where nobody does.
 */
export function rivalOf(best: readonly Row[]): Row | null {
  const own = best.find((one) => one.own);
  const others = best.filter((one) => !one.own && one.run !== undefined);
  const ahead = own ? others.filter(({ place }) => place < own.place) : others;
  return ahead.at(-1) ?? null;
}
