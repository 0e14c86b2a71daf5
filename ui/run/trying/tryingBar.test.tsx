import { fireEvent, render, screen } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import { LiveRun } from '../liveRun';
import { TryingBar } from './TryingBar';

jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('@react-three/fiber', () => ({ invalidate: jest.fn() }));

const course = layPieces(emptyCourse('Trial'), [
  { family: 'slab', at: [5, -0.5, 0], size: [20, 0.5, 2] },
  { family: 'start', at: [0, 0, 0] },
]);

function bar(stepping = false) {
  const live = new LiveRun(course, undefined, 1);
  const told = { onStep: jest.fn(), onGoOn: jest.fn(), onKeep: jest.fn(), onFly: jest.fn() };
  render(<TryingBar live={live} stepping={stepping} flying={false} {...told} />);
  return { live, ...told };
}

test('ticks go on and back one by one, and it is said that the run is helped', () => {
  const { live, onStep } = bar();
  expect(screen.queryByTestId('aided')).toBeNull();
  fireEvent.press(screen.getByTestId('try-on'));
  fireEvent.press(screen.getByTestId('try-on'));
  expect(live.state.tick).toBe(2);
  fireEvent.press(screen.getByTestId('try-back'));
  expect(live.state.tick).toBe(1);
  expect(onStep).toHaveBeenCalledTimes(3);
  expect(screen.getByTestId('aided')).toBeTruthy();
});

test('the speeds come round, and the usual one again helps no less', () => {
  const { live } = bar();
  for (const words of ['½×', '¼×', '⅒×', '2×', '1×']) {
    fireEvent.press(screen.getByTestId('try-speed'));
    expect(screen.getByText(words)).toBeTruthy();
  }
  expect(live.aided).toBe(true);
});

test('nothing hurts once it is told so, and all does again', () => {
  const { live } = bar();
  fireEvent.press(screen.getByTestId('try-unhurt'));
  expect(live.world.unharmed).toBe(true);
  fireEvent.press(screen.getByTestId('try-unhurt'));
  expect(live.world.unharmed).toBe(false);
});

test('keeping a moment helps nothing; going on is offered while the clock stands', () => {
  const { live, onKeep } = bar();
  fireEvent.press(screen.getByTestId('try-keep'));
  expect(onKeep).toHaveBeenCalledTimes(1);
  expect(live.aided).toBe(false);
  expect(screen.queryByTestId('try-go-on')).toBeNull();
  screen.unmount();
  const { onGoOn } = bar(true);
  fireEvent.press(screen.getByTestId('try-go-on'));
  expect(onGoOn).toHaveBeenCalledTimes(1);
});

test('flying is asked for, and helps', () => {
  const { onFly } = bar();
  fireEvent.press(screen.getByTestId('try-fly'));
  expect(onFly).toHaveBeenCalledWith(true);
  expect(screen.getByTestId('aided')).toBeTruthy();
});
