import { checkCourse } from '@/core/check';
import type { Course } from '@/core/course';
import { roadsOf, type Roads } from '@/core/route';
import type { CheckListener } from '@/workers/check';

/** Stands in for the worker where there is none. */
export function checkElsewhere(course: Course, { told }: CheckListener): void {
  told(checkCourse(course));
}

export const roadsElsewhere = async (course: Course): Promise<Roads> => roadsOf(course);
