import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useIsFocused } from 'expo-router';
import type { Course } from '@/core/course';
import { api } from './api';

/** Who is making. */
export const useMe = () => useQuery({ queryKey: ['me'], queryFn: api.me });

/** The maker's own courses, the last changed first. */
export const useCourses = () =>
  useQuery({
    queryKey: ['courses'],
    queryFn: async () => (await api.courses()).courses,
    // Beneath another screen it need not hear of every save.
    subscribed: useIsFocused(),
  });

/** One of the maker's own courses as the server has it. */
export const useCourseOnServer = (id: string) =>
  useQuery({
    queryKey: ['course', id],
    queryFn: () => api.course(id),
    retry: 1,
    // Courses are not changed in place: there is nothing to share that finding it would be worth.
    structuralSharing: false,
  });

/** A published course as anyone sees it. */
export const usePublished = (slug: string) =>
  useQuery({ queryKey: ['published', slug], queryFn: () => api.published(slug), retry: 1 });

/** The demo courses. */
export const useDemos = () =>
  useQuery({
    queryKey: ['demos'],
    queryFn: async () => (await api.demos()).demos,
    staleTime: Infinity,
  });

/** Keeps a new course on the server; everyone without an account gets one with it. */
export function useCreateCourse() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (course: Course) => api.create(course),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ['courses'] });
      void client.invalidateQueries({ queryKey: ['me'] });
    },
  });
}

/** The maker's kit: assemblies kept to be laid again. */
export const useKits = () =>
  useQuery({ queryKey: ['kits'], queryFn: async () => (await api.kits()).kits });

/** What was deleted and may come back. */
export const useBin = (open: boolean) =>
  useQuery({ queryKey: ['bin'], queryFn: api.bin, enabled: open, staleTime: 0 });

/** The recordings a maker keeps. */
export const useRecordings = (open: boolean) =>
  useQuery({
    queryKey: ['recordings'],
    queryFn: async () => (await api.recordings()).recordings,
    enabled: open,
  });

/** Keeps, renames or deletes an assembly, and hears of it everywhere. */
export function useKitChange<T>(change: (input: T) => Promise<unknown>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ['kits'] });
      void client.invalidateQueries({ queryKey: ['bin'] });
      void client.invalidateQueries({ queryKey: ['me'] });
    },
  });
}
