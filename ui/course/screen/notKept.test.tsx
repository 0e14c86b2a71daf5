import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import { useCourse } from '../../state/courseStore';
import { useKeptHere } from '../../state/keptHere';
import { NotKept } from './NotKept';

const mockSaved: string[] = [];
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../parts/saveFile', () => ({
  saveFile: (name: string, data: string) => void mockSaved.push(`${name}: ${data}`),
}));

const saying = () => screen.queryByText(/kept nowhere/);

test('what is kept nowhere is said, and given as a file, until it is kept', () => {
  useCourse.getState().open('c', 1, emptyCourse('Quay'), { kind: 'saved', at: 1 });
  render(<NotKept />);
  expect(saying()).toBeNull();
  act(() => useCourse.getState().setSave({ kind: 'offline' }));
  expect(saying()).toBeNull();
  act(() => useKeptHere.setState({ fails: true }));
  expect(saying()).not.toBeNull();
  fireEvent.press(screen.getByRole('button', { name: 'Save as a file' }));
  expect(mockSaved[0]).toContain('"name": "Quay"');
  // With the server there again there is nothing to fear.
  act(() => useCourse.getState().setSave({ kind: 'saved', at: 2 }));
  expect(saying()).toBeNull();
  act(() => useCourse.getState().setSave({ kind: 'refused', message: 'No.' }));
  expect(saying()).not.toBeNull();
  act(() => useKeptHere.setState({ fails: false }));
  expect(saying()).toBeNull();
});
