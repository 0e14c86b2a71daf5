import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { layPieces } from '@/core/edit';
import { checkCourse } from '@/core/check';
import { emptyCourse } from '@/core/course';
import { useCourse } from '../../state/courseStore';
import { FindingList } from '../parts/FindingList';
import { PlanPanel } from '../plan/PlanPanel';
import { Tray } from '../lay/tray/Tray';
import { TunePanel } from './TunePanel';

// What is told of the course a moment after an edit would be told outside of any test's doing.
jest.useFakeTimers();
jest.mock('../../state/afterFrame');
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../scene', () => {
  const view = { target: [0, 0, 0], mode: 'side', look: jest.fn() };
  const useView = (pick: (v: typeof view) => unknown) => pick(view);
  return { useView: Object.assign(useView, { getState: () => view }), glideTo: jest.fn() };
});

const state = () => useCourse.getState();
const piece = (id: string) => state().course.pieces.find((p) => p.id === id)!;

beforeEach(() => {
  Object.assign(globalThis, { document: { activeElement: null } });
  const course = layPieces(emptyCourse('Trial'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'drift', at: [4, 0, 0], name: 'Ferry' },
    { family: 'arm', at: [8, 0, 0] },
  ]);
  state().open('a', 1, course, { kind: 'saved', at: 0 });
});

test('Tune lists what acts, then shows the figures of the one chosen', () => {
  render(<TunePanel />);
  fireEvent.press(screen.getByText('Ferry'));
  expect(screen.getByText('Drift slab')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Travel more'));
  fireEvent.press(screen.getByLabelText('Travel more'));
  expect(piece('p2').params).toEqual({ span: 4.5 });
  fireEvent.press(screen.getByLabelText('Up'));
  expect(piece('p2').params).toEqual({ span: 4.5, direction: 'up' });
  const period = screen.getByTestId('dial-period');
  fireEvent.changeText(period, '0');
  fireEvent(period, 'blur');
  expect(screen.getByText('Period goes from 0.5 to 60 s.')).toBeTruthy();
  expect(piece('p2').params).toEqual({ span: 4.5, direction: 'up' });
  // Two presses of one dial are one step; the choice another.
  act(() => state().undo());
  act(() => state().undo());
  expect(piece('p2').params).toBeUndefined();
});

test('Plan sets the course, leaves defaults out, and keeps targets in order', () => {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { gcTime: 0 } } })}>
      <PlanPanel />
    </QueryClientProvider>,
  );
  fireEvent.press(screen.getByLabelText('Gather every shell'));
  fireEvent.press(screen.getByLabelText('Gravity more'));
  expect(state().course).toMatchObject({ kind: 'gather', gravity: 23 });
  fireEvent.press(screen.getByLabelText('Gravity less'));
  expect(state().course.runner.settings).toBeUndefined();
  const swift = screen.getByLabelText('Swift');
  fireEvent.changeText(swift, '50');
  fireEvent(swift, 'blur');
  expect(screen.getByText('Swift is the shortest time, then brisk, then steady.')).toBeTruthy();
  expect(state().course.targets).toBeUndefined();
  fireEvent.changeText(swift, '25');
  fireEvent(swift, 'blur');
  expect(state().course.targets).toEqual({ steady: 60, brisk: 45, swift: 25 });
  fireEvent.changeText(screen.getByTestId('course-name'), 'ab');
  expect(screen.getByText('A name needs at least three letters.')).toBeTruthy();
});

test('the tray shows a group, finds by other words, and takes a family in hand', () => {
  render(<Tray wide={false} />);
  expect(screen.getByLabelText('Slab')).toBeTruthy();
  expect(screen.queryByLabelText('Shell')).toBeNull();
  fireEvent.press(screen.getByLabelText('Find a piece'));
  fireEvent.changeText(screen.getByTestId('find-piece'), 'bridge');
  expect(screen.getByLabelText('Beam')).toBeTruthy();
  fireEvent.changeText(screen.getByTestId('find-piece'), 'zeppelin');
  expect(screen.getByText('No piece by that name.')).toBeTruthy();
  fireEvent.changeText(screen.getByTestId('find-piece'), 'pickup');
  fireEvent.press(screen.getByLabelText('Shell'));
  expect(state().inHand).toEqual({ family: 'shell', at: [0, 0, 0] });
});

test('figures of several step from where each stands; what was typed for one is not set for another', () => {
  act(() => state().choose(['p2', 'p3']));
  render(<TunePanel />);
  expect(screen.getByText('2 pieces')).toBeTruthy();
  expect(screen.getByTestId('dial-at0').props.value).toBe('');
  fireEvent.press(screen.getByLabelText('Place x more'));
  expect([piece('p2').at[0], piece('p3').at[0]]).toEqual([4.25, 8.25]);
  const typed = () => screen.getByTestId('dial-at1');
  fireEvent.changeText(typed(), '7');
  act(() => state().choose(['p2']));
  expect(typed().props.value).toBe('0');
  fireEvent.changeText(typed(), 'up');
  fireEvent(typed(), 'blur');
  expect(screen.getByText('That is not a number.')).toBeTruthy();
  act(() => state().choose(['p3']));
  expect(screen.queryByText('That is not a number.')).toBeNull();
  expect(piece('p3').at[1]).toBe(0);
  // The same figure of another piece is another step to undo.
  fireEvent.press(screen.getByLabelText('Place y more'));
  act(() => state().choose(['p2']));
  fireEvent.press(screen.getByLabelText('Place y more'));
  act(() => state().undo());
  expect([piece('p2').at[1], piece('p3').at[1]]).toEqual([0, 0.25]);
});

test('kerbs of a floor are chosen side by side', () => {
  act(() => state().edit((c) => layPieces(c, [{ family: 'court', at: [0, 0, 8] }])));
  act(() => state().choose(['p4']));
  render(<TunePanel />);
  fireEvent.press(screen.getByLabelText('+x'));
  fireEvent.press(screen.getByLabelText('−z'));
  expect(piece('p4').params).toEqual({ edges: 9 });
  fireEvent.press(screen.getByLabelText('+x'));
  expect(piece('p4').params).toEqual({ edges: 8 });
});

test('what is found alike is mended alike, in one step', () => {
  const stones = [0, 10, 20].flatMap((x) =>
    [0, 1].map(() => ({ family: 'crate', at: [x, 0, 0] as [number, number, number] })),
  );
  const twins = layPieces(emptyCourse('Twins', 'free'), stones);
  useCourse.getState().open('twins', 1, twins, { kind: 'saved', at: 0 });
  const found = checkCourse(twins).filter(({ rule }) => rule === 'twins');
  expect(found).toHaveLength(3);
  render(<FindingList findings={found} />);
  fireEvent.press(screen.getByText('Take one away, all 3'));
  expect(useCourse.getState().course.pieces).toHaveLength(3);
  expect(checkCourse(useCourse.getState().course).some(({ rule }) => rule === 'twins')).toBe(false);
  act(() => useCourse.getState().undo());
  expect(useCourse.getState().course.pieces).toHaveLength(6);
});
