import { fireEvent, render, screen } from '@testing-library/react-native';
import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import type { Run } from '@/core/run';
import {
  bestParts,
  type BeatHit,
  type BesideRun,
  type Mishap,
  type RunEnd,
  type RunPart,
  type RunSheet,
} from '@/core/timing';
import { useCourse } from '../../state/courseStore';
import { BeatFigures, farthestOff, lateWords } from './BeatFigures';
import { mishapsOften, mishapWords, partWords } from '../runs/MishapList';
import { partRows } from './PartsTable';
import { rangeOf } from '../runs/RunChart';
import { endWords } from './RunList';
import type { KnownRun } from '../runs/runsKnown';
import { alongAt, chartCurves, marksOf, tickAlong } from '../runs/SheetCharts';
import { sideRows } from './beside/SideBySide';
import { SheetView } from './SheetView';

jest.mock('@expo/vector-icons/Feather', () => () => null);

const COURSE = layPieces(emptyCourse('Trial'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'thorns', at: [4, 0, 0], name: 'Quay thorns' },
]);
const part = (key: string, at: number, time: number): RunPart => ({
  key,
  name: key === 'goal' ? 'Lantern' : `Cairn ${key}`,
  at,
  time,
});
const known = (change: Partial<KnownRun> = {}): KnownRun => ({
  key: '1',
  run: { course: 'now', claim: 30, inputs: [] } as unknown as Run,
  name: 'Run 1',
  finished: true,
  time: 30,
  falls: 0,
  ends: [],
  at: 0,
  parts: [part('1', 12, 12), part('goal', 30, 18)],
  ...change,
});
const sheet = (change: Partial<RunSheet> = {}): RunSheet => ({
  finished: true,
  time: 30,
  parts: known().parts,
  spent: { moving: 20, waiting: 4, air: 6, hit: 0, back: 0 },
  mishaps: [],
  samples: [0, 600, 1440, 2400, 3600].map((tick, i) => ({
    along: i * 10,
    tick,
    speed: 4,
    height: i,
  })),
  length: 40,
  beside: [],
  beat: null,
  beatShifts: [],
  ...change,
});
const beside = (time: number, change: Partial<BesideRun> = {}): BesideRun => ({
  finished: true,
  time,
  parts: [part('1', 10, 10), part('goal', time, time - 10)],
  points: [
    { along: 0, tick: 0, gap: 0, speed: 4, height: 1 },
    { along: 40, tick: 3600, gap: 30 - time, speed: 5, height: 2 },
  ],
  ...change,
});
const mishap = (change: Partial<Mishap>): Mishap => ({
  kind: 'fall',
  tick: 240,
  at: [1, 2, 0],
  piece: null,
  ...change,
});

test('a part is held against the best it ever took, in whichever run', () => {
  const other = known({ parts: [part('1', 10, 10), part('goal', 40, 30)] });
  const best = bestParts([known().parts, other.parts]);
  expect(partRows(known().parts, best)).toEqual([
    { name: 'Cairn 1', at: 12, time: 12, best: 10 },
    { name: 'Lantern', at: 30, time: 18, best: 18 },
  ]);
});

test.each([
  [known(), true, 'the best'],
  [known(), false, 'no falls'],
  [known({ falls: 2 }), false, '2 falls'],
  [known({ finished: false, falls: 1 }), false, 'did not get there, 1 fall'],
  [known({ from: [1, 2, 3] }), false, 'begun part of the way'],
])('a run is told by how it ended', (run, best, words) => {
  expect(endWords(run, best)).toBe(words);
});

test('what went wrong is told by the name the piece has', () => {
  expect(mishapWords(mishap({ kind: 'hazard', piece: 'p2' }), COURSE)).toBe('Hit by quay thorns');
  expect(mishapWords(mishap({ kind: 'hazard', piece: 'gone' }), COURSE)).toBe('Hit');
  expect(mishapWords(mishap({}), COURSE)).toBe('Fell');
  expect(mishapWords(mishap({ kind: 'crush', piece: 'p2' }), COURSE)).toBe(
    'Crushed at quay thorns',
  );
});

test('over all runs it is told how often, by what did it, the most often first', () => {
  const end = (why: RunEnd['why'], piece?: string): RunEnd => ({
    why,
    at: [0, 0, 0],
    ...(piece ? { piece } : {}),
  });
  const runs = [
    known({ ends: [end('fall'), end('hazard', 'p2'), end('left')] }),
    known({ ends: [end('fall'), end('fall'), end('hazard', 'gone')] }),
  ];
  expect(mishapsOften(COURSE, runs)).toEqual([
    'fell 3 times',
    'quay thorns once',
    'a piece that is gone once',
  ]);
  expect(mishapsOften(COURSE, [known()])).toEqual([]);
});

test('a place of what went wrong is told by the mark that comes next', () => {
  const { parts } = known();
  expect(partWords(600, parts)).toBe('before cairn 1');
  expect(partWords(1441, parts)).toBe('before lantern');
  expect(partWords(9999, parts)).toBe('after lantern');
  expect(partWords(5, [])).toBe('after the start');
});

test('a place of the way and a tick of the run lead to each other', () => {
  const { samples } = sheet();
  for (const { along, tick } of samples) {
    expect(tickAlong(samples, along)).toBe(tick);
    expect(alongAt(samples, tick)).toBe(along);
  }
  expect(tickAlong(samples, 1e9)).toBe(3600);
  expect(alongAt(samples, 1e9)).toBe(40);
  expect(alongAt([], 3)).toBe(0);
});

test('how late something is, in words, and the farthest off first', () => {
  expect([0.0004, 0.042, -0.1].map(lateWords)).toEqual([
    'on the beat',
    '42 ms late',
    '100 ms early',
  ]);
  const hit = (late: number): BeatHit => ({ kind: 'jump', tick: 1, at: [0, 0, 0], beat: 0, late });
  expect(farthestOff([0.01, -0.3, 0.2, 0.02].map(hit)).map(({ late }) => late)).toEqual([
    -0.3, 0.2, 0.02,
  ]);
});

test('fitting the beat to a run is an edit that can be undone', () => {
  // What is said of it is taken back by a timer.
  jest.useFakeTimers();
  const tempo = { beats: 60, offset: 0 };
  const hits: BeatHit[] = [1, 2, 3].map((beat) => ({
    kind: 'jump',
    tick: beat * 120 + 12,
    at: [0, 0, 0],
    beat,
    late: 0.1,
  }));
  useCourse.getState().open('c1', 1, { ...COURSE, tempo }, { kind: 'saved', at: 0 });
  render(
    <BeatFigures
      beat={{ hits, mean: 0.1, spread: 0, worst: hits[0] }}
      tempo={tempo}
      shifts={[{ pieces: ['p2'], by: [-0.4, 0, 0] }]}
    />,
  );
  fireEvent.press(screen.getByTestId('fit-offset'));
  expect(useCourse.getState().course.tempo).toEqual({ beats: 60, offset: 0.1 });
  useCourse.getState().undo();
  expect(useCourse.getState().course.tempo).toEqual(tempo);
  fireEvent.press(screen.getByTestId('shift-pieces'));
  expect(useCourse.getState().course.pieces[1].at[0]).toBeCloseTo(3.6, 6);
  useCourse.getState().undo();
  expect(useCourse.getState().course.pieces[1].at[0]).toBe(4);
  screen.unmount();
  jest.useRealTimers();
});

test('marks stand where the parts ended, the goal left out', () => {
  expect(marksOf(sheet())).toEqual([20]);
});

test('a chart of next to nothing is no cliff', () => {
  const points = [
    { along: 0, value: 0 },
    { along: 1, value: 0.01 },
    { along: 2, value: null },
  ];
  expect(rangeOf(points, true)).toEqual([-0.1, 0.2]);
  expect(rangeOf([{ along: 0, value: 6 }], false)).toEqual([0, 6]);
  expect(rangeOf([{ along: 0, value: -3 }], true)).toEqual([-3, 0]);
});

test('a run alone shows its speed; held against another what it gained and lost', () => {
  const show = (own: RunSheet, names: readonly string[]) =>
    render(
      <SheetView
        id="c1"
        course={COURSE}
        shown={known()}
        runs={[known()]}
        sheet={own}
        names={names}
      />,
    );
  show(sheet(), []);
  expect(screen.getByTestId('chart-speed')).toBeTruthy();
  expect(screen.queryByText('Gained and lost')).toBeNull();
  fireEvent.press(screen.getByLabelText('Height'));
  expect(screen.getByTestId('chart-height')).toBeTruthy();
  screen.unmount();
  show(
    sheet({
      beside: [beside(29)],
      mishaps: [mishap({ kind: 'hazard', piece: 'p2' })],
    }),
    ['Run 2'],
  );
  expect(screen.getByTestId('chart-gap')).toBeTruthy();
  expect(screen.getByTestId('beside-key')).toHaveTextContent('Run 2+1.000');
  expect(screen.queryByTestId('side-by-side')).toBeNull();
  expect(screen.getByText('Hit by quay thorns')).toBeTruthy();
});

test('beside several runs each has its line, and its column of parts with the quickest told', () => {
  const slow = beside(34, { finished: false, parts: [part('1', 9, 9)] });
  const own = sheet({ beside: [beside(29), slow] });
  expect(chartCurves(own, 'gap').map(({ points }) => points.at(-1)!.value)).toEqual([1, -4]);
  expect(chartCurves(own, 'speed')).toHaveLength(3);
  // The shown one is in ink.
  expect(chartCurves(own, 'height').map(({ line }) => line !== undefined)).toEqual([
    false,
    true,
    true,
  ]);
  expect(sideRows([own, ...own.beside])).toEqual([
    { name: 'Cairn 1', times: [12, 10, 9], best: 9 },
    { name: 'Lantern', times: [18, 19, null], best: 18 },
    { name: 'All of it', times: [30, 29, null], best: 29 },
  ]);
  render(
    <SheetView
      id="c1"
      course={COURSE}
      shown={known()}
      runs={[known()]}
      sheet={own}
      names={['Run 2', 'Run 3']}
    />,
  );
  expect(screen.getByTestId('side-by-side')).toBeTruthy();
});

test('parts none of the runs came through are no rows', () => {
  expect(sideRows([{ parts: [], finished: false }])).toEqual([]);
});
