import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import type { PublishedCourse } from '@/core/protocol';
import { api } from '../state/api';
import { changeWords, Editions } from './Editions';

jest.mock('@expo/vector-icons/Feather', () => () => null);

jest.mock('expo-router', () => ({ router: { setParams: jest.fn() } }));

const none = { added: 0, removed: 0, moved: 0, changed: 0 };

test('what changed is told by its first with the word for pieces, and the rest after it', () => {
  expect(changeWords({ ...none, added: 1 })).toBe('1 piece more');
  expect(changeWords({ added: 2, removed: 1, moved: 3, changed: 1 })).toBe(
    '2 pieces more, 1 gone, 3 moved, 1 changed',
  );
  expect(changeWords({ ...none, moved: 1 })).toBe('1 piece moved');
  expect(changeWords(none)).toContain('its rules changed');
});

test('an earlier edition is removed by its maker, who is asked twice', async () => {
  const remove = jest.spyOn(api, 'removeEdition').mockResolvedValue({ done: true });
  const editions = [2, 1].map((edition) => ({ edition, published: 1, changes: null }));
  const data = (own: boolean) => ({ slug: 'quay', own, edition: 2, editions }) as PublishedCourse;
  const client = new QueryClient();
  const list = (own: boolean) => (
    <QueryClientProvider client={client}>
      <Editions data={data(own)} />
    </QueryClientProvider>
  );
  const { rerender } = render(list(false));
  expect(screen.queryByLabelText(/^Remove edition/)).toBeNull();
  rerender(list(true));
  expect(screen.queryByLabelText('Remove edition 2')).toBeNull();
  fireEvent.press(screen.getByLabelText('Remove edition 1'));
  expect(remove).not.toHaveBeenCalled();
  fireEvent.press(screen.getByRole('button', { name: 'Remove it and its times' }));
  await waitFor(() => expect(remove).toHaveBeenCalledWith('quay', 1));
});
