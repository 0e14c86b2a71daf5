import { expose } from 'comlink';
import { checkCourse, type Finding } from '@/core/check';
import type { Course } from '@/core/course';
import { roadsOf, type Roads } from '@/core/route';

/** What can be asked of the worker. */
export interface Checker {
  check: (course: Course, progress: (part: number) => void) => Finding[];
  /** The ways from mark to mark over a course's surfaces. */
  roads: (course: Course) => Roads;
}

expose({ check: checkCourse, roads: roadsOf } satisfies Checker);
