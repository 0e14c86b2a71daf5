import fc from 'fast-check';
import { COURSE_KINDS, emptyCourse, RUNNERS, toCourse, type Course } from '../../course';
import { FAMILY_GROUPS } from '../../pieces';
import { chooseRunner, groupOrder, layPieces, setKind } from '..';

const young = layPieces(emptyCourse('Trial'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'lantern', at: [9, 0, 0] },
]);
const built = layPieces(
  young,
  Array.from({ length: 8 }, (_, i) => ({
    family: 'slab',
    at: [i * 2, -1, 0] as [number, number, number],
  })),
);
const facts = ({ kind, space, runner }: Course) => [kind, space, runner.kind];

test('what a course is for sets the stage while little is built', () => {
  expect(facts(setKind(young, 'laps'))).toEqual(['laps', 'free', 'hopper']);
  expect(facts(setKind(young, 'strokes'))).toEqual(['strokes', 'free', 'flick']);
  expect(facts(setKind(young, 'gather'))).toEqual(['gather', 'side-on', 'hopper']);
  expect(facts(chooseRunner(young, 'cart'))).toEqual(['point', 'free', 'cart']);
  expect(facts(chooseRunner(young, 'flick'))).toEqual(['strokes', 'free', 'flick']);
  expect(facts(chooseRunner(setKind(young, 'strokes'), 'roller'))[0]).toBe('point');
});

test('later it changes only itself, and never a piece', () => {
  const kinds = fc.constantFrom(...COURSE_KINDS);
  const runners = fc.constantFrom(...RUNNERS);
  fc.assert(
    fc.property(fc.constantFrom(young, built), kinds, runners, (course, kind, runner) => {
      const next = chooseRunner(setKind(course, kind), runner);
      expect(next.pieces).toBe(course.pieces);
      expect(next.runner.kind).toBe(runner);
      expect(toCourse(next)).toEqual(next);
      if (course === built) expect([next.space, next.kind]).toEqual([built.space, kind]);
    }),
  );
});

test('the catalogue begins with what the runner needs, and leaves nothing out', () => {
  for (const kind of COURSE_KINDS) {
    for (const runner of RUNNERS) {
      const order = groupOrder({ kind, runner: { kind: runner } });
      expect([...order].sort()).toEqual([...FAMILY_GROUPS].sort());
    }
  }
  expect(groupOrder({ kind: 'point', runner: { kind: 'cart' } })[0]).toBe('track');
  expect(groupOrder({ kind: 'point', runner: { kind: 'flick' } }).slice(0, 2)).toEqual([
    'floors',
    'walls',
  ]);
  expect(groupOrder({ kind: 'gather', runner: { kind: 'hopper' } })[1]).toBe('marks');
});
