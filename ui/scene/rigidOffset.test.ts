import { changePieces, layPieces, movePieces, setTurn } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { rigidOffset } from './rigidOffset';

const course = layPieces(emptyCourse('Row', 'free'), [
  { family: 'slab', at: [0, 0, 0] },
  { family: 'post', at: [2, 0, 0], turn: [0, 45, 0] },
]);
const all = new Set(course.pieces.map(({ id }) => id));

test('pieces that are only carried stay what they first were, moved along', () => {
  const carry = rigidOffset();
  expect(carry(course.pieces)).toEqual({ pieces: course.pieces, by: [0, 0, 0] });
  const once = movePieces(course, all, [1.5, 0, -2]);
  expect(carry(once.pieces).pieces).toBe(course.pieces);
  const twice = movePieces(once, all, [1, 3, 0]);
  expect(carry(twice.pieces)).toEqual({ pieces: course.pieces, by: [2.5, 3, -2] });
});

test.each([
  ['one of them stays behind', movePieces(course, new Set([...all].slice(0, 1)), [1, 0, 0])],
  [
    'one is turned',
    changePieces(course, all, (piece) => {
      setTurn(piece, [0, 30, 0]);
    }),
  ],
  ['there are fewer', { ...course, pieces: course.pieces.slice(1) }],
])('they begin anew where %s', (_, changed) => {
  const carry = rigidOffset();
  carry(course.pieces);
  expect(carry(changed.pieces)).toEqual({ pieces: changed.pieces, by: [0, 0, 0] });
});
