import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import type { PublishedCourse } from '@/core/protocol';
import { useSettings } from '../device/settings';
import { api } from '../state/api';
import { useBesideRuns } from './besideRuns';
import { RunBeside } from './RunBeside';

jest.mock('@expo/vector-icons/Feather', () => () => null);

const DATA: PublishedCourse = {
  slug: 'quay',
  course: emptyCourse('Quay'),
  look: 'l',
  hash: 'h',
  maker: 'Isla',
  makerTime: 21.5,
  published: 0,
  ...{
    edition: 1,
    difficulty: null,
    editions: [],
    newest: true,
    tries: 3,
    finishes: 3,
    likes: 0,
    liked: false,
    own: false,
  },
  ...{ length: 30, players: 3, spread: null },
  best: [
    { place: 1, player: 'Orla', time: 20, own: false, run: '1' },
    { place: 2, player: 'Fenn', time: 22, own: false },
    { place: 3, player: 'Tam', time: 24, own: true, run: '3' },
  ],
};
const show = (data = DATA) =>
  render(
    <QueryClientProvider client={new QueryClient()}>
      <RunBeside data={data} />
    </QueryClientProvider>,
  );

beforeEach(() => useBesideRuns.setState({ of: {} }));

test('who lets others see runs can be run beside, and the maker too', () => {
  show();
  expect(screen.getByTestId('beside-count')).toHaveTextContent(/^One pale runner goes along/);
  fireEvent.press(screen.getByLabelText('Run beside Orla'));
  expect(screen.queryByLabelText('Run beside Fenn')).toBeNull();
  fireEvent.press(screen.getByLabelText(/^Run beside Isla, who made it: 21.500/));
  expect(screen.getByTestId('beside-count')).toHaveTextContent(/^3 pale runners go along/);
});

test('one’s own run is closed to others, and a refusal is told and changes nothing', async () => {
  const open = jest.spyOn(api, 'openRun').mockResolvedValueOnce({ done: true });
  show();
  fireEvent(screen.getByLabelText('Others may run beside mine'), 'valueChange', false);
  await act(async () => {});
  expect(open).toHaveBeenCalledWith('quay', false);
  expect(useSettings.getState().openRuns).toBe(false);
  open.mockRejectedValueOnce(new Error('The server is not in reach.'));
  fireEvent(screen.getByLabelText('Others may run beside mine'), 'valueChange', true);
  await act(async () => {});
  expect(useSettings.getState().openRuns).toBe(false);
});

test('without a run of one’s own there is nothing to close, and without the maker’s none of theirs', () => {
  show({ ...DATA, makerTime: null, best: DATA.best.slice(0, 2) });
  expect(screen.queryByLabelText('Others may run beside mine')).toBeNull();
  expect(screen.queryByLabelText(/who made it/)).toBeNull();
  expect(screen.getByTestId('beside-count')).toHaveTextContent(/^Touch a run/);
});
