import fc from 'fast-check';
import type { Piece } from '../../course';
import { chosenOf, chosenPlaces } from './chosen';

const piece = (id: string): Piece => ({ id, family: 'slab', at: [0, 0, 0] });
const lists = fc.uniqueArray(fc.constantFrom(...'abcdefghij'), { maxLength: 10 });

test('whatever lists of pieces one choice is sought in, one after another, it is found', () => {
  fc.assert(
    fc.property(lists, fc.array(lists, { minLength: 1, maxLength: 5 }), (chosen, courses) => {
      const choice = new Set(chosen);
      for (const ids of courses) {
        const course = { pieces: ids.map(piece) };
        const found = chosenOf(course, choice);
        expect(found).toEqual(course.pieces.filter(({ id }) => choice.has(id)));
        expect(chosenOf(course, choice)).toBe(found);
        expect(chosenPlaces(course, choice).map((i) => course.pieces[i])).toEqual(found);
      }
    }),
  );
});
