import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { api } from '../state/api';
import { Account } from './Account';

jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../state/api', () => ({
  ...jest.requireActual<object>('../state/api'),
  api: {
    ...{ me: jest.fn(), claimName: jest.fn(), signIn: jest.fn(), signOut: jest.fn() },
    ...{ devices: jest.fn(), endDevice: jest.fn(), endOthers: jest.fn(), leave: jest.fn() },
  },
}));

const asked = api as unknown as Record<
  'me' | 'claimName' | 'signIn' | 'signOut' | 'devices' | 'endDevice' | 'endOthers' | 'leave',
  jest.Mock
>;
let client: QueryClient;

function show(element: ReactElement) {
  client = new QueryClient({
    defaultOptions: { queries: { retry: false, gcTime: 0 }, mutations: { gcTime: 0 } },
  });
  return render(<QueryClientProvider client={client}>{element}</QueryClientProvider>);
}
const type = (testID: string, text: string) =>
  fireEvent.changeText(screen.getByTestId(testID), text);
const press = (title: string) => act(async () => fireEvent.press(screen.getByText(title)));

beforeEach(() => {
  for (const mock of Object.values(asked)) mock.mockReset();
  asked.me.mockResolvedValue({ maker: true, name: null });
  asked.devices.mockResolvedValue({ devices: [] });
});
afterEach(() => client.clear());

test('what is not a name or a passphrase is said under its field, and nothing is sent', async () => {
  show(<Account />);
  type('account-name', 'F');
  type('account-passphrase', 'short');
  await press('Take this name');
  expect(screen.getByText('A name has at least two letters.')).toBeTruthy();
  expect(screen.getByText('A passphrase has at least ten characters.')).toBeTruthy();
  expect(asked.claimName).not.toHaveBeenCalled();
  // Mended while it is typed, without another press.
  await act(async () => type('account-name', 'Fenn'));
  expect(screen.queryByText('A name has at least two letters.')).toBeNull();
});

test('a name is sent as the server keeps it, and a refusal is told with all still there', async () => {
  asked.claimName.mockRejectedValue(new Error('That name is taken.'));
  show(<Account />);
  type('account-name', '  Fenn   of the quay ');
  type('account-passphrase', 'kelp and slate');
  await press('Take this name');
  expect(asked.claimName).toHaveBeenCalledWith('Fenn of the quay', 'kelp and slate');
  await waitFor(() => expect(screen.getByText('That name is taken.')).toBeTruthy());
  expect(screen.getByTestId('account-passphrase').props.value).toBe('kelp and slate');
});

test('signed in, the passphrase is changed with the one of now', async () => {
  asked.me.mockResolvedValue({ maker: true, name: 'Fenn' });
  asked.claimName.mockResolvedValue({ maker: true, name: 'Fenn' });
  show(<Account />);
  await waitFor(() => expect(screen.getByText('Change the passphrase')).toBeTruthy());
  await press('Change the passphrase');
  await press('Change it');
  expect(screen.getByText('Give the passphrase you have now.')).toBeTruthy();
  type('passphrase-old', 'kelp and slate');
  type('passphrase-new', 'slate and kelp');
  await press('Change it');
  expect(asked.claimName).toHaveBeenCalledWith('Fenn', 'slate and kelp', 'kelp and slate');
  await waitFor(() => expect(screen.getByText('Change the passphrase')).toBeTruthy());
});

describe('signed in', () => {
  const device = (id: string, kind: 'phone' | 'computer', here: boolean) => ({
    ...{ id, kind, here, begun: Date.now(), used: Date.now() - 3 * 86_400_000 },
  });
  beforeEach(() => asked.me.mockResolvedValue({ maker: true, name: 'Fenn' }));

  test('each device is told, and every other can be signed out', async () => {
    asked.devices.mockResolvedValue({
      devices: [device('a', 'computer', true), device('b', 'phone', false)],
    });
    asked.endDevice.mockResolvedValue({ done: true });
    asked.endOthers.mockResolvedValue({ done: true });
    show(<Account />);
    await waitFor(() => expect(screen.getByText('Computer, this one')).toBeTruthy());
    expect(screen.getByText('Phone, used 3 days ago')).toBeTruthy();
    expect(screen.queryByLabelText(/Sign out on the computer/)).toBeNull();
    await act(async () => fireEvent.press(screen.getByLabelText(/Sign out on the phone/)));
    expect(asked.endDevice.mock.calls[0][0]).toBe('b');
    await press('Sign out everywhere else');
    expect(asked.endOthers).toHaveBeenCalledTimes(1);
  });

  test('with one device there is nothing else to sign out', async () => {
    asked.devices.mockResolvedValue({ devices: [device('a', 'phone', true)] });
    show(<Account />);
    await waitFor(() => expect(screen.getByText('Phone, this one')).toBeTruthy());
    expect(screen.queryByText('Sign out everywhere else')).toBeNull();
  });

  test('who leaves is asked twice, and told when the passphrase is another', async () => {
    asked.leave.mockRejectedValueOnce(new Error('That is not the passphrase you have now.'));
    asked.leave.mockResolvedValueOnce({ done: true });
    show(<Account />);
    await waitFor(() => expect(screen.getByText('Delete me')).toBeTruthy());
    await press('Delete me');
    await press('Delete me for good');
    expect(screen.getByText('Give the passphrase you have now.')).toBeTruthy();
    expect(asked.leave).not.toHaveBeenCalled();
    await act(async () => type('leave-passphrase', 'kelp and slate'));
    await press('Delete me for good');
    await waitFor(() => expect(screen.getByText(/not the passphrase/)).toBeTruthy());
    await press('Delete me for good');
    await waitFor(() => expect(screen.getByText('Delete me')).toBeTruthy());
    expect(asked.leave).toHaveBeenCalledTimes(2);
  });

  test('who stays has sent nothing', async () => {
    show(<Account />);
    await waitFor(() => expect(screen.getByText('Delete me')).toBeTruthy());
    await press('Delete me');
    await press('Stay');
    expect(screen.getByText('Delete me')).toBeTruthy();
    expect(asked.leave).not.toHaveBeenCalled();
  });
});
