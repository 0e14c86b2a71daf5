import { checkCourse } from '@/core/check';
import { DEMO_COURSES } from './courses';

test.each(DEMO_COURSES.map((demo) => [demo.course.name, demo.course] as const))(
  '%s has no finding that its maker would have to mend',
  (_, course) => expect(checkCourse(course)).toEqual([]),
);
