import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { Stepper } from './Stepper';

jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.useFakeTimers();

const heard = jest.fn();
beforeEach(() => heard.mockClear());

function Height({ from = 2 }: { from?: number }) {
  const [value, setValue] = useState(from);
  const set = (next: number) => {
    heard(next);
    setValue(next);
  };
  return (
    <Stepper label="Height" unit="m" value={value} step={0.1} min={1} max={4} onChange={set} />
  );
}
const field = () => screen.getByLabelText('Height');
const type = (text: string) => {
  fireEvent(field(), 'focus');
  fireEvent.changeText(field(), text);
  fireEvent(field(), 'submitEditing');
};

test('a figure is typed with its sums, and one out of bounds is refused and changes nothing', () => {
  render(<Height />);
  expect(field().props.value).toBe('2 m');
  type('1.2 + 0.5');
  expect(heard).toHaveBeenLastCalledWith(1.7);
  expect(field().props.value).toBe('1.7 m');
  type('9');
  expect(screen.getByRole('alert')).toHaveTextContent('From 1 to 4 m.');
  expect(heard).toHaveBeenCalledTimes(1);
});

/** Lets time go by, drawn anew after each tenth of a second. */
const hold = (ms: number) => {
  for (let gone = 0; gone < ms; gone += 90) act(() => jest.advanceTimersByTime(90));
};

test('a figure that was only looked at stays as it was', () => {
  render(<Height from={1.23456} />);
  fireEvent(field(), 'focus');
  fireEvent(field(), 'blur');
  expect(heard).not.toHaveBeenCalled();
  expect(field().props.value).toMatch(/^1\.2\d* m$/);
});

test('a press is one step; held it goes on until it is let go of, or at the end of its range', () => {
  render(<Height />);
  const more = screen.getByLabelText('Height more');
  fireEvent(more, 'pressIn');
  fireEvent(more, 'pressOut');
  fireEvent.press(more);
  expect(heard.mock.calls).toEqual([[2.1]]);
  fireEvent(more, 'pressIn');
  hold(450 + 4 * 90);
  fireEvent(more, 'pressOut');
  fireEvent.press(more);
  expect(heard.mock.lastCall).toEqual([2.6]);
  hold(5000);
  expect(heard.mock.lastCall).toEqual([2.6]);
  fireEvent(more, 'pressIn');
  hold(10_000);
  expect(heard.mock.lastCall).toEqual([4]);
  const calls = heard.mock.calls.length;
  hold(1000);
  expect(heard).toHaveBeenCalledTimes(calls);
});
