import { fireEvent, render, screen } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import { CORE_VERSION, courseHash, Film } from '@/core/run';
import { watchClock } from './watchClock';
import { WatchPanel } from './WatchPanel';

jest.mock('@expo/vector-icons/Feather', () => () => null);

const course = layPieces(emptyCourse('Trial'), [
  { family: 'slab', at: [5, -0.5, 0], size: [40, 0.5, 2] },
  { family: 'start', at: [0, 0, 0] },
]);
const film = new Film(course, {
  ...{ format: 'stone-hop-run', core: CORE_VERSION, course: courseHash(course), seed: 1, claim: 2 },
  inputs: [
    [120, 0, 0, 0],
    [120, 16, 0, 1],
  ],
});

test('it goes tick by tick and tells what was pressed there', () => {
  const clock = watchClock(film.ticks, 119);
  render(<WatchPanel film={film} clock={clock} marks={[{ tick: 60, kind: 'mark' }]} />);
  expect(screen.getByTestId('watch-pressed').props['aria-label']).toBe('Pressed: pad at rest');
  fireEvent.press(screen.getByTestId('watch-on'));
  expect(clock.getState().tick).toBe(120);
  expect(screen.getByTestId('watch-pressed').props['aria-label']).toBe(
    'Pressed: pad 1.0, 0.0, button held',
  );
  fireEvent.press(screen.getByTestId('watch-back'));
  expect(clock.getState().tick).toBe(119);
});

test('it plays and holds, and its speeds come round', () => {
  const clock = watchClock(film.ticks, 30);
  render(<WatchPanel film={film} clock={clock} marks={[]} />);
  fireEvent.press(screen.getByTestId('watch-play'));
  expect(clock.getState().playing).toBe(true);
  fireEvent.press(screen.getByTestId('watch-play'));
  expect(clock.getState().playing).toBe(false);
  for (const speed of [2, 0.1, 0.25, 0.5, 1]) {
    fireEvent.press(screen.getByTestId('watch-speed'));
    expect(clock.getState().speed).toBe(speed);
  }
});
