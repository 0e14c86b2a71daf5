import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import type { BegunRun, FairSheet, HazardSheet, Landing } from '@/core/timing';
import { useCourse } from '../../../state/courseStore';
import { Fairness } from './Fairness';
import {
  byLeastSeen,
  comesTooSoon,
  leastSeen,
  length,
  passWords,
  roomWords,
  sightWords,
  windowWords,
} from './words';

jest.mock('@expo/vector-icons/Feather', () => () => null);
const mockGo = jest.fn();
jest.mock('expo-router', () => ({ router: { dismissTo: (to: string) => mockGo(to) } }));

let mockFound: FairSheet;
jest.mock('@/workers/timing', () => ({
  beginFair: () => ({
    result: Promise.resolve(mockFound),
    cancel: () => {},
    cancelled: () => false,
  }),
}));

const COURSE = layPieces(emptyCourse('Trial'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'thorns', at: [4, 0, 0], name: 'Bramble' },
]);
const hazard = (seen: number, blind = 0, change: Partial<HazardSheet> = {}): HazardSheet => ({
  piece: 'p2',
  tick: 240,
  sight: { phone: { seen, blind }, wide: { seen: 2, blind: 0 } },
  nearest: null,
  ...change,
});
const landing = (change: Partial<Landing> = {}): Landing => ({
  ...{ press: 120, tick: 200, at: [0, 0, 0], piece: 'p2' },
  ...{ early: 12, late: 6, short: 0.4, long: 1.25 },
  ...change,
});
const fair = (change: Partial<FairSheet> = {}): FairSheet => ({
  ...{ hazards: [], hidden: { phone: 0.02, wide: 0.4 }, landings: [], unfair: [] },
  ...change,
});

test('a hazard is seen for as long as in the worse picture, and not if it is lost again', () => {
  expect(leastSeen(hazard(0.5))).toBe(0.5);
  expect(leastSeen(hazard(0.5, 0.8))).toBe(0);
  expect(comesTooSoon(hazard(0.3), 0.35)).toBe(true);
  expect(comesTooSoon(hazard(0.4), 0.35)).toBe(false);
  expect(comesTooSoon(hazard(3, 1.5), 0.35)).toBe(true);
  expect(byLeastSeen([hazard(2), hazard(0.1), hazard(1)]).map(leastSeen)).toEqual([0.1, 1, 2]);
});

test('figures in words', () => {
  expect(sightWords(hazard(0))).toBe('Seen not at all on a phone, 2.00 s wide.');
  expect(sightWords(hazard(0.5, 0.2))).toContain('0.50 s, then not for 0.20 s on a phone');
  const nearest = { tick: 1, at: [0, 0, 0] as const, shapes: 0.124, pictures: 0.2, over: 1.36 };
  expect(passWords(hazard(1, 0, { nearest }))).toBe(
    'Passed at 12 cm, its picture at 20 cm. Jumped over with 1.4 m to spare.',
  );
  expect(passWords(hazard(1, 0, { nearest: { ...nearest, shapes: -0.1, over: null } }))).toBe(
    'Touched.',
  );
  expect(passWords(hazard(1))).toBe('');
  expect(windowWords(landing())).toBe('100 ms early, 50 ms late');
  expect(roomWords(landing())).toBe('40 cm behind the foot, 1.3 m ahead');
  expect(roomWords(landing({ short: -0.12 }))).toBe('Caught its edge by 12 cm');
  expect([length(0.004), length(12)]).toEqual(['0 cm', '12.0 m']);
});

async function asked(found: FairSheet) {
  mockFound = found;
  const watched: number[] = [];
  render(
    <Fairness
      id="c1"
      course={COURSE}
      begun={{} as BegunRun}
      onWatch={(tick) => watched.push(tick)}
    />,
  );
  fireEvent.press(screen.getByTestId('fair-begin'));
  await act(async () => {});
  return watched;
}

test('a hazard that comes too soon is told so, by the time one asks to react in', async () => {
  const watched = await asked(fair({ hazards: [hazard(0.4)] }));
  expect(screen.queryByText('Comes too soon to react to.')).toBeNull();
  fireEvent(screen.UNSAFE_getByType('input' as never), 'change', { target: { value: '0.5' } });
  expect(screen.getByText('Comes too soon to react to.')).toBeTruthy();
  fireEvent.press(screen.getByText('Bramble'));
  expect(watched).toEqual([60]);
  expect(screen.getByText(/hidden for 2 % of the run on a phone, 40 % on a wide/)).toBeTruthy();
});

test('the narrowest jumps are told first, all when asked for', async () => {
  const landings = [40, 3, 20, 30, 10].map((late, i) => landing({ press: 60 * i, late, early: 0 }));
  const watched = await asked(fair({ landings }));
  const told = () => screen.getAllByText(/ms late$/).length;
  expect(told()).toBe(4);
  fireEvent.press(screen.getAllByText(/ms late$/)[0]);
  expect(watched).toEqual([60]);
  fireEvent.press(screen.getByText('All 5 jumps'));
  expect(told()).toBe(5);
  expect(screen.getByText('No hazard stands by the way of this run.')).toBeTruthy();
});

test('a hit off its picture is mended by one touch, and taken back by another', async () => {
  useCourse.getState().open('c1', 1, COURSE, { kind: 'saved', at: 0 });
  const mend = { part: null, allowance: { by: 'cm', value: -12 } } as const;
  await asked(fair({ unfair: [{ piece: 'p2', tick: 300, at: [4, 0, 0], gap: 0.12, mend }] }));
  expect(screen.getByText('Hit 12 cm off its picture.')).toBeTruthy();
  fireEvent.press(screen.getByText('Allow -12 cm'));
  const now = () => useCourse.getState();
  expect(now().course.pieces[1].allowance).toEqual({ by: 'cm', value: -12 });
  expect([...now().choice]).toEqual(['p2']);
  expect(mockGo).toHaveBeenCalledWith('/course/c1?phase=tune');
  now().undo();
  expect(now().course.pieces[1].allowance).toBeUndefined();
});
