import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import { layPieces, movePieces } from '@/core/edit';
import { useCourse } from '../../state/courseStore';
import { NavigationProvider } from '../commands/navigation';
import { ComparedInScene, ComparedKey } from './ComparedScene';
import { useVersions } from '../open/versionsStore';

jest.useFakeTimers();
jest.mock('../../state/afterFrame');
jest.mock('@expo/vector-icons/Feather', () => () => null);
const mockMarks = jest.fn();
jest.mock('../../scene', () => ({
  ComparedMarks: (props: unknown) => {
    mockMarks(props);
    return null;
  },
}));

const version = layPieces(emptyCourse('Quay'), [
  { family: 'slab', at: [0, 0, 0] },
  { family: 'crate', at: [4, 0, 0] },
  { family: 'crate', at: [8, 0, 0] },
]);
const [slab, , last] = version.pieces;

beforeEach(() => {
  mockMarks.mockClear();
  Object.assign(globalThis, { document: { activeElement: null } });
  const moved = movePieces(version, new Set([slab.id]), [0, 1, 0]);
  const course = { ...moved, pieces: moved.pieces.filter(({ id }) => id !== last.id) };
  useCourse.getState().open('a', 2, course, { kind: 'saved', at: 0 });
  useVersions.setState({ open: false, comparing: null, inScene: null });
});

const navigation = { to: jest.fn(), help: jest.fn(), times: jest.fn(), runHere: jest.fn() };
const both = () =>
  render(
    <NavigationProvider value={navigation}>
      <ComparedInScene />
      <ComparedKey />
    </NavigationProvider>,
  );

test('nothing is shown until it is asked for, nor of another course', () => {
  both();
  expect(screen.queryByTestId('compared-key')).toBeNull();
  act(() => useVersions.setState({ inScene: { id: 'b', revision: 1, version } }));
  expect(screen.queryByTestId('compared-key')).toBeNull();
  expect(mockMarks).not.toHaveBeenCalled();
});

test('the scene and its key tell the same, follow what is edited, and let go', () => {
  both();
  act(() => useVersions.setState({ inScene: { id: 'a', revision: 1, version } }));
  expect(screen.getByText('1 gone')).toBeTruthy();
  expect(screen.getByText('1 moved')).toBeTruthy();
  expect(screen.queryByText(/came|changed/)).toBeNull();
  expect(mockMarks.mock.lastCall[0].difference).toMatchObject({ removed: [last], added: [] });
  act(() => {
    useCourse.getState().replace(version);
    jest.runAllTimers();
  });
  expect(screen.getByText('No piece differs')).toBeTruthy();
  fireEvent.press(screen.getByTestId('compared-list'));
  expect(navigation.to).toHaveBeenCalledWith('plan');
  expect(useVersions.getState()).toMatchObject({ open: true, comparing: 1 });
  fireEvent.press(screen.getByLabelText('Leave the comparison'));
  expect(screen.queryByTestId('compared-key')).toBeNull();
});
