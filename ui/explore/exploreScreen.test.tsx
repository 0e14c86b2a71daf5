import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import type { CourseFound } from '@/core/protocol';
import { api, ApiError } from '../state/api';
import { ExploreScreen } from './ExploreScreen';

jest.mock('@expo/vector-icons/Feather', () => () => null);
let mockParams: Record<string, string> = {};
const mockPush = jest.fn();
const mockSet = jest.fn();
jest.mock('expo-router', () => ({
  router: {
    push: (to: string) => mockPush(to),
    setParams: (params: Record<string, string>) => mockSet(params),
  },
  useLocalSearchParams: () => mockParams,
}));

const course = (name: string, more: Partial<CourseFound> = {}): CourseFound => ({
  ...{
    slug: name.toLowerCase(),
    look: 'l',
    hash: 'h'.repeat(64),
    name,
    maker: 'Maura',
    kind: 'point',
  },
  ...{
    runner: 'hopper',
    length: 41.2,
    time: 12.3456,
    edition: 1,
    difficulty: null,
    published: Date.now(),
  },
  ...{ tries: 8, finishes: 2, likes: 0, finished: false },
  ...more,
});
type Page = Awaited<ReturnType<typeof api.explore>>;
const answers = (page: (asked: Parameters<typeof api.explore>[0]) => Page) =>
  jest.spyOn(api, 'explore').mockImplementation(async (asked) => page(asked));

let client: QueryClient;
/** Lets what was asked for be answered: lists hear of it a moment later. */
const answered = () => act(() => new Promise<void>((resolve) => setTimeout(resolve, 20)));
const show = async (settled = answered) => {
  client = new QueryClient({ defaultOptions: { queries: { retry: false, gcTime: Infinity } } });
  render(
    <QueryClientProvider client={client}>
      <ExploreScreen />
    </QueryClientProvider>,
  );
  await settled();
};

beforeEach(() => {
  mockParams = {};
  mockPush.mockReset();
  mockSet.mockReset();
});
afterEach(() => {
  client.clear();
  jest.restoreAllMocks();
});

test('each course says what it is and how it is run, and is opened by a press', async () => {
  answers(({ week }) => ({
    courses: week
      ? []
      : [course('Gulls', { likes: 3, finished: true }), course('Eels', { strokes: 4 })],
    next: null,
  }));
  await show();
  expect(screen.getByText('Gulls')).toBeTruthy();
  expect(screen.getAllByText('by Maura · Hopper · 41 m')).toHaveLength(2);
  expect(screen.getAllByText('25 % finish · 8 tries')).toHaveLength(2);
  expect(screen.getByText('12.346')).toBeTruthy();
  expect(screen.getByText('4 strokes')).toBeTruthy();
  expect(screen.getByLabelText('3 like it')).toBeTruthy();
  expect(screen.getByText('Finished')).toBeTruthy();
  expect(screen.queryByTestId('explore-week')).toBeNull();
  fireEvent.press(screen.getByTestId('found-eels'));
  expect(mockPush).toHaveBeenCalledWith('/play/eels');
});

test('more are asked for from where the last page ended, and each is shown once', async () => {
  const asked = answers(({ after, week }) =>
    week
      ? { courses: [course('Fresh')], next: null }
      : after
        ? { courses: [course('Second')], next: null }
        : { courses: [course('First')], next: 'there' },
  );
  await show();
  expect(screen.getByTestId('explore-week')).toBeTruthy();
  fireEvent.press(screen.getByTestId('explore-more'));
  await answered();
  expect(screen.getByText('First')).toBeTruthy();
  expect(screen.getByText('Second')).toBeTruthy();
  expect(asked).toHaveBeenCalledWith(
    expect.objectContaining({ order: 'run', after: 'there' }),
    expect.anything(),
  );
  expect(screen.queryByTestId('explore-more')).toBeNull();
});

test('what the address says is asked for, and what is chosen goes there', async () => {
  mockParams = { words: 'gull', order: 'liked', runner: 'cart', unfinished: 'yes' };
  const asked = answers(() => ({ courses: [], next: null }));
  await show();
  expect(asked.mock.calls.map(([told]) => [told])).toEqual([
    [{ words: 'gull', order: 'liked', runner: 'cart', unfinished: 'yes' }],
  ]);
  expect(screen.getByText(/Nothing is like that/)).toBeTruthy();
  await act(async () => fireEvent.press(screen.getByTestId('explore-filters')));
  fireEvent.press(screen.getByLabelText('Show all'));
  expect(mockSet).toHaveBeenLastCalledWith({ words: 'gull', order: 'liked' });
});

test('words are looked for when the hand rests', async () => {
  jest.useFakeTimers();
  try {
    answers(() => ({ courses: [], next: null }));
    await show(() => act(async () => void (await jest.advanceTimersByTimeAsync(20))));
    fireEvent.changeText(screen.getByTestId('explore-words'), 'ee');
    act(() => jest.advanceTimersByTime(100));
    fireEvent.changeText(screen.getByTestId('explore-words'), 'eel ');
    act(() => jest.advanceTimersByTime(100));
    expect(mockSet).not.toHaveBeenCalled();
    act(() => jest.advanceTimersByTime(300));
    expect(mockSet).toHaveBeenCalledTimes(1);
    expect(mockSet.mock.calls[0][0]).toMatchObject({ words: 'eel' });
  } finally {
    jest.useRealTimers();
  }
});

test('a list that does not come says why, and is asked for again', async () => {
  let broken = true;
  answers(() => {
    if (broken) throw new ApiError(0, 'offline', 'The server cannot be reached.');
    return { courses: [course('Gulls')], next: null };
  });
  await show();
  expect(screen.getByText('The server cannot be reached.')).toBeTruthy();
  broken = false;
  fireEvent.press(screen.getByLabelText('Try again'));
  await answered();
  expect(screen.getByText('Gulls')).toBeTruthy();
});
