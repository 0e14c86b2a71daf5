import { fireEvent, render, screen } from '@testing-library/react-native';
import { layPieces } from '@/core/edit';
import { emptyCourse, type CourseKind } from '@/core/course';
import type { RunResult } from '@/core/run';
import { BestTimes } from '../../play/BestTimes';
import { FinishPanel } from './FinishPanel';
import { LiveRun } from '../liveRun';
import { PauseSheet } from '../PauseSheet';
import { RunHud } from '../hud/RunHud';

jest.mock('@expo/vector-icons/Feather', () => () => null);

const result = (jumps: number, time: number): RunResult => ({
  finished: true,
  time,
  ticks: Math.round(time * 120),
  splits: [],
  rounds: [],
  gathered: 0,
  pickups: 0,
  falls: 0,
  jumps,
  worth: 0,
  legs: [],
  events: [],
  path: new Float64Array(),
  poses: '',
});
const finish = (kind: CourseKind, own: RunResult, best?: RunResult) =>
  render(
    <FinishPanel
      result={own}
      best={best && { time: best.time, jumps: best.jumps, splits: [], rounds: [] }}
      effort="stroke"
      kind={kind}
    >
      {null}
    </FinishPanel>,
  );

test('where the fewest strokes win, a finish is held against the best by them', () => {
  finish('strokes', result(5, 40), result(4, 60));
  expect(screen.getByText('+1 stroke')).toBeTruthy();
  screen.unmount();
  finish('strokes', result(3, 90), result(5, 60));
  expect(screen.getByText('−2 strokes')).toBeTruthy();
  screen.unmount();
  // As many: then the time tells.
  finish('strokes', result(4, 61), result(4, 60));
  expect(screen.getAllByText('+1.000').length).toBeGreaterThan(0);
  screen.unmount();
  finish('point', result(5, 59), result(4, 60));
  expect(screen.getAllByText('−1.000').length).toBeGreaterThan(0);
});

test('the board tells strokes only where they count', () => {
  render(
    <BestTimes
      best={[
        { place: 1, player: 'Morven', time: 50, strokes: 1, own: false },
        { place: 2, player: 'Tam', time: 40, strokes: 2, own: true },
      ]}
    />,
  );
  expect(screen.getByText('Fewest strokes')).toBeTruthy();
  expect(screen.getByText('1 stroke')).toBeTruthy();
  expect(screen.getByText('2 strokes')).toBeTruthy();
  screen.unmount();
  render(<BestTimes best={[{ place: 1, player: 'Tam', time: 40, own: true }]} />);
  expect(screen.getByText('Best times')).toBeTruthy();
  expect(screen.queryByText(/stroke/)).toBeNull();
});

test.each([
  ['lost', 'Lost', /does not count/],
  ['time-up', 'Time is up', /in the time the course gives/],
] as const)('an attempt that ended as %s says so and begins again', (ended, title, words) => {
  const again = jest.fn();
  const nothing = () => {};
  render(
    <PauseSheet
      open
      ended={ended}
      shapes={false}
      onShapes={nothing}
      leaveLabel="Leave"
      onGoOn={nothing}
      onAgain={again}
      onLeave={nothing}
    />,
  );
  expect(screen.getByText(title)).toBeTruthy();
  expect(screen.getByText(words)).toBeTruthy();
  expect(screen.queryByText('Go on')).toBeNull();
  fireEvent.press(screen.getByText('Start again'));
  expect(again).toHaveBeenCalledTimes(1);
});

test('the last word of a run tells what is missing of the leg being run', () => {
  const course = {
    ...layPieces({ ...emptyCourse('Legs'), legs: [{}, {}] }, [
      { family: 'slab', at: [15, -1, 0], size: [60, 1, 4] },
      { family: 'start', at: [0, 0, 0], params: { leg: 1 } },
      { family: 'lantern', at: [3, 0, 0], params: { leg: 1, opens: 'count', amount: 2 } },
      { family: 'shell', at: [1.5, 0, 0] },
    ]),
    kind: 'point' as const,
  };
  const live = new LiveRun(course);
  live.advance(0);
  live.tell({ x: 16, z: 0, jump: false }, 0);
  for (let now = 0; now < 1600; now += 100) live.advance(now);
  render(<RunHud live={live} course={course} held onPause={() => {}} />);
  expect(screen.getByText('1 shell still missing')).toBeTruthy();
});

test('a run keeps no list of links that act, however often they do', () => {
  const course = {
    ...layPieces(emptyCourse('Ticking'), [
      { family: 'slab', at: [0, -1, 0], size: [20, 1, 4] },
      { family: 'start', at: [0, 0, 0] },
    ]),
    links: Array.from({ length: 50 }, (_, i) => ({
      id: `l${i}`,
      cue: { kind: 'timer' as const, seconds: 0.1 },
      effects: [{ kind: 'points' as const, value: 1 }],
    })),
  };
  const live = new LiveRun(course);
  live.advance(0);
  for (let now = 0; now < 2000; now += 100) live.advance(now);
  expect(live.state.worth).toBeGreaterThan(500);
  expect(live.events.length).toBeLessThan(10);
});
