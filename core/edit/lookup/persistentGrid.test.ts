import fc from 'fast-check';
import { emptyCourse, type Course, type Piece } from '../../course';
import { pieceBounds } from '../../pieces';
import { differenceOf } from './persistentGrid';
import { endIndex, endsOf } from '../snap/connectors';
import { layPieces, removePieces } from '../pieces/lay';
import { piecesOver } from './near';
import { movePieces } from '../pieces/place';

type Act = readonly ['lay' | 'move' | 'remove' | 'back', number, number];
const acts = fc.array(
  fc.tuple(
    fc.constantFrom<Act[0]>('lay', 'lay', 'move', 'remove', 'back'),
    fc.integer({ min: 0, max: 30 }),
    fc.integer({ min: -40, max: 40 }),
  ),
  { maxLength: 12 },
);

/** Every course that comes about by some edits, one after another and back again. */
function courses(done: readonly Act[]): Course[] {
  const all = [emptyCourse('Trial', 'free')];
  for (const [act, which, by] of done) {
    const last = all[all.length - 1];
    const id = new Set([last.pieces[which % Math.max(1, last.pieces.length)]?.id ?? '']);
    const family = ['straight', 'slab', 'bend', 'wall'][which % 4];
    const next = {
      lay: () => layPieces(last, [{ family, at: [by, 0, which] }]),
      move: () => movePieces(last, id, [by, 0, 1]),
      remove: () => removePieces(last, id),
      back: () => all[which % all.length],
    }[act]();
    all.push(next);
  }
  return all;
}

const byId = (pieces: readonly Piece[]) => pieces.map(({ id }) => id).sort();

test('whatever edits come, indices made of what differs find what is there', () => {
  fc.assert(
    fc.property(acts, fc.integer({ min: -40, max: 40 }), (done, x) => {
      for (const { pieces } of courses(done)) {
        const over = piecesOver(pieces, x, -8, x + 10, 40);
        const meets = pieces.filter((piece) => {
          const { low, high } = pieceBounds(piece);
          return low[0] <= x + 10 && high[0] >= x && low[2] <= 40 && high[2] >= -8;
        });
        expect(byId(over)).toEqual(expect.arrayContaining(byId(meets)));
        for (const piece of over) expect(pieces).toContain(piece);
        const near = endIndex({ pieces }).near([x, 0, 0], 12);
        const ends = pieces
          .flatMap(endsOf)
          .filter(({ at }) => Math.hypot(at[0] - x, at[1], at[2]) <= 12);
        expect(near).toHaveLength(ends.length);
        expect(new Set(near)).toEqual(new Set(ends));
      }
    }),
  );
});

test('what differs is all that one list has and the other has not', () => {
  const piece = (id: number): Piece => ({ id: `p${id}`, family: 'slab', at: [id, 0, 0] });
  const pool = Array.from({ length: 9 }, (_, i) => piece(i));
  const lists = fc.shuffledSubarray(pool);
  fc.assert(
    fc.property(lists, lists, (before, after) => {
      const { gone, come } = differenceOf(before, after);
      expect(byId(gone)).toEqual(byId(before.filter((p) => !after.includes(p))));
      expect(byId(come)).toEqual(byId(after.filter((p) => !before.includes(p))));
    }),
  );
});
