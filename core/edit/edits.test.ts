import fc from 'fast-check';
import { cases } from '../deep.testing';
import { checkCourse } from '../check';
import { emptyCourse, SYMMETRIES, toCourse, type Course, type MotionKind } from '../course';
import { fromShareCode, toCourseFile, toShareCode } from '../formats';
import { FAMILIES } from '../pieces';
import {
  addLink,
  addMotion,
  cornerOnto,
  dropPieces,
  duplicatePieces,
  flipPieces,
  groupPieces,
  layPieces,
  lieAlong,
  markPieces,
  mirrorCopies,
  movePieces,
  newCue,
  newEffect,
  NEW_MOTIONS,
  paintPieces,
  pullEdge,
  removePieces,
  resetTurn,
  ringCopies,
  setSymmetry,
  spinPieces,
  stretchPieces,
  swapPieces,
  toOrigin,
  turnPieces,
  ungroupPieces,
  unlinkPieces,
  type PieceInHand,
} from '.';

const laid = FAMILIES.filter(({ drawn }) => !drawn).map(({ id }) => id);
const metres = fc.integer({ min: -400, max: 400 }).map((n) => n / 16);
const degrees = fc.integer({ min: -720, max: 720 }).map((n) => n / 2);
const place = fc.tuple(metres, metres, metres);
const axis = fc.constantFrom(0 as const, 1 as const, 2 as const);
const family = fc.constantFrom(...laid);

/** An edit with its figures, of whatever is chosen. */
type Edit = (course: Course, choice: ReadonlySet<string>) => Course;
const edit: fc.Arbitrary<Edit> = fc.oneof(
  place.map(
    (by): Edit =>
      (c, chosen) =>
        movePieces(c, chosen, by),
  ),
  degrees.map(
    (by): Edit =>
      (c, chosen) =>
        turnPieces(c, chosen, by),
  ),
  fc.tuple(axis, degrees, place, fc.boolean()).map(
    ([a, by, at, own]): Edit =>
      (c, chosen) =>
        spinPieces(c, chosen, a, by, at, own),
  ),
  fc.tuple(axis, metres, fc.constantFrom(1 as const, -1 as const), fc.boolean()).map(
    ([a, by, side, both]): Edit =>
      (c, chosen) =>
        stretchPieces(c, chosen, a, by, side, both),
  ),
  fc.constantFrom<Edit>(dropPieces, lieAlong, flipPieces, toOrigin, resetTurn, removePieces),
  fc.constantFrom<Edit>(groupPieces, (c, chosen) => ungroupPieces(c, chosen), unlinkPieces),
  place.map(
    (by): Edit =>
      (c, chosen) =>
        duplicatePieces(c, chosen, by).course,
  ),
  fc.tuple(metres, metres, fc.integer({ min: 1, max: 9 }), degrees).map(
    ([x, z, n, by]): Edit =>
      (c, chosen) =>
        ringCopies(c, chosen, [x, z], n, by).course,
  ),
  fc.tuple(fc.constantFrom('x' as const, 'z' as const), metres).map(
    ([a, at]): Edit =>
      (c, chosen) =>
        mirrorCopies(c, chosen, { axis: a, at }).course,
  ),
  family.map(
    (to): Edit =>
      (c, chosen) =>
        swapPieces(c, chosen, to),
  ),
  fc.tuple(place, place).map(
    ([from, to]): Edit =>
      (c, chosen) =>
        cornerOnto(c, chosen, from, to),
  ),
  fc.tuple(fc.constantFrom('+x', '-x', '+z', '-z'), metres).map(
    ([side, by]): Edit =>
      (c, chosen) =>
        pullEdge(c, chosen, side as '+x', by),
  ),
  fc.constantFrom('stone', 'ice', 'glow').map(
    (material): Edit =>
      (c, chosen) =>
        paintPieces(c, chosen, { material } as never),
  ),
  fc.constantFrom(...(Object.keys(NEW_MOTIONS) as MotionKind[])).map(
    (kind): Edit =>
      (c, chosen) =>
        addMotion(c, chosen, kind),
  ),
  fc.constantFrom('hidden' as const, 'locked' as const).map(
    (mark): Edit =>
      (c, chosen) =>
        markPieces(c, chosen, mark, true),
  ),
  fc.tuple(fc.constantFrom(...SYMMETRIES), metres, metres).map(
    ([kind, x, z]): Edit =>
      (c) =>
        setSymmetry(c, { kind, at: [x, z] }),
  ),
  fc.array(fc.record({ family, at: place }), { maxLength: 3 }).map((pieces): Edit => {
    return (c) => layPieces(c, pieces as PieceInHand[]);
  }),
  fc.constant<Edit>((c, chosen) => {
    const cue = newCue('touched', [...chosen].slice(0, 3));
    return addLink(c, { cue, effects: [newEffect('hide', [...chosen].slice(0, 3))] }).course;
  }),
);

const begun = layPieces(
  emptyCourse('Edited', 'free'),
  ['start', 'slab', 'block', 'drift', 'crate', 'shell', 'cairn', 'lantern', 'pine'].map(
    (id, i) => ({
      family: id,
      at: [3 * i, 0, (i % 3) * 4] as [number, number, number],
    }),
  ),
);

function frozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    Object.values(value).forEach(frozen);
  }
  return value;
}

test('whatever is done to a course, in any order, leaves a sound one and the old one as it was', () => {
  const steps = fc.array(fc.tuple(edit, fc.integer({ min: 0, max: 2 ** 20 })), { maxLength: 12 });
  fc.assert(
    fc.property(steps, (list) => {
      let course = frozen(begun);
      for (const [change, mask] of list) {
        const choice = new Set(
          course.pieces.filter((_, i) => (mask >> (i % 20)) & 1).map(({ id }) => id),
        );
        try {
          course = frozen(change(course, choice));
        } catch (problem) {
          // Refused in words, and nothing is changed.
          expect(problem).toBeInstanceOf(RangeError);
        }
      }
      expect(new Set(course.pieces.map(({ id }) => id)).size).toBe(course.pieces.length);
      expect(toCourse(JSON.parse(toCourseFile(course)))).toEqual(course);
      expect(fromShareCode(toShareCode(course))).toEqual(course);
      expect(() => checkCourse(course)).not.toThrow();
    }),
    { numRuns: cases(250), seed: 31 },
  );
});
