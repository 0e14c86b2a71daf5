import { layPiece, movePieces, removePieces } from '@/core/assemble';
import { emptyCourse } from '@/core/course';
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
