import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import { layPieces, movePieces, setRule, shiftPhase } from '@/core/edit';
import type { Opening } from '@/core/timing';
import { useCourse } from '../../../state/courseStore';
import { openingNow } from './knownOpening';
import { MoverOpenings } from './MoverOpenings';

jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../../state/afterFrame');
jest.mock('../../../scene', () => ({ useView: () => null }));
let mockRun: object | null = { run: {} };
jest.mock('../../runs/useKnownRuns', () => ({ useKnownRuns: () => ({ find: () => mockRun }) }));
const mockAsked: unknown[] = [];
let mockFound: Opening[] = [];
jest.mock('@/workers/timing', () => ({
  beginOpenings: (_: unknown, __: unknown, ___: unknown, only: string) => {
    mockAsked.push(only);
    return { result: Promise.resolve(mockFound), cancel: () => {}, cancelled: () => false };
  },
}));

const COURSE = layPieces(emptyCourse('Trial'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'drift', at: [4, 0, 0], params: { direction: 'up', span: 3, period: 2 } },
  { family: 'slab', at: [9, 0, 0] },
]);
/** Open in the first quarter of two seconds. */
const OPENING: Opening = {
  ...{
    piece: 'p2',
    kind: 'by' as const,
    clock: 'round' as const,
    period: 2,
    from: 100,
    share: 0.25,
    early: 0,
    late: 0.5,
    longestWait: 1.5,
  },
  passable: Array.from({ length: 120 }, (_, i) => i < 30),
};

test('an opening goes with its mover’s phase, and with nothing else', () => {
  const known = { course: COURSE, opening: OPENING };
  expect(openingNow(known, COURSE, 'p2')).toEqual(
    expect.objectContaining({ passable: OPENING.passable }),
  );
  const later = openingNow(known, shiftPhase(COURSE, 'p2', -0.25), 'p2')!;
  // What came by at the beginning of its clock now comes a quarter of a second before.
  expect(later.passable.slice(0, 16)).toEqual([...Array<boolean>(15).fill(false), true]);
  const twice = shiftPhase(shiftPhase(COURSE, 'p2', 0.5), 'p2', -0.5);
  expect(openingNow(known, twice, 'p2')!.passable).toEqual(OPENING.passable);
  for (const other of [
    shiftPhase(movePieces(COURSE, new Set(['p3']), [0, 1, 0]), 'p2', 0.5),
    movePieces(COURSE, new Set(['p2']), [0, 1, 0]),
    setRule(COURSE, 'limit', 60),
    layPieces(COURSE, [{ family: 'slab', at: [20, 0, 0] }]),
  ])
    expect(openingNow(known, other, 'p2')).toBeNull();
  expect(openingNow({ course: COURSE, opening: null }, COURSE, 'p2')).toBeNull();
});

const now = () => useCourse.getState();

/** The panel as it follows the course. */
function Panel() {
  const piece = useCourse((s) => s.course.pieces[1]);
  return <MoverOpenings piece={piece} />;
}

async function asked(found: Opening[]) {
  now().open('a', 1, COURSE, { kind: 'saved', at: 0 });
  mockFound = found;
  render(<Panel />);
  fireEvent.press(screen.getByTestId('mover-openings-begin'));
  await act(async () => {});
}

test('only the mover is asked of; an arrow key has it earlier or later and the bar with it', async () => {
  await asked([OPENING]);
  expect(mockAsked).toEqual(['p2']);
  expect(screen.getByTestId('mover-opening-words')).toHaveTextContent(/0.00 s earlier or 0.48 s/);
  fireEvent(screen.getByTestId('mover-opening'), 'keyDown', {
    key: 'ArrowLeft',
    preventDefault: () => {},
    stopPropagation: () => {},
  });
  await act(async () => {});
  expect(Number(now().course.pieces[1].params?.phase)).toBeCloseTo(0.025, 6);
  expect(screen.getByTestId('mover-opening-words')).toHaveTextContent(/0.05 s earlier or 0.43 s/);
});

test('what else has changed is told, and looked at again', async () => {
  await asked([OPENING]);
  act(() => now().edit((course) => movePieces(course, new Set(['p3']), [0, 1, 0])));
  await act(async () => {});
  expect(screen.queryByTestId('mover-opening')).toBeNull();
  expect(screen.getByText(/Something else has changed/)).toBeTruthy();
  expect(screen.getByText('Look again')).toBeTruthy();
});

test('a mover the run does not come by is told so; without a run nothing is', async () => {
  await asked([]);
  expect(screen.getByText('The best run does not come by it.')).toBeTruthy();
  screen.unmount();
  mockRun = null;
  render(<Panel />);
  expect(screen.queryByTestId('mover-openings')).toBeNull();
});
