import { expose } from 'comlink';
import { checkCourse, type Finding } from '@/core/check';
import type { Course } from '@/core/course';

/** What can be asked of the worker. */
export interface Checker {
  check: (course: Course, progress: (part: number) => void) => Finding[];
}

expose({ check: checkCourse } satisfies Checker);
