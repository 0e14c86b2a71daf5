import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { FIRSTS, nextFirst, useFirsts } from '../../state/firsts';
import { FirstHint } from './FirstHint';

jest.mock('@expo/vector-icons/Feather', () => () => null);

const { note } = useFirsts.getState();
beforeEach(() => useFirsts.setState({ done: [] }));

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

test('done twice is done once', () => {
  for (const first of [...FIRSTS, ...FIRSTS]) note(first);
  expect(useFirsts.getState().done).toEqual([...FIRSTS]);
  expect(nextFirst(useFirsts.getState().done)).toBeNull();
});
