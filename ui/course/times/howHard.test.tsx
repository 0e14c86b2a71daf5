import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import { layPieces, type PieceInHand } from '@/core/edit';
import type { Run } from '@/core/run';
import type { Steadiness, SteadySection } from '@/core/timing';
import { hardest, HowHard, othersBeside, sectionWords, spanName } from './HowHard';

jest.mock('@expo/vector-icons/Feather', () => () => null);

let mockTold: (part: number) => void = () => {};
let mockSettle: { resolve: (found: Steadiness) => void; reject: (problem: Error) => void };
let mockCancelled = false;
jest.mock('@/workers/timing', () => ({
  beginSteadiness: (...[, , , , progress]: [0, 0, 0, 0, (part: number) => void]) => {
    mockTold = progress;
    const result = new Promise<Steadiness>((resolve, reject) => {
      mockSettle = { resolve, reject };
    });
    return {
      result,
      cancel: () => {
        mockCancelled = true;
        mockSettle.reject(new Error('Cancelled.'));
      },
      cancelled: () => mockCancelled,
    };
  },
}));

const COURSE = layPieces(emptyCourse('Trial'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'thorns', at: [4, 0, 0], name: 'Quay thorns' },
]);
const section = (change: Partial<SteadySection> = {}): SteadySection => ({
  ...{ begin: 120, end: 300, entered: 200, ended: 20, share: 0.9, low: 0.85, high: 0.94 },
  piece: null,
  asPress: 57.6,
  ...change,
});
const FOUND: Steadiness = {
  spans: [
    {
      ...{ begin: 0, end: 600, mark: 'checkpoint', piece: 'p9' },
      ...{ through: 150, tries: 200, low: 0.69, high: 0.8 },
    },
    {
      ...{ begin: 600, end: 900, mark: 'goal', piece: null },
      ...{ through: 200, tries: 200, low: 0.98, high: 1 },
    },
  ],
  sections: [section({ piece: 'p2' })],
  falls: 0.33,
  difficulty: 1.6,
  ownDifficulty: 2.4,
};
const settle = async (how: () => void) => {
  how();
  await act(async () => {});
};

beforeEach(() => {
  mockCancelled = false;
});

test('the worst sections come first, those that ended nothing not at all', () => {
  const all = [section({ share: 0.9 }), section({ share: 0.4 }), section({ ended: 0, share: 1 })];
  expect(hardest(all).map(({ share }) => share)).toEqual([0.4, 0.9]);
});

test('sections and spans in words', () => {
  expect(sectionWords(section(), COURSE)).toBe('From 1.0 to 2.5 s');
  expect(sectionWords(section({ piece: 'p2' }), COURSE)).toBe(
    'From 1.0 to 2.5 s, most by quay thorns',
  );
  const cairn: PieceInHand = { family: 'cairn', at: [2, 0, 0], params: { number: 2 } };
  const marked = layPieces(COURSE, [cairn]);
  expect(spanName({ mark: 'goal', piece: null }, marked)).toBe('To the lantern');
  expect(spanName({ mark: 'checkpoint', piece: 'p3' }, marked)).toBe('To cairn 2');
  expect(spanName({ mark: 'checkpoint', piece: 'gone' }, marked)).toBe('To the next mark');
});

test('it is tried when asked to, says how far it is, and what it found', async () => {
  render(<HowHard course={COURSE} run={{} as Run} />);
  fireEvent.press(screen.getByTestId('how-hard-begin'));
  act(() => mockTold(0.5));
  expect(screen.getByText('Stop')).toBeTruthy();
  await settle(() => mockSettle.resolve(FOUND));
  expect(screen.getByTestId('difficulty').props['aria-label']).toBe('Difficulty 1.6 of 10');
  expect(screen.getByText('75 %')).toBeTruthy();
  expect(screen.getByText('69 % to 80 %')).toBeTruthy();
  expect(screen.getByText('like ±58 ms')).toBeTruthy();
  expect(screen.getByText('0.3 falls to expect')).toBeTruthy();
});

test('other runs are tried beside it, the fastest that got there from the start', async () => {
  const known = (time: number, change: object = {}) =>
    ({
      key: `r${time}`,
      finished: true,
      time,
      run: { claim: time, inputs: [] },
      ...change,
    }) as never;
  const shown = known(20);
  const all = [
    known(30),
    shown,
    known(12, { finished: false }),
    known(25),
    known(13, { since: 200 }),
    known(22),
  ];
  const others = othersBeside(shown, all);
  expect(others.map(({ claim }) => claim)).toEqual([22, 25]);
  render(<HowHard course={COURSE} run={{} as Run} others={others} />);
  fireEvent.press(screen.getByTestId('how-hard-begin'));
  await settle(() => mockSettle.resolve(FOUND));
  expect(screen.getByText(/steadiest of 3 runs in each part; this run alone is 2.4/)).toBeTruthy();
});

test('stopped it can be begun again; what went wrong is said', async () => {
  render(<HowHard course={COURSE} run={{} as Run} />);
  fireEvent.press(screen.getByTestId('how-hard-begin'));
  await settle(() => fireEvent.press(screen.getByText('Stop')));
  expect(screen.queryByText('Cancelled.')).toBeNull();
  mockCancelled = false;
  fireEvent.press(screen.getByTestId('how-hard-begin'));
  await settle(() => mockSettle.reject(new Error('The figures could not be read.')));
  expect(screen.getByText('The figures could not be read.')).toBeTruthy();
  expect(screen.getByTestId('how-hard-begin')).toBeTruthy();
});

test('left while it counts, the counting ends', async () => {
  render(<HowHard course={COURSE} run={{} as Run} />);
  fireEvent.press(screen.getByTestId('how-hard-begin'));
  await settle(() => screen.unmount());
  expect(mockCancelled).toBe(true);
});
