import { render, screen } from '@testing-library/react-native';
import { ThreeStones } from './ThreeStones';

const row = (place: number, more = {}) => ({
  ...{ place, player: `Player ${place}`, time: 10 + place / 4, own: false },
  ...more,
});

test('the first three are told in order with their times, whoever else is on the list', () => {
  render(<ThreeStones best={[row(1), row(2), row(3), row(7, { own: true })]} />);
  expect(screen.getByTestId('three-stones').props['aria-label']).toBe(
    'The first of this course: 1. Player 1, 10.250; 2. Player 2, 10.500; 3. Player 3, 10.750',
  );
});

test('where strokes count they are told, and where nobody stands nothing is drawn', () => {
  const { rerender } = render(<ThreeStones best={[row(1, { strokes: 1, player: 'Wick' })]} />);
  expect(screen.getByTestId('three-stones').props['aria-label']).toContain('1. Wick, 1 stroke');
  rerender(<ThreeStones best={[]} />);
  expect(screen.queryByTestId('three-stones')).toBeNull();
});
