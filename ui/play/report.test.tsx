import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import { api } from '../state/api';
import { Report } from './Report';

jest.mock('@expo/vector-icons/Feather', () => () => null);

let client: QueryClient;
beforeEach(() => {
  client = new QueryClient({ defaultOptions: { mutations: { gcTime: Infinity } } });
  render(
    <QueryClientProvider client={client}>
      <Report slug="quay" name="Quay" />
    </QueryClientProvider>,
  );
  fireEvent.press(screen.getByText('Report'));
});
afterEach(() => client.clear());
const send = () => act(async () => fireEvent.press(screen.getByTestId('report-send')));

test('what says nothing is not sent, what is refused stays to be sent again', async () => {
  const report = jest.spyOn(api, 'report').mockRejectedValueOnce(new Error('Wait a minute.'));
  report.mockResolvedValueOnce({ done: true });
  await send();
  expect(screen.getByText(/ten letters or more/)).toBeTruthy();
  expect(report).not.toHaveBeenCalled();
  await act(async () =>
    fireEvent.changeText(screen.getByTestId('report-words'), '  Its name is an insult.  '),
  );
  await send();
  await waitFor(() => expect(screen.getByText('Wait a minute.')).toBeTruthy());
  expect(report).toHaveBeenCalledWith('quay', 'Its name is an insult.');
  await send();
  await waitFor(() => expect(screen.queryByTestId('report-words')).toBeNull());
});
