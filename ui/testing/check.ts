import { checkCourse } from '@/core/check';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { roadsOf } from '@/core/route';
import type { CheckListener } from '@/workers/check';

/** Stands in for the worker where there is none. */
export function checkElsewhere(course: Course, { told }: CheckListener): void {
  told(checkCourse(course));
}

export const roadsElsewhere = async (course: Course): Promise<Vec3[][]> => roadsOf(course);
