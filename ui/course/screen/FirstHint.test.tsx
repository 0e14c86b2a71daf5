import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { useCourse } from '../../state/courseStore';
import { FIRSTS, nextFirst, useFirsts } from '../../state/firsts';
import { FirstHint } from './FirstHint';

jest.mock('../../state/afterFrame');
jest.mock('@expo/vector-icons/Feather', () => () => null);

const { note } = useFirsts.getState();
const open = (pieces: number) =>
  useCourse.getState().open(
    'hints',
    1,
    layPieces(
      emptyCourse('Hints', 'free'),
      Array.from({ length: pieces }, (_, i): PieceInHand => ({
        family: 'crate',
        at: [2 * i, 0, 0],
      })),
    ),
    { kind: 'saved', at: 0 },
  );
beforeEach(() => {
  useFirsts.setState({ done: [] });
  open(3);
});

test('hints come one after the other, each until its thing was done once', () => {
  render(<FirstHint />);
  expect(screen.getByTestId('first-hint')).toHaveTextContent(/Take a piece/);
  act(() => note('lay'));
  expect(screen.getByTestId('first-hint')).toHaveTextContent(/fourth stone/);
  // What is done out of turn is not hinted at later.
  act(() => note('share'));
  act(() => note('run'));
  expect(screen.queryByTestId('first-hint')).toBeNull();
});

test('a hint waved away stays away', () => {
  render(<FirstHint />);
  fireEvent.press(screen.getByLabelText('No more of this'));
  expect(screen.getByTestId('first-hint')).toHaveTextContent(/fourth stone/);
});

test('over a course that is built already nobody is told how to lay', () => {
  open(57);
  render(<FirstHint />);
  expect(screen.getByTestId('first-hint')).toHaveTextContent(/fourth stone/);
});

test('done twice is done once', () => {
  for (const first of [...FIRSTS, ...FIRSTS]) note(first);
  expect(useFirsts.getState().done).toEqual([...FIRSTS]);
  expect(nextFirst(useFirsts.getState().done)).toBeNull();
});
