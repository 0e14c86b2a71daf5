import { useQuery } from '@tanstack/react-query';
import { momentsOf, type KeptMoment } from './moments';
import { KEYS } from './keys';

const NONE: readonly KeptMoment[] = [];

/** The moments kept of a course on this device. */
export const useMoments = (course: string): readonly KeptMoment[] =>
  useQuery({ queryKey: KEYS.moments(course), queryFn: () => momentsOf(course) }).data ?? NONE;
