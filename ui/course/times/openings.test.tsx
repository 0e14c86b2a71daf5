import { act, fireEvent, render, screen } from '@testing-library/react-native';
import fc from 'fast-check';
import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import type { Run } from '@/core/run';
import type { Opening } from '@/core/timing';
import { passableSpans } from '../../parts';
import { Openings, openingWords } from '../parts/Openings';

jest.mock('@expo/vector-icons/Feather', () => () => null);

let mockFound: Opening[] = [];
jest.mock('@/workers/timing', () => ({
  beginOpenings: () => ({
    result: Promise.resolve(mockFound),
    cancel: () => {},
    cancelled: () => false,
  }),
}));

const COURSE = layPieces(emptyCourse('Trial'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'drift', at: [4, 0, 0], name: 'Ferry slab' },
]);
const opening = (passable: boolean[], change: Partial<Opening> = {}): Opening => ({
  ...{ piece: 'p2', kind: 'by', clock: 'round', period: 2.4, from: 100, passable, share: 0.5 },
  ...{ early: 0.2, late: 0.45, longestWait: 1.2 },
  ...change,
});

test('what happens once is told of later arrivals alone', () => {
  const once = (passable: boolean[], change: Partial<Opening> = {}) =>
    openingWords(opening(passable, { clock: 'once', period: 20, early: 0, ...change }));
  expect(once([true, true], { share: 1 })).toBe('Open however much later one comes.');
  const shut = Array.from({ length: 1200 }, (_, i) => i <= 90);
  expect(once(shut, { late: 1.5, share: 0.075 })).toBe(
    'This run might have come 1.50 s later. After that it stays shut.',
  );
  const again = shut.map((opens, i) => opens || i > 600);
  expect(once(again, { late: 1.5, share: 0.57 })).toBe(
    'This run might have come 1.50 s later. Open 57 % of the 20 s from then on.',
  );
});

test('the spans of a clock are all that passes and nothing else', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { minLength: 1, maxLength: 60 }), (passable) => {
      const spans = passableSpans(passable);
      passable.forEach((passes, i) => {
        const middle = (i + 0.5) / passable.length;
        expect(spans.some(([from, to]) => from < middle && middle < to)).toBe(passes);
      });
      // None begins where another ends.
      for (let i = 1; i < spans.length; i++) expect(spans[i][0]).toBeGreaterThan(spans[i - 1][1]);
    }),
  );
});

test('an opening in words', () => {
  expect(openingWords(opening([true, false]))).toBe(
    'Open 50 % of 2.4 s. This run might have come 0.20 s earlier or 0.45 s later. Longest wait 1.2 s.',
  );
  expect(openingWords(opening([true], { share: 1 }))).toBe('Open all the time.');
});

async function asked(found: Opening[]) {
  mockFound = found;
  render(<Openings course={COURSE} run={{} as Run} />);
  fireEvent.press(screen.getByTestId('openings-begin'));
  await act(async () => {});
}

test('each mover has its bar, by its name', async () => {
  await asked([opening([true, false]), opening([false, true], { piece: 'gone' })]);
  expect(screen.getByText('Ferry slab')).toBeTruthy();
  expect(screen.getByText('A piece that is gone')).toBeTruthy();
});

test('what carries has a bar for getting on and one for getting off', async () => {
  await asked([opening([true, false], { kind: 'on' }), opening([true], { kind: 'off' })]);
  expect(screen.getByText('Ferry slab, getting on')).toBeTruthy();
  expect(screen.getByText('Ferry slab, getting off')).toBeTruthy();
});

test('where nothing moves by the way that is said', async () => {
  await asked([]);
  expect(screen.getByText('Nothing moves by the way of this run.')).toBeTruthy();
});
