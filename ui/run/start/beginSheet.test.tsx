import { fireEvent, render, screen } from '@testing-library/react-native';
import type { BeginPlace } from '../runProps';
import { BeginSheet } from './BeginSheet';

jest.mock('@expo/vector-icons/Feather', () => () => null);

const dropped = jest.fn();
const PLACES: readonly BeginPlace[] = [
  { key: 'p3', name: 'Cairn 1', beginning: { kind: 'place', at: [1, 0, 0] } },
  {
    key: 'moment-7',
    name: 'After cairn 1, 3.0 s',
    note: 'It would stand inside a piece now.',
    onDrop: dropped,
  },
];

function sheet() {
  const told = { onBegin: jest.fn(), onClose: jest.fn() };
  render(<BeginSheet open places={PLACES} {...told} />);
  return told;
}

test('one begins at the start or at a place', () => {
  const { onBegin } = sheet();
  fireEvent.press(screen.getByTestId('begin-start'));
  fireEvent.press(screen.getByTestId('begin-p3'));
  expect(onBegin.mock.calls).toEqual([[undefined], [{ kind: 'place', at: [1, 0, 0] }]]);
});

test('where one cannot begin the reason stands, and the moment can be let go of', () => {
  const { onBegin } = sheet();
  expect(screen.getByText('It would stand inside a piece now.')).toBeTruthy();
  fireEvent.press(screen.getByTestId('begin-moment-7'));
  expect(onBegin).not.toHaveBeenCalled();
  fireEvent.press(screen.getByLabelText('Let go of After cairn 1, 3.0 s'));
  expect(dropped).toHaveBeenCalledTimes(1);
});
