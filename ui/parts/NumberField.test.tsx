import { fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { NumberField } from './NumberField';

jest.mock('@expo/vector-icons/Feather', () => () => null);

function Dial() {
  const [value, setValue] = useState(1.5);
  return (
    <NumberField
      label="Width"
      unit="m"
      step={0.25}
      value={value}
      onChange={(next) => {
        if (!(next > 0)) throw new RangeError('Width is more than 0 m.');
        setValue(next);
      }}
      testID="width"
    />
  );
}

test('steps, typed values with a comma, and what is refused', () => {
  render(<Dial />);
  const field = () => screen.getByTestId('width');
  fireEvent.press(screen.getByLabelText('Width more'));
  expect(field().props.value).toBe('1.75');
  fireEvent.changeText(field(), '2,5');
  fireEvent(field(), 'submitEditing');
  expect(field().props.value).toBe('2.5');
  fireEvent.changeText(field(), '-1');
  fireEvent(field(), 'blur');
  expect(screen.getByText('Width is more than 0 m.')).toBeTruthy();
  // What was typed stays to be put right; the value is as it was.
  expect(field().props.value).toBe('-1');
  fireEvent.changeText(field(), '3');
  fireEvent(field(), 'blur');
  expect(screen.queryByText('Width is more than 0 m.')).toBeNull();
});
