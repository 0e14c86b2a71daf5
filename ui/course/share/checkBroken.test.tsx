import { fireEvent, render, screen } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import { Checklist } from './Checklist';

jest.mock('../../state/afterFrame');
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../scene', () => ({ useView: { getState: () => ({}) } }));
const mockAgain = jest.fn();
jest.mock('../open/useFindings', () => ({
  useCheckOf: () => ({ done: false, known: false, part: 0, failed: true, again: mockAgain }),
}));

test('a check that broke off is said before publishing, and begun again from there', () => {
  const course = emptyCourse('Trial');
  render(<Checklist course={course} finished="1.000" fresh errors={[]} onRun={() => {}} />);
  fireEvent.press(screen.getByText('Check again'));
  expect(mockAgain).toHaveBeenCalled();
});
