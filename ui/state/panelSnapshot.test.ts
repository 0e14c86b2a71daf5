import { layPieces, movePieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { useCourse } from './courseStore';
import { useDragState } from '../device/dragState';
import { usePanelSnapshot } from './panelSnapshot';

jest.useFakeTimers();

const state = () => useCourse.getState();
const shown = () => usePanelSnapshot.getState();
const choice = new Set(['p1']);
const step = () => state().edit((course) => movePieces(course, choice, [1, 0, 0]), 'drag');

beforeEach(() => {
  const course = layPieces(emptyCourse('Trial', 'free'), [{ family: 'slab', at: [0, 0, 0] }]);
  state().open(`c${Math.random()}`, 1, course, { kind: 'saved', at: 0 });
});

test('another course is shown at once, an edit and a choice when a frame has shown them', () => {
  expect(shown().course).toBe(state().course);
  step();
  state().choose(choice);
  expect(shown().course).not.toBe(state().course);
  jest.runAllTimers();
  expect(shown()).toMatchObject({ course: state().course, choice: state().choice });
});

test('within a drag the panels wait for the hand to rest, and follow when it lets go', () => {
  useDragState.setState({ dragging: true });
  expect(shown().carrying).toBe(true);
  const before = shown().course;
  for (let i = 0; i < 10; i++) {
    step();
    jest.advanceTimersByTime(40);
  }
  expect(shown().course).toBe(before);
  jest.advanceTimersByTime(300);
  expect(shown()).toMatchObject({ course: state().course, carrying: true });
  step();
  useDragState.setState({ dragging: false });
  expect(shown().carrying).toBe(true);
  jest.runAllTimers();
  expect(shown()).toMatchObject({ course: state().course, carrying: false });
});
