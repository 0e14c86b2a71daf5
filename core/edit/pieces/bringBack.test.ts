import fc from 'fast-check';
import { compareCourses, emptyCourse, type Course } from '../../course';
import { bringBack, layPieces, movePieces, removePieces } from '..';

const quay = (): Course =>
  layPieces(emptyCourse('Quay'), [
    { family: 'slab', at: [0, 0, 0] },
    { family: 'slab', at: [4, 0, 0] },
    { family: 'slab', at: [8, 0, 0] },
    { family: 'crate', at: [8, 1, 0] },
  ]);
const ids = (pieces: readonly { id: string }[]) => pieces.map(({ id }) => id);

test('what came, went, moved and changed is told apart', () => {
  const was = quay();
  const [a, b, c] = ids(was.pieces);
  let is = movePieces(was, new Set([a]), [1, 0, 0]);
  is = removePieces(is, new Set([b]));
  is = {
    ...is,
    name: 'Long Quay',
    pieces: is.pieces.map((p) => (p.id === c ? { ...p, look: { material: 'slate' as const } } : p)),
  };
  is = layPieces(is, [{ family: 'cask', at: [20, 0, 0] }]);
  const { added, removed, moved, changed, fields } = compareCourses(was, is);
  expect(added.map(({ family }) => family)).toEqual(['cask']);
  expect(ids(removed)).toEqual([b]);
  expect(moved.map((m) => m.is.id)).toEqual([a]);
  expect(changed.map((m) => m.is.id)).toEqual([c]);
  expect(fields).toEqual(['name']);
});

test('the same course written anew differs in nothing', () => {
  const was = quay();
  const { added, removed, moved, changed, fields } = compareCourses(
    was,
    JSON.parse(JSON.stringify(was)) as Course,
  );
  expect([added, removed, moved, changed, fields]).toEqual([[], [], [], [], []]);
});

/** A course some edits later. */
const edited = fc
  .array(
    fc.record({
      what: fc.constantFrom('move', 'remove', 'lay', 'paint'),
      which: fc.nat(20),
      by: fc.integer({ min: -8, max: 8 }),
    }),
    { maxLength: 8 },
  )
  .map((edits) =>
    edits.reduce((course, { what, which, by }) => {
      if (what === 'lay') return layPieces(course, [{ family: 'slab', at: [by, which, 3] }]);
      const piece = course.pieces[which % Math.max(1, course.pieces.length)];
      if (!piece) return course;
      const one = new Set([piece.id]);
      if (what === 'remove') return removePieces(course, one);
      if (what === 'move') return movePieces(course, one, [by, 0, 0]);
      return {
        ...course,
        pieces: course.pieces.map((p) =>
          p === piece ? { ...p, look: { material: 'slate' as const } } : p,
        ),
      };
    }, quay()),
  );

test('all that differs brought back, the pieces are what they were', () => {
  fc.assert(
    fc.property(edited, (is) => {
      const was = quay();
      const { added, removed, moved, changed } = compareCourses(was, is);
      const all = new Set([
        ...ids(added),
        ...ids(removed),
        ...[...moved, ...changed].map((m) => m.is.id),
      ]);
      const back = bringBack(is, was, all);
      const { fields: _, ...left } = compareCourses(was, back);
      expect(left).toEqual({ added: [], removed: [], moved: [], changed: [] });
    }),
    { numRuns: 60 },
  );
});

test('of one piece brought back all others stay the very same', () => {
  fc.assert(
    fc.property(edited, fc.nat(3), (is, which) => {
      const was = quay();
      const { id } = was.pieces[which];
      const back = bringBack(is, was, new Set([id]));
      expect(back.pieces.filter((piece) => piece.id !== id)).toEqual(
        is.pieces.filter((piece) => piece.id !== id),
      );
      expect(back.pieces.find((piece) => piece.id === id)).toEqual(was.pieces[which]);
    }),
    { numRuns: 60 },
  );
});

test('what it went along with is gone: it stands by itself', () => {
  const was = quay();
  const [a, , , d] = ids(was.pieces);
  const tied = { ...was, pieces: was.pieces.map((p) => (p.id === d ? { ...p, attach: a } : p)) };
  const is = removePieces(tied, new Set([a, d]));
  const alone = bringBack(is, tied, new Set([d]));
  expect(alone.pieces.find(({ id }) => id === d)!.attach).toBeUndefined();
  const both = bringBack(is, tied, new Set([a, d]));
  expect(both.pieces.find(({ id }) => id === d)!.attach).toBe(a);
});
