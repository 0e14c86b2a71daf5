import fc from 'fast-check';
import { emptyCourse, SYMMETRIES, type Course } from '../course';
import {
  addLink,
  duplicatePieces,
  flipPieces,
  groupPieces,
  layPieces,
  markPieces,
  movePieces,
  newCue,
  newEffect,
  paintPieces,
  removePieces,
  setBehaviour,
  setSymmetry,
  swapPieces,
  turnPieces,
  ungroupPieces,
} from '.';

const FAMILIES = ['start', 'slab', 'block', 'drift', 'crate', 'shell', 'cairn', 'lantern', 'pine'];
const begun = (): Course =>
  layPieces(
    emptyCourse('Same', 'free'),
    FAMILIES.map((family, i) => ({
      family,
      at: [3 * i, 0, (i % 3) * 4] as [number, number, number],
    })),
  );
const course = addLink(begun(), {
  cue: newCue('touched', ['p3', 'p5']),
  effects: [newEffect('hide', ['p4']), newEffect('message')],
}).course;

const choice = fc
  .uniqueArray(fc.integer({ min: 1, max: FAMILIES.length }), { minLength: 1, maxLength: 6 })
  .map((numbers) => new Set(numbers.map((n) => `p${n}`)));
const step = fc.integer({ min: -400, max: 400 }).map((n) => n / 8);
const by = fc.tuple(step, step, step);
const placesOf = ({ pieces }: Course) => pieces.map(({ id, at }) => [id, ...at]);

type Edit = (course: Course, chosen: ReadonlySet<string>) => Course;
const EDITS: Record<string, Edit> = {
  move: (c, chosen) => movePieces(c, chosen, [1, 2, 3]),
  turn: (c, chosen) => turnPieces(c, chosen, 30),
  flip: flipPieces,
  paint: (c, chosen) => paintPieces(c, chosen, { material: 'ice' } as never),
  group: groupPieces,
  hide: (c, chosen) => markPieces(c, chosen, 'hidden', true),
  swap: (c, chosen) => swapPieces(c, chosen, 'ashlar'),
  role: (c, chosen) => setBehaviour(c, chosen, 'role', 'scenery'),
  remove: removePieces,
  duplicate: (c, chosen) => duplicatePieces(c, chosen, [0, 0, 20]).course,
};

test.each(Object.keys(EDITS))('%s leaves what is not chosen the very same objects', (name) => {
  fc.assert(
    fc.property(choice, (chosen) => {
      const after = EDITS[name](course, chosen);
      for (const piece of course.pieces) {
        if (chosen.has(piece.id)) continue;
        expect(after.pieces.find(({ id }) => id === piece.id)).toBe(piece);
      }
    }),
    { numRuns: 60 },
  );
});

test.each(Object.keys(EDITS))('%s of nothing changes nothing', (name) => {
  expect(EDITS[name](course, new Set()).pieces).toEqual(course.pieces);
});

test('moved there and back, everything stands where it stood', () => {
  fc.assert(
    fc.property(choice, by, (chosen, way) => {
      const there = movePieces(course, chosen, way);
      const back = movePieces(there, chosen, [-way[0], -way[1], -way[2]]);
      expect(placesOf(back)).toEqual(placesOf(course));
    }),
  );
});

test('twice moved is moved by both', () => {
  fc.assert(
    fc.property(choice, by, by, (chosen, one, other) => {
      const both = movePieces(course, chosen, [0, 1, 2].map((i) => one[i] + other[i]) as never);
      const twice = movePieces(movePieces(course, chosen, one), chosen, other);
      placesOf(twice).forEach((place, i) =>
        place
          .slice(1)
          .forEach((v, axis) => expect(v).toBeCloseTo(placesOf(both)[i][axis + 1] as number, 6)),
      );
    }),
  );
});

test('turned all the way round, or there and back, everything stands as it stood', () => {
  const near = (a: Course, b: Course) =>
    a.pieces.forEach(({ at }, i) =>
      at.forEach((v, axis) => expect(v).toBeCloseTo(b.pieces[i].at[axis], 2)),
    );
  fc.assert(
    fc.property(choice, fc.constantFrom(15, 30, 45, 90), (chosen, degrees) => {
      near(turnPieces(turnPieces(course, chosen, degrees), chosen, -degrees), course);
    }),
    { numRuns: 40 },
  );
  near(
    [1, 2, 3, 4].reduce((c) => turnPieces(c, new Set(['p2', 'p3']), 90), course),
    course,
  );
});

test('grouped and taken apart, pieces are in no group', () => {
  fc.assert(
    fc.property(choice, (chosen) => {
      const apart = ungroupPieces(groupPieces(course, chosen), chosen);
      expect(apart.pieces).toEqual(course.pieces);
    }),
  );
});

test('a symmetry set again to what it is adds nothing', () => {
  fc.assert(
    fc.property(fc.constantFrom(...SYMMETRIES), step, step, (kind, x, z) => {
      const symmetry = { kind, at: [x, z] as [number, number] };
      const once = setSymmetry(course, symmetry);
      expect(placesOf(setSymmetry(once, symmetry)).sort()).toEqual(placesOf(once).sort());
    }),
    { numRuns: 60 },
  );
});

test('no link is left to wait for, or to do something to, what was taken away', () => {
  fc.assert(
    fc.property(choice, (chosen) => {
      const after = removePieces(course, chosen);
      const ids = new Set(after.pieces.map(({ id }) => id));
      for (const { cue, effects } of after.links ?? []) {
        for (const id of [...(cue.pieces ?? []), ...effects.flatMap(({ pieces = [] }) => pieces)]) {
          expect(ids.has(id)).toBe(true);
        }
        expect(effects.length).toBeGreaterThan(0);
      }
      for (const { attach } of after.pieces) {
        if (attach !== undefined) expect(ids.has(attach)).toBe(true);
      }
    }),
  );
});
