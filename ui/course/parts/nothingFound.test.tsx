import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react-native';
import { emptyCourse, type Course } from '@/core/course';
import { CORE_VERSION, courseHash, Recorder } from '@/core/run';
import { useCourse } from '../../state/courseStore';
import { KEYS } from '../../state/keys';
import { NothingFound } from './NothingFound';

jest.mock('../../state/afterFrame');
jest.mock('@expo/vector-icons/Feather', () => () => null);

const course = emptyCourse('Trial', 'free');

function shown(proved: Course | null): string {
  useCourse.getState().open('found', 1, course, { kind: 'saved', at: 0 });
  const client = new QueryClient({
    defaultOptions: { queries: { gcTime: Infinity, staleTime: Infinity } },
  });
  const run = proved && { ...new Recorder().run(courseHash(proved), 12.5), core: CORE_VERSION };
  client.setQueryData(KEYS.course('found'), {
    id: 'found',
    revision: 1,
    course,
    ...(run ? { proof: { time: 12.5, strokes: 3, run } } : {}),
  });
  const { unmount } = render(
    <QueryClientProvider client={client}>
      <NothingFound />
    </QueryClientProvider>,
  );
  const words = screen.getByText(/^Nothing wrong found/).props.children as string;
  unmount();
  return words;
}

test('without a finish it says that nobody has finished it', () => {
  expect(shown(null)).toBe('Nothing wrong found. Nobody has finished it yet.');
});

test('a finish of the course as it is now is told with its time', () => {
  expect(shown(course)).toBe('Nothing wrong found. You finished it in 12.500.');
});

test('a finish of an earlier form is told as that', () => {
  expect(shown({ ...course, gravity: 5 })).toBe(
    'Nothing wrong found. It has changed since you finished it.',
  );
});
