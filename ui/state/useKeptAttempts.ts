import { useQuery } from '@tanstack/react-query';
import { attemptsAt } from './attempts';

/** By what the attempts at a course are kept while the page lasts. */
export const attemptsKey = (course: string) => ['attempts', course] as const;

/** The attempts at a course on this device, looked up anew by each screen that tells of them. */
export const useKeptAttempts = (course: string) =>
  useQuery({ queryKey: attemptsKey(course), queryFn: () => attemptsAt(course), staleTime: 0 });
