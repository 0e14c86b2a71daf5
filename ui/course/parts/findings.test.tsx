import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import { useCourse } from '../../state/courseStore';
import { useFindings } from '../open/useFindings';
import { FindingsSheet } from './FindingsSheet';

jest.mock('../../scene', () => jest.requireActual('../../scene/view'));
jest.mock('@/workers/check', () => ({
  checkInWorker: jest.requireActual('../../testing/check').checkElsewhere,
}));

const TWINS = layPieces(emptyCourse('Twins', 'free'), [
  ...[0, 0].map((x) => ({ family: 'crate', at: [x, 0, 0] as [number, number, number] })),
]);

function OpenFindings() {
  const course = useCourse((s) => s.course);
  return <FindingsSheet open findings={useFindings(course)} onClose={jest.fn()} />;
}
const settle = () => act(async () => void (await new Promise((done) => setTimeout(done, 400))));

test('a notice is put aside into a folded list, and shown again from it; both are one step to undo', async () => {
  useCourse.getState().open('twins', 1, TWINS, { kind: 'saved', at: 0 });
  render(<OpenFindings />);
  await settle();
  expect(screen.queryByText('1 put aside')).toBeNull();
  fireEvent.press(screen.getByRole('button', { name: 'Not a problem here' }));
  await settle();
  expect(screen.queryByText(/lie in the same place/)).toBeNull();
  expect(screen.queryByRole('button', { name: 'Not a problem here' })).toBeNull();
  fireEvent.press(screen.getByText('1 put aside'));
  fireEvent.press(screen.getByRole('button', { name: 'Show it again' }));
  await settle();
  expect(screen.getByRole('button', { name: 'Not a problem here' })).toBeTruthy();
  act(() => useCourse.getState().undo());
  expect(useCourse.getState().course.aside).toHaveLength(1);
  act(() => useCourse.getState().undo());
  expect(useCourse.getState().course).toEqual(TWINS);
});

test('what keeps a course from being run cannot be put aside', async () => {
  const empty = emptyCourse('Empty', 'free');
  useCourse.getState().open('empty', 1, empty, { kind: 'saved', at: 0 });
  render(<OpenFindings />);
  await settle();
  expect(screen.getByText('The course has no start.')).toBeTruthy();
  expect(screen.queryByText('Not a problem here')).toBeNull();
});
