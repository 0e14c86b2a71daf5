import { layPieces } from '@/core/edit';
import { emptyCourse, type Piece } from '@/core/course';
import { dragPartition } from './dragPartition';

const { pieces } = layPieces(
  emptyCourse('Row', 'free'),
  Array.from({ length: 6 }, (_, i) => ({ family: 'slab', at: [2 * i, 0, 0] as const })),
);
const moved = (list: readonly Piece[], i: number, by: number): Piece[] =>
  list.map((piece, k) => (k === i ? { ...piece, at: [piece.at[0] + by, 0, 0] } : piece));

test('what a drag moves is told apart, and the rest stays the same list all through it', () => {
  const part = dragPartition();
  expect(part(pieces, false)).toEqual({ rest: pieces, apart: [] });
  expect(part(pieces, true).rest).toBe(pieces);
  const once = moved(pieces, 2, 1);
  const first = part(once, true);
  expect(first.apart).toEqual([once[2]]);
  expect(first.rest).toEqual(pieces.filter((_, i) => i !== 2));
  const twice = moved(once, 2, 1);
  const second = part(twice, true);
  expect(second.apart).toEqual([twice[2]]);
  expect(second.rest).toBe(first.rest);
  const after = part(twice, false);
  expect(after.rest).toBe(twice);
  expect(after.apart).toHaveLength(0);
});

test('pieces laid or taken away within a drag are seen, and gone', () => {
  const part = dragPartition();
  part(pieces, true);
  const laid = [...pieces, { ...pieces[5], id: 'new' }];
  const more = part(laid, true);
  expect(more.rest).toEqual(pieces);
  expect(more.apart.map(({ id }) => id)).toEqual(['new']);
  const fewer = part(laid.slice(2), true);
  expect([...fewer.rest, ...fewer.apart].map(({ id }) => id).sort()).toEqual(
    laid
      .slice(2)
      .map(({ id }) => id)
      .sort(),
  );
});
