import { layPieces } from '@/core/assemble';
import { emptyCourse, type Course } from '@/core/course';

/** A new course to build on: one slab with a start and a goal. */
export const starterCourse = (name: string): Course =>
  layPieces(emptyCourse(name), [
    { family: 'slab', at: [0, -0.5, 0], size: [6, 0.5, 2] },
    { family: 'start', at: [-2, 0, 0] },
    { family: 'lantern', at: [2.5, 0, 0] },
  ]);

/** The first name of its kind that no course has yet: Tide course 1, 2 and on. */
export function freshName(taken: readonly string[]): string {
  for (let n = 1; ; n++) {
    const name = `Tide course ${n}`;
    if (!taken.includes(name)) return name;
  }
}
