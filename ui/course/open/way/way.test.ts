import { emptyCourse, type Course } from '@/core/course';
import { layPieces } from '@/core/edit';
import type { Run } from '@/core/run';
import type { WayVerdict } from '@/core/timing';
import { useCourse } from '../../../state/courseStore';
import type { KeptAttempt } from '../../../state/attempts';
import { watchedRuns } from './useWaysAsked';
import { askWays, useWays, type SaidOfRun } from './wayStore';
import { gravest, wayWords } from './wayWords';

const mockAsked: {
  course: Course;
  keys: string[];
  told: (key: string, said: object) => void;
  failed: () => void;
}[] = [];
jest.mock('@/workers/way', () => ({
  judgeInWorker: (
    course: Course,
    runs: { key: string }[],
    told: (key: string, said: object) => void,
    failed: () => void,
  ) => mockAsked.push({ course, keys: runs.map(({ key }) => key), told, failed }),
}));
jest.mock('../../../parts', () => ({ runTime: (s: number) => s.toFixed(3) }));
jest.useFakeTimers();

const run = (course: string, claim: number) => ({ course, claim, inputs: [] }) as unknown as Run;
const kept = (at: number, change: Partial<KeptAttempt> = {}) =>
  ({ at, run: run('now', at), finished: true, time: at, ...change }) as KeptAttempt;
const HOLDS: WayVerdict = { kind: 'holds', time: 12 };
const ENDS: WayVerdict = { kind: 'ends', tick: 60, at: [1, 2, 3], piece: 'p2', among: 1 };
const said = (verdict: WayVerdict, name = 'Proof'): SaidOfRun => ({
  key: name,
  name,
  verdict,
  searching: false,
});
const watched = [{ key: 'a', name: 'Proof', run: run('now', 1) }];

const course = layPieces(emptyCourse('Trial'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'slab', at: [0, -1, 0], name: 'Quay slab' },
]);

beforeEach(() => {
  mockAsked.length = 0;
  useCourse.setState({ id: `c${Math.random()}` });
});

test('the proof and the last two that got there are tried, each once, whole runs only', () => {
  const attempts = [
    kept(9, { finished: false }),
    kept(8, { from: [0, 0, 0] }),
    kept(7),
    kept(6, { run: run('now', 30) }),
    kept(5),
    kept(4),
  ];
  const names = watchedRuns(run('now', 30), attempts).map(({ name }) => name);
  expect(names).toEqual(['Proof', 'Run 4', 'Run 2']);
  expect(watchedRuns(null, attempts).map(({ name }) => name)).toEqual(['Run 4', 'Run 3']);
  expect(watchedRuns(null, [])).toEqual([]);
});

test('an edit is asked about once it rests, and the answer is told by the runs’ names', () => {
  askWays(course, watched);
  expect(mockAsked).toHaveLength(0);
  jest.advanceTimersByTime(200);
  expect(mockAsked.map(({ keys }) => keys)).toEqual([['a']]);
  mockAsked[0].told('a', { verdict: HOLDS, searching: false });
  expect(useWays.getState()).toMatchObject({
    of: course,
    said: [{ name: 'Proof', verdict: HOLDS }],
  });
  // The same again is not asked.
  askWays(course, watched);
  jest.advanceTimersByTime(200);
  expect(mockAsked).toHaveLength(1);
});

test('an answer about a course that was edited meanwhile is not shown', () => {
  askWays(course, watched);
  jest.advanceTimersByTime(200);
  const later = { ...course };
  askWays(later, watched);
  mockAsked[0].told('a', { verdict: ENDS, searching: false });
  expect(useWays.getState().said).toEqual([]);
  jest.advanceTimersByTime(200);
  mockAsked[1].told('a', { verdict: HOLDS, searching: false });
  expect(useWays.getState()).toMatchObject({ of: later, said: [{ verdict: HOLDS }] });
});

test('that a way ends is said at once, and other inputs when they have been found', () => {
  askWays(course, watched);
  jest.advanceTimersByTime(200);
  mockAsked[0].told('a', { verdict: ENDS, searching: true });
  const [first] = useWays.getState().said;
  expect(wayWords(first, course)).toBe('Proof ends here: quay slab; looking for other inputs');
  mockAsked[0].told('a', {
    verdict: { kind: 'other-inputs', time: 9, run: run('now', 9) },
    searching: false,
  });
  expect(useWays.getState().said).toHaveLength(1);
  expect(wayWords(useWays.getState().said[0], course)).toBe('Proof holds with other inputs, 9.000');
});

test('where it could not be tried it may be asked again; another course begins with nothing', () => {
  askWays(course, watched);
  jest.advanceTimersByTime(200);
  mockAsked[0].failed();
  expect(useWays.getState().failed).toBe(true);
  askWays(course, watched);
  jest.advanceTimersByTime(200);
  mockAsked[1].told('a', { verdict: ENDS, searching: false });
  expect(useWays.getState().failed).toBe(false);
  useCourse.setState({ id: 'other' });
  expect(useWays.getState()).toMatchObject({ of: null, said: [] });
});

test('without any run there is nothing to ask', () => {
  askWays(course, []);
  jest.advanceTimersByTime(500);
  expect(mockAsked).toHaveLength(0);
});

test('the gravest is told, in words that name the piece', () => {
  const other = said({ kind: 'other-inputs', time: 31.2, run: run('now', 31.2) }, 'Run 3');
  expect(gravest([said(HOLDS), other, said(ENDS, 'Run 2')])?.name).toBe('Run 2');
  expect(gravest([said(HOLDS), other])?.name).toBe('Run 3');
  expect(gravest([])).toBeNull();
  expect(wayWords(said(HOLDS), course)).toBe('Proof holds as it is');
  expect(wayWords(other, course)).toBe('Run 3 holds with other inputs, 31.200');
  expect(wayWords(said(ENDS), course)).toBe('Proof ends here: quay slab');
  expect(wayWords(said({ ...ENDS, among: 3 }), course)).toBe('Proof ends here: 3 changes together');
  expect(wayWords(said({ ...ENDS, piece: 'gone' }), course)).toBe(
    'Proof ends here: a piece is gone',
  );
  expect(wayWords(said({ ...ENDS, piece: null }), course)).toBe('Proof ends here');
});
