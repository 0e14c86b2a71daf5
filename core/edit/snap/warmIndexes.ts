import type { Course } from '../../course';
import { endIndex } from './connectors';
import { piecesOver } from '../lookup/near';
import { prepareToPick } from '../lookup/pick';

/**
 * Has at hand what picking and laying in a course look things up in, so that the first touch after a large
 * course is opened, or edited, need not wait for it.
 */
export function warmIndexes(course: Pick<Course, 'pieces'>): void {
  prepareToPick(course);
  endIndex(course);
  piecesOver(course.pieces, 0, 0, 0, 0);
}
