import type { Course } from '../../../course';
import type { Vec3 } from '../../../geometry';
import { roundToStored } from '../../pieces/place';
import { noSketch, withSketch } from './lines';

/**
 * Pins a note to a place, or takes the note of that number away where there is no text at all.
 * @param course the course as it is; it stays so
 * @param index which of them, from 0
 * @param at in the world, m
 * @param text the words, or null to take it away
 */
export function setNote(course: Course, index: number, at: Vec3, text: string | null): Course {
  const sketch = course.sketch ?? noSketch;
  const notes = [...(sketch.notes ?? [])];
  if (text === null) notes.splice(index, 1);
  else
    notes[index] = {
      at: [roundToStored(at[0]), roundToStored(at[1]), roundToStored(at[2])],
      text: text.slice(0, 120),
    };
  return withSketch(course, { ...sketch, notes });
}
