import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import type { ExploreAsked } from '@/core/protocol';
import { api } from '../state/api';

/** The published courses that are looked for, page after page. */
export const useExplore = (asked: ExploreAsked) =>
  useInfiniteQuery({
    queryKey: ['explore', asked],
    queryFn: ({ pageParam }) => api.explore({ ...asked, after: pageParam }),
    initialPageParam: undefined as string | undefined,
    getNextPageParam: ({ next }) => next ?? undefined,
    // Those before stay until the next are there: a list that goes and comes is no list to look through.
    placeholderData: (before) => before,
  });

/** What was published in the last seven days, the newest first. */
export const useNewThisWeek = (wanted: boolean) =>
  useQuery({
    queryKey: ['explore', 'week'],
    queryFn: async () => (await api.explore({ order: 'new', week: 'yes' })).courses,
    enabled: wanted,
  });
