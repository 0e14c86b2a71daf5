import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { Toasts } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { buildCommands } from './chosenEdits';

jest.useFakeTimers();
jest.mock('../../state/afterFrame');
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../scene', () => ({ useView: { getState: () => ({}) } }));

const state = () => useCourse.getState();
const count = () => state().course.pieces.length;
const crate = { family: 'crate', at: [4, 0, 0] as [number, number, number] };

beforeEach(() => {
  const course = layPieces(emptyCourse('Trial', 'free'), [crate, { ...crate, at: [8, 0, 0] }]);
  act(() => {
    state().open('notice', 1, course, { kind: 'saved', at: 0 });
    state().choose([course.pieces[0].id]);
  });
  render(<Toasts />);
  act(() => buildCommands.remove());
});

test("a notice's undo brings back what was deleted, and then it is gone", () => {
  expect(count()).toBe(1);
  fireEvent.press(screen.getByLabelText('Undo'));
  expect(count()).toBe(2);
  expect(screen.queryByLabelText('Undo')).toBeNull();
});

test('undone by key meanwhile, the notice is gone: nothing is doubled and redo stays', () => {
  act(() => state().undo());
  expect(count()).toBe(2);
  expect(screen.queryByLabelText('Undo')).toBeNull();
  act(() => state().redo());
  expect(count()).toBe(1);
});

test('once something else is done it is gone as well: it would undo that', () => {
  act(() => state().edit((course) => layPieces(course, [{ ...crate, at: [0, 0, 3] }])));
  expect(screen.queryByLabelText('Undo')).toBeNull();
});

test('what is kept without being a step leaves it', () => {
  act(() => state().keep({ notes: 'sea' }));
  expect(screen.getByLabelText('Undo')).toBeTruthy();
});
