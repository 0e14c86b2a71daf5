import fc from 'fast-check';
import { emptyCourse } from './create';
import { applyPatch, patchBytes, patchTo } from './patch';
import type { Course, Piece } from './schema';

const piece = (id: string): Piece => ({ id, family: 'slab', at: [0, 0, 0] });
const pool = Array.from({ length: 40 }, (_, i) => piece(`p${i}`));
const courseOf = (pieces: Piece[], rest: Partial<Course> = {}): Course => ({
  ...emptyCourse('Trial'),
  ...rest,
  pieces,
});
const anyPieces = fc
  .uniqueArray(fc.integer({ min: 0, max: 39 }), { maxLength: 40 })
  .map((places) => places.map((i) => pool[i]));
/** As documents hold them: written down, nothing below nothing is nothing. */
const anyNumber = fc.double({ noNaN: true }).map((v) => v + 0);
const anyFields = fc.record(
  { name: fc.string(), notes: fc.string(), tide: anyNumber },
  { requiredKeys: ['name'] },
);
const anyCourse = fc.tuple(anyPieces, anyFields).map(([pieces, rest]) => courseOf(pieces, rest));

test('a patch leads from any course to any other, with its very pieces', () => {
  fc.assert(
    fc.property(anyCourse, anyCourse, (from, to) => {
      const back = applyPatch(from, patchTo(from, to));
      expect(back).toEqual(to);
      expect(Object.keys(back).sort()).toEqual(Object.keys(to).sort());
      back.pieces.forEach((one, i) => expect(one).toBe(to.pieces[i]));
    }),
    { numRuns: 400 },
  );
});

test('between a course and itself there is nothing', () => {
  fc.assert(
    fc.property(anyCourse, (course) => {
      expect(patchTo(course, course)).toEqual({ without: [], pieces: [], fields: {} });
    }),
  );
});

test.each<[string, (all: Piece[]) => Piece[], number]>([
  ['laying one', (all) => [...all, piece('new')], 1],
  ['moving one', (all) => all.map((one, i) => (i === 9000 ? { ...one, at: [1, 0, 0] } : one)), 1],
  ['deleting one', (all) => all.filter((_, i) => i !== 9000), 0],
  [
    'moving the first and the last',
    (all) => all.map((one, i) => (i % 19_999 === 0 ? { ...one, at: [1, 0, 0] } : one)),
    2,
  ],
])('%s of twenty thousand keeps no list of them', (_, edit, pieces) => {
  const before = courseOf(Array.from({ length: 20_000 }, (_, i) => piece(`q${i}`)));
  const after = courseOf(edit(before.pieces), before);
  after.pieces = edit(before.pieces);
  for (const [a, b] of [
    [before, after],
    [after, before],
  ]) {
    const patch = patchTo(a, b);
    expect(patch.pieces.length).toBeLessThanOrEqual(Math.max(1, pieces));
    expect(patchBytes(patch)).toBeLessThan(1000);
    expect(applyPatch(a, patch).pieces).toEqual(b.pieces);
  }
});
