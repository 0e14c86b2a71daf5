import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useIsFocused } from 'expo-router';
import type { Course } from '@/core/course';
import { api } from './api';
import { courseKey, keptQuery, orKept } from './keptAnswers';
import { createCourse, withUnsent, type CourseInList } from './unsent';
import { KEYS } from './keys';

/** Who is making. */
export const useMe = () => useQuery({ queryKey: KEYS.me, queryFn: keptQuery('me', api.me) });

/** The maker's own courses, the last changed first, as the server has them and as they are here. */
export const useCourses = () =>
  useQuery({
    queryKey: KEYS.courses,
    queryFn: keptQuery('courses', api.courses, ({ courses }) => withUnsent(courses)),
    // Beneath another screen it need not hear of every save.
    subscribed: useIsFocused(),
  });

/** One of the maker's own courses as the server has it. */
export const useCourseOnServer = (id: string) =>
  useQuery({
    queryKey: KEYS.course(id),
    queryFn: keptQuery(courseKey(id), (signal) => api.course(id, signal)),
    retry: 1,
    // Courses are not changed in place: there is nothing to share that finding it would be worth.
    structuralSharing: false,
  });

/** The course of a list, whole. */
export const documentOf = async ({ id, here }: CourseInList): Promise<Course> =>
  here ?? (await orKept(courseKey(id), () => api.course(id))).course;

/** A published course as anyone sees it. */
export const usePublished = (slug: string, edition?: number) =>
  useQuery({
    queryKey: KEYS.published(slug, edition),
    queryFn: keptQuery(`published ${slug} ${edition ?? ''}`.trim(), (signal) =>
      api.published(slug, edition, signal),
    ),
    retry: 1,
  });

/** A series as anyone sees it. */
export const useSeries = (id: string | undefined) =>
  useQuery({
    queryKey: KEYS.series(id),
    queryFn: keptQuery(`series ${id}`, (signal) => api.series(id!, signal)),
    enabled: id !== undefined,
    retry: 1,
  });

/** One's own series. */
export const useAllSeries = () =>
  useQuery({
    queryKey: KEYS.allSeries,
    queryFn: keptQuery('series', api.allSeries, ({ series }) => series),
  });

/** The demo courses. */
export const useDemos = () =>
  useQuery({
    queryKey: KEYS.demos,
    queryFn: keptQuery('demos', api.demos, ({ demos }) => demos),
    staleTime: Infinity,
  });

/** Keeps a new course; everyone without an account gets one with it. */
export function useCreateCourse() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: createCourse,
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: KEYS.courses });
      void client.invalidateQueries({ queryKey: KEYS.me });
    },
  });
}

/** The maker's kit: assemblies kept to be laid again. */
export const useKits = () =>
  useQuery({ queryKey: KEYS.kits, queryFn: keptQuery('kits', api.kits, ({ kits }) => kits) });

/** What was deleted and may come back. */
export const useBin = (open: boolean) =>
  useQuery({
    queryKey: KEYS.bin,
    queryFn: ({ signal }) => api.bin(signal),
    enabled: open,
    staleTime: 0,
  });

/** The devices that are signed in. */
export const useDevices = () =>
  useQuery({
    queryKey: KEYS.devices,
    queryFn: async ({ signal }) => (await api.devices(signal)).devices,
    staleTime: 0,
  });

/** The recordings a maker keeps. */
export const useRecordings = (open: boolean) =>
  useQuery({
    queryKey: KEYS.recordings,
    queryFn: async ({ signal }) => (await api.recordings(signal)).recordings,
    enabled: open,
  });

/** Keeps, renames or deletes an assembly, and hears of it everywhere. */
export function useKitChange<T>(change: (input: T) => Promise<unknown>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: KEYS.kits });
      void client.invalidateQueries({ queryKey: KEYS.bin });
      void client.invalidateQueries({ queryKey: KEYS.me });
    },
  });
}
