import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import type { PublishedCourse } from '@/core/protocol';
import { api, ApiError } from '../state/api';
import { usePublished } from '../state/queries';
import { Liked } from './Liked';

jest.mock('@expo/vector-icons/Feather', () => () => null);

const DATA: PublishedCourse = {
  ...{
    slug: 'quay',
    course: emptyCourse('Quay'),
    look: 'l',
    hash: 'h',
    maker: 'Maura',
    makerTime: 21.5,
  },
  ...{
    published: 0,
    edition: 1,
    difficulty: null,
    editions: [],
    newest: true,
    tries: 3,
    finishes: 3,
    likes: 2,
    liked: false,
    own: false,
  },
  ...{ length: 30, best: [], players: 3, spread: null },
};
function Shown() {
  const { data } = usePublished('quay');
  return data ? <Liked data={data} /> : null;
}
let client: QueryClient;
/** Lets what was asked for be answered: who shows it hears of it a moment later. */
const answered = () => act(() => new Promise<void>((resolve) => setTimeout(resolve, 20)));
const show = () => {
  client = new QueryClient({
    defaultOptions: {
      queries: { staleTime: Infinity, gcTime: Infinity },
      // No clock runs on when the test is over.
      mutations: { gcTime: Infinity },
    },
  });
  client.setQueryData(['published', 'quay'], DATA);
  render(
    <QueryClientProvider client={client}>
      <Shown />
    </QueryClientProvider>,
  );
};
afterEach(() => client.clear());

test('a like is shown at once, and then as the server counts it', async () => {
  let answer = (_: { likes: number }) => {};
  jest.spyOn(api, 'like').mockReturnValue(new Promise((resolve) => (answer = resolve)));
  show();
  fireEvent.press(screen.getByLabelText('Like · 2'));
  await answered();
  expect(screen.getByLabelText('Liked · 3')).toBeTruthy();
  // Others have been there in the meantime.
  answer({ likes: 7 });
  await answered();
  expect(screen.getByLabelText('Liked · 7')).toBeTruthy();
  expect(api.like).toHaveBeenCalledWith('quay', true);
});

test('one that was not heard is put right, and said', async () => {
  jest
    .spyOn(api, 'like')
    .mockRejectedValue(new ApiError(0, 'offline', 'The server cannot be reached.'));
  show();
  fireEvent.press(screen.getByLabelText('Like · 2'));
  await answered();
  expect(screen.getByLabelText('Like · 2')).toBeTruthy();
});
