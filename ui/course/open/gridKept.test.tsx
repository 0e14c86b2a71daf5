import { act, renderHook } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import { courseHash } from '@/core/run';
import { layPieces } from '@/core/edit';
import { useCourse } from '../../state/courseStore';
import { useGridKept } from './gridKept';
import { useLay } from './laying';

jest.mock('../../scene', () => ({ ...jest.requireActual('../../scene/view') }));
jest.useFakeTimers();

const started = layPieces(emptyCourse('Grid'), [{ family: 'start', at: [0, 0, 0] }]);
const open = (id: string, course = started) =>
  useCourse.getState().open(id, 1, course, { kind: 'saved', at: 0 });
const lay = () => useLay.getState();

test('steps and switches are kept with the course, as no step to undo, and come back with it', () => {
  open('a');
  const { unmount } = renderHook(() => useGridKept('a'));
  expect(useCourse.getState().course.grid).toBeUndefined();
  act(() => {
    useLay.setState({ steps: [0.3, 1, 0.3], gridTurn: 20, corners: true });
    jest.advanceTimersByTime(2000);
  });
  const { course, past, save } = useCourse.getState();
  expect(course.grid).toMatchObject({ steps: [0.3, 1, 0.3], turn: 20, corners: true });
  expect(past).toHaveLength(0);
  expect(save.kind).toBe('unsaved');
  // No run feels how it was built.
  expect(courseHash(course)).toBe(courseHash(started));
  unmount();

  open('b');
  const other = renderHook(() => useGridKept('b'));
  expect(lay().steps).toEqual([0.5, 0.5, 0.5]);
  expect(lay().gridTurn).toBe(0);
  other.unmount();

  open('a', course);
  renderHook(() => useGridKept('a'));
  expect(lay().steps).toEqual([0.3, 1, 0.3]);
  expect(lay().gridTurn).toBe(20);
});

test('undoing what was built leaves the grid as it is', () => {
  open('c');
  renderHook(() => useGridKept('c'));
  act(() => {
    useCourse.getState().edit((c) => layPieces(c, [{ family: 'slab', at: [0, 0, 0] }]));
    useLay.setState({ turnStep: 30 });
    jest.advanceTimersByTime(2000);
    useCourse.getState().undo();
  });
  expect(useCourse.getState().course.pieces).toHaveLength(1);
  expect(useCourse.getState().course.grid?.turnStep).toBe(30);
});
