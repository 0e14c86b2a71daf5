import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import { CORE_VERSION, type Run } from '@/core/run';
import { OpenRun } from './OpenRun';

let mockKeeps = true;
const mockKept: { run: Run }[] = [];
const mockSaid: string[] = [];
let mockOnFile: (file: File) => void = () => {};
let mockAnswer: (told: object) => void = () => {};
let mockRefuse: (error: Error) => void = () => {};
let mockStopped = false;
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../state/attempts', () => ({
  attemptsAt: async () => mockKept,
  keepAttempt: async (_: string, kept: { run: Run }) => {
    if (mockKeeps) mockKept.push(kept);
    return mockKeeps;
  },
}));
jest.mock('@/workers/timing', () => ({
  beginDigest: () => ({
    result: new Promise((resolve, reject) => {
      mockAnswer = resolve;
      mockRefuse = reject;
    }),
    cancel: () => {
      mockStopped = true;
      mockRefuse(new Error('Cancelled.'));
    },
    cancelled: () => mockStopped,
  }),
}));
jest.mock('../../parts', () => ({
  ...jest.requireActual('../../parts/Button'),
  showToast: (words: string) => mockSaid.push(words),
  useFileChoice: ({ onFile }: { onFile: (file: File) => void }) => {
    mockOnFile = onFile;
    return { choose: () => {}, input: null };
  },
}));

const run: Run = {
  ...{ format: 'stone-hop-run', core: CORE_VERSION, course: 'a'.repeat(64), seed: 3, claim: 1 },
  inputs: [[120, 16, 0, 0]],
};
const fileOf = (of: Run) =>
  ({ size: 200, text: async () => JSON.stringify(of) }) as unknown as File;
const show = () =>
  render(
    <QueryClientProvider client={new QueryClient()}>
      <OpenRun id="a" course={emptyCourse('A')} />
    </QueryClientProvider>,
  );
const choose = async (of: Run) => {
  await act(async () => mockOnFile(fileOf(of)));
};
const said = (words: string) => waitFor(() => expect(mockSaid).toContain(words));

beforeEach(() => {
  mockKept.length = mockSaid.length = 0;
  mockKeeps = true;
  mockStopped = false;
});

test('a run is kept once; the same again is told to be there already', async () => {
  show();
  await choose(run);
  await act(async () => mockAnswer({}));
  await said('The run is among those of this device.');
  await choose({ ...run, claim: 2 });
  await said('That run is among those of this device already.');
  expect(mockKept).toHaveLength(1);
});

test('the same presses on another version of the course are another run', async () => {
  show();
  await choose(run);
  await act(async () => mockAnswer({}));
  await said('The run is among those of this device.');
  await choose({ ...run, course: 'b'.repeat(64) });
  await act(async () => mockRefuse(new Error('It was made on another version of the course.')));
  await said('It was made on another version of the course.');
});

test('where the browser lets nothing be kept that is said', async () => {
  mockKeeps = false;
  show();
  await choose(run);
  await act(async () => mockAnswer({}));
  await said('The run holds, but this browser lets nothing be kept.');
});

test('what takes long is stopped, and nothing is kept or said', async () => {
  show();
  await choose(run);
  await waitFor(() => screen.getByText('Stop opening'));
  await act(async () => fireEvent.press(screen.getByText('Stop opening')));
  await waitFor(() => screen.getByText('Open a run'));
  expect([mockKept, mockSaid]).toEqual([[], []]);
});

test('a file that is no run says what is wrong', async () => {
  show();
  await choose({ ...run, inputs: 'none' as never });
  await waitFor(() => expect(mockSaid).toHaveLength(1));
  expect(mockKept).toEqual([]);
});
