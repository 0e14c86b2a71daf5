import { COURSE_FORMAT, COURSE_VERSION, type Course, type CourseSpace } from './schema';

/** A course with nothing in it. */
export const emptyCourse = (name: string, space: CourseSpace = 'side-on'): Course => ({
  format: COURSE_FORMAT,
  version: COURSE_VERSION,
  name,
  kind: 'point',
  space,
  runner: { kind: 'hopper' },
  pieces: [],
});
