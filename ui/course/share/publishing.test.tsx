import { fireEvent, render, screen } from '@testing-library/react-native';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { Finding } from '@/core/check';
import { emptyCourse, type Course } from '@/core/course';
import { layPieces } from '@/core/edit';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { AsSeen } from './AsSeen';
import { Checklist } from './Checklist';
import { PictureOptions } from './PictureOptions';

jest.useFakeTimers();
jest.mock('../../state/afterFrame');
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../scene', () => {
  const view = { target: [1.04, 2, -7], yaw: 0, pitch: 0, distance: 10, look: jest.fn() };
  return { useView: { getState: () => view }, lookFrom: () => ({ target: [0, 0, 0] }) };
});
const look = () => useView.getState().look as jest.Mock;

const course = layPieces(emptyCourse('Trial'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'lantern', at: [4, 0, 0] },
]);
const now = () => useCourse.getState().course;
beforeEach(() => {
  look().mockClear();
  Object.assign(globalThis, { document: { activeElement: null } });
  useCourse.getState().open('a', 1, course, { kind: 'saved', at: 0 });
});

interface Given {
  readonly on?: Course;
  readonly finished?: string;
  readonly fresh?: boolean;
  readonly errors?: readonly Finding[];
}
const onRun = jest.fn();
const list = ({ on = course, finished, fresh = false, errors = [] }: Given) =>
  render(<Checklist course={on} finished={finished} fresh={fresh} errors={errors} onRun={onRun} />);
const states = () =>
  screen
    .getAllByLabelText(/^(Done|To do|Not known yet)$/)
    .map((sign) => sign.props['aria-label'] as string);

test('what is to be done before it goes out is told line by line, and the run is begun from there', () => {
  list({ on: { ...course, name: ' ' } });
  expect(states()).toEqual(['To do', 'Not known yet', 'To do']);
  fireEvent.press(screen.getByText('Run it'));
  expect(onRun).toHaveBeenCalled();
  screen.unmount();
  list({ finished: '30.685', fresh: true });
  expect(states()).toEqual(['Done', 'Not known yet', 'Done']);
  expect(screen.queryByText('Run it')).toBeNull();
  expect(screen.getByTestId('proof-state')).toHaveTextContent(/Finished by you in 30\.685/);
  screen.unmount();
  list({ finished: '30.000', fresh: false });
  expect(screen.getByTestId('proof-state')).toHaveTextContent(/has changed since/);
});

test('what stands in the way is listed, and touched shows where it is', () => {
  const placed: Finding = {
    rule: 'start',
    weight: 'error',
    message: 'There are two starts.',
    at: [3, 0, 0],
    piece: 'p2',
  };
  list({ errors: [placed] });
  expect(states()[1]).toBe('To do');
  fireEvent.press(screen.getByText(placed.message));
  expect(look()).toHaveBeenCalledWith({ target: placed.at });
  expect([...useCourse.getState().choice]).toEqual(['p2']);
});

test('what others see is filled in in its place; what is left empty is left out', () => {
  const client = new QueryClient({ defaultOptions: { queries: { gcTime: 0 } } });
  render(
    <QueryClientProvider client={client}>
      <AsSeen slug={undefined} />
    </QueryClientProvider>,
  );
  fireEvent.changeText(screen.getByTestId('course-name'), 'Kelp\u202eRun');
  expect(now().name).toBe('Kelp\u202eRun');
  expect(screen.getByText('A name has no characters that are not seen.')).toBeTruthy();
  fireEvent.changeText(screen.getByTestId('course-welcome'), 'Mind the tide');
  fireEvent.changeText(screen.getByTestId('course-description'), 'Wet');
  expect(now()).toMatchObject({ welcome: 'Mind the tide', description: 'Wet' });
  fireEvent.changeText(screen.getByTestId('course-welcome'), '');
  expect(now().welcome).toBeUndefined();
  fireEvent(screen.getByLabelText('Others may take it apart'), 'valueChange', false);
  expect(now().mayCopy).toBe(false);
  fireEvent(screen.getByLabelText('Others may take it apart'), 'valueChange', true);
  expect(now().mayCopy).toBeUndefined();
});

test('the course’s picture is taken from where one looks, with a field of view, or as usual', () => {
  render(<PictureOptions />);
  expect(screen.queryByTestId('picture-field')).toBeNull();
  fireEvent.press(screen.getByTestId('take-picture'));
  expect(now().picture).toEqual({ at: [1, 2, 3], look: [1, 2, -7] });
  const type = (value: string) => {
    fireEvent.changeText(screen.getByTestId('picture-field'), value);
    fireEvent(screen.getByTestId('picture-field'), 'blur');
  };
  type('200');
  expect(now().picture!.field).toBeUndefined();
  type('20');
  expect(now().picture!.field).toBe(20);
  fireEvent.press(screen.getByText('As usual'));
  expect(now().picture).toBeUndefined();
});
