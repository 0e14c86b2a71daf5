import { useQuery } from '@tanstack/react-query';
import { attemptsAt } from './attempts';
import { KEYS } from './keys';

/** The attempts at a course on this device, looked up anew by each screen that tells of them. */
export const useKeptAttempts = (course: string) =>
  useQuery({
    queryKey: KEYS.attempts(course),
    queryFn: () => attemptsAt(course),
    staleTime: 0,
  });
