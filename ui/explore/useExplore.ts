import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import type { ExploreAsked } from '@/core/protocol';
import { api } from '../state/api';
import { KEYS } from '../state/keys';

/** The published courses that are looked for, page after page. */
export const useExplore = (asked: ExploreAsked) =>
  useInfiniteQuery({
    queryKey: KEYS.explored(asked),
    queryFn: ({ pageParam, signal }) => api.explore({ ...asked, after: pageParam }, signal),
    initialPageParam: undefined as string | undefined,
    getNextPageParam: ({ next }) => next ?? undefined,
    // Those before stay until the next are there: a list that goes and comes is no list to look through.
    placeholderData: (before) => before,
  });

/** What was published in the last seven days, the newest first. */
export const useNewThisWeek = (wanted: boolean) =>
  useQuery({
    queryKey: KEYS.explored('week'),
    queryFn: async ({ signal }) =>
      (await api.explore({ order: 'new', week: 'yes' }, signal)).courses,
    enabled: wanted,
  });
