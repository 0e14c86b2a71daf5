import fc from 'fast-check';
import { emptyCourse, type Piece } from '../../course';
import { localGeometry, turnOf } from '../../pieces';
import { layPieces } from './lay';
import { pieceLike, turnInHand } from './like';

const laid: Piece = {
  ...{ id: 'p7', family: 'ashlar', at: [1, 2, 3], size: [3, 1, 2], turn: [10, 20, 30] },
  ...{ look: { material: 'moss' }, oneWay: { side: 0 }, group: 'g1', attach: 'p2', name: 'Old' },
  ...{ locked: true, hidden: true, twin: { link: 't1', image: 1 } },
};

test('another like it is the same piece in all but its ties', () => {
  const like = pieceLike(laid);
  expect(like).toEqual({
    family: 'ashlar',
    at: [1, 2, 3],
    size: [3, 1, 2],
    turn: [10, 20, 30],
    look: { material: 'moss' },
    oneWay: { side: 0 },
  });
  const [again] = layPieces(emptyCourse('Again', 'free'), [like]).pieces;
  expect(localGeometry(again)).toBe(localGeometry(laid));
  // What is changed of it in hand changes nothing of the first.
  like.size![0] = 99;
  expect(laid.size![0]).toBe(3);
});

test('another checkpoint gets a number of its own', () => {
  const course = layPieces(emptyCourse('Numbers', 'free'), [
    { family: 'cairn', at: [0, 0, 0] },
    { family: 'cairn', at: [4, 0, 0] },
  ]);
  const like = pieceLike(course.pieces[0]);
  const more = layPieces(course, [{ ...like, at: [8, 0, 0] }]);
  expect(more.pieces[2].params?.number).toBe(3);
});

test('turning in hand about any axes keeps a turn a turn, and the other way undoes it', () => {
  const axis = fc.constantFrom(0 as const, 1 as const, 2 as const);
  fc.assert(
    fc.property(
      fc.array(fc.tuple(axis, fc.constantFrom(15, 45, 90, 7.5)), { maxLength: 6 }),
      (steps) => {
        const start = { family: 'ashlar', at: [0, 0, 0] as [number, number, number] };
        let piece = steps.reduce((held, [about, by]) => turnInHand(held, about, by), start);
        for (const [about, by] of [...steps].reverse()) piece = turnInHand(piece, about, -by);
        turnOf(piece as Piece).forEach((v, i) =>
          expect(v).toBeCloseTo([1, 0, 0, 0, 1, 0, 0, 0, 1][i], 4),
        );
      },
    ),
  );
});
