import { render, screen } from '@testing-library/react-native';
import { BestTimes, inRow } from './BestTimes';
import { partOf, TimesSpread } from './TimesSpread';

jest.mock('@expo/vector-icons/Feather', () => () => null);

const spread = { from: 10, to: 28, counts: Array.from({ length: 18 }, (_, i) => 18 - i) };
const row = (place: number, own = false) => ({
  ...{ place, player: `Player ${place}`, time: 10 + place, own },
});

test('a time lies in its part, the slowest in the last, and one before the first in none', () => {
  expect(partOf(spread, 10)).toBe(0);
  expect(partOf(spread, 11.99)).toBe(1);
  expect(partOf(spread, 28)).toBe(17);
  expect(partOf(spread, 400)).toBe(17);
  expect(partOf(spread, 9.9)).toBeNull();
  expect(partOf(spread, undefined)).toBeNull();
});

test('what is shown is told in words as well: whose times, from when to when, and where one is', () => {
  const { rerender } = render(
    <TimesSpread spread={spread} players={171} own={12} swift={undefined} />,
  );
  expect(screen.getByLabelText('Best times of 171 players, from 10.000 to 28.000')).toBeTruthy();
  expect(screen.getByText('171 players, yours in green')).toBeTruthy();
  rerender(<TimesSpread spread={spread} players={171} own={undefined} swift={14} />);
  expect(screen.getByText('171 players')).toBeTruthy();
  expect(screen.getByLabelText(/swift at 14\.000$/)).toBeTruthy();
});

test('a target beside all times is not drawn', () => {
  render(<TimesSpread spread={spread} players={171} own={undefined} swift={9} />);
  expect(screen.queryByLabelText(/swift/)).toBeNull();
});

test('places that do not follow on each other stand apart', () => {
  expect(inRow([1, 2, 3, 16, 17].map((place) => row(place)))).toHaveLength(2);
  expect(inRow([])).toEqual([]);
  render(<BestTimes best={[row(1), row(2), row(3), row(16), row(17, true)]} />);
  expect(screen.getByText('…', { includeHiddenElements: true })).toBeTruthy();
  expect(screen.getByLabelText('Best times about yours')).toBeTruthy();
  expect(screen.getByText('Player 17 (you)')).toBeTruthy();
});
