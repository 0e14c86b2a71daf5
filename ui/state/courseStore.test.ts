import { layPiece, movePieces, removePieces } from '@/core/edit';
import { emptyCourse, patchBytes } from '@/core/course';
import { endMerge, useCourse } from './courseStore';

const state = () => useCourse.getState();
const lay = (x: number) =>
  state().edit((course) => layPiece(course, { family: 'slab', at: [x, 0, 0] }));

beforeEach(() => state().open('a', 1, emptyCourse('Trial'), { kind: 'saved', at: 0 }));

test('every edit is undone and done again, without limit', () => {
  for (let x = 0; x < 300; x++) lay(x);
  for (let i = 0; i < 300; i++) state().undo();
  expect(state().course.pieces).toHaveLength(0);
  for (let i = 0; i < 300; i++) state().redo();
  expect(state().course.pieces).toHaveLength(300);
  state().undo();
  lay(0);
  expect(state().future).toHaveLength(0);
});

test('a drag is one step, and what it moved is still chosen', () => {
  lay(0);
  state().choose(['p1']);
  for (let i = 0; i < 5; i++)
    state().edit((course) => movePieces(course, state().choice, [1, 0, 0]), 'drag');
  endMerge();
  state().edit((course) => movePieces(course, state().choice, [1, 0, 0]), 'drag');
  expect(state().course.pieces[0].at[0]).toBe(6);
  state().undo();
  expect(state().course.pieces[0].at[0]).toBe(5);
  state().undo();
  expect(state().course.pieces[0].at[0]).toBe(0);
  expect(state().choice.has('p1')).toBe(true);
  state().edit((course) => removePieces(course, state().choice));
  expect(state().choice.size).toBe(0);
});

test('what is undone shares with what was there all that did not change', () => {
  lay(0);
  lay(5);
  const { pieces } = state().course;
  state().edit((course) => movePieces(course, new Set(['p2']), [1, 0, 0]));
  state().undo();
  expect(state().course.pieces[0]).toBe(pieces[0]);
  expect(state().course.pieces[1]).toBe(pieces[1]);
});

test('two thousand steps in a course of twenty thousand pieces fit into 20 MB, and all go back', () => {
  const many = Array.from({ length: 20_000 }, (_, i) => ({
    id: `q${i}`,
    family: 'slab',
    at: [i, 0, 0] as [number, number, number],
  }));
  const course = { ...emptyCourse('Large'), pieces: many };
  state().open('b', 1, course, { kind: 'saved', at: 0 });
  for (let i = 0; i < 2000; i++) {
    state().edit((now) => movePieces(now, new Set([`q${(i * 7919) % 20_000}`]), [1, 0, 0]));
  }
  expect(state().past).toHaveLength(2000);
  const bytes = state().past.reduce((sum, patch) => sum + patchBytes(patch), 0);
  expect(bytes).toBeLessThan(20 * 1024 * 1024);
  for (let i = 0; i < 2000; i++) state().undo();
  expect(state().course).toEqual(course);
});

test('of steps that are all large the last stay, within what may be kept', () => {
  const many = Array.from({ length: 5000 }, (_, i) => ({
    id: `q${i}`,
    family: 'slab',
    at: [i % 100, 0, 0] as [number, number, number],
  }));
  state().open('c', 1, { ...emptyCourse('Large'), pieces: many }, { kind: 'saved', at: 0 });
  const all = new Set(many.map(({ id }) => id));
  for (let i = 0; i < 100; i++) state().edit((now) => movePieces(now, all, [1, 0, 0]));
  const { past } = state();
  expect(past.length).toBeGreaterThan(30);
  expect(past.reduce((sum, patch) => sum + patchBytes(patch), 0)).toBeLessThan(21 * 1024 * 1024);
  state().undo();
  expect(state().course.pieces[0].at[0]).toBe(99);
});

test('another course put in its place gets no twins, and is one step', () => {
  const symmetric = {
    ...emptyCourse('Twins', 'free'),
    symmetry: { kind: 'mirror-x' as const, at: [0, 0] as [number, number] },
  };
  state().open('d', 1, symmetric, { kind: 'saved', at: 0 });
  lay(5);
  expect(state().course.pieces).toHaveLength(2);
  const [one] = state().course.pieces;
  const earlier = { ...symmetric, pieces: [{ ...one, id: 'z', twin: undefined }] };
  state().replace(earlier);
  expect(state().course).toBe(earlier);
  state().undo();
  expect(state().course.pieces).toHaveLength(2);
});
