import { fireEvent, render, screen } from '@testing-library/react-native';
import { PauseSheet } from '../PauseSheet';
import { StartSheet } from './StartSheet';

jest.mock('@expo/vector-icons/Feather', () => () => null);

const nothing = () => {};

test('players choose where to begin, and begin there', () => {
  const choose = jest.fn();
  const go = jest.fn();
  render(<StartSheet open count={3} chosen={0} onChoose={choose} onGo={go} onLeave={nothing} />);
  expect(screen.getByText('Start 3')).toBeTruthy();
  expect(screen.queryByText('Start 4')).toBeNull();
  fireEvent.press(screen.getByText('Start 2'));
  expect(choose).toHaveBeenCalledWith(1);
  fireEvent.press(screen.getByText('Begin here'));
  expect(go).toHaveBeenCalled();
});

test('in a pause another start is offered only where there is a choice', () => {
  const sheet = (onStarts?: () => void) => (
    <PauseSheet
      open
      ended={null}
      shapes={false}
      onShapes={nothing}
      leaveLabel="Leave"
      onGoOn={nothing}
      onAgain={nothing}
      onStarts={onStarts}
      onLeave={nothing}
    />
  );
  const { rerender } = render(sheet());
  expect(screen.queryByText('Begin at another start')).toBeNull();
  const starts = jest.fn();
  rerender(sheet(starts));
  fireEvent.press(screen.getByText('Begin at another start'));
  expect(starts).toHaveBeenCalled();
});
