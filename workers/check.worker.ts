import { expose } from 'comlink';
import { checkCourse, type Finding } from '@/core/check';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { roadsOf } from '@/core/route';

/** What can be asked of the worker. */
export interface Checker {
  check: (course: Course, progress: (part: number) => void) => Finding[];
  /** The ways from mark to mark over a course's surfaces, one for each leg. */
  roads: (course: Course) => Vec3[][];
}

expose({ check: checkCourse, roads: roadsOf } satisfies Checker);
