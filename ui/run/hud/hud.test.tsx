import { Profiler } from 'react';
import { act, render, renderHook, screen } from '@testing-library/react-native';
import { layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse, type Course } from '@/core/course';
import { LiveRun } from '../liveRun';
import { hudFacts, sameFacts } from './hudFacts';
import { clockSeconds, RunClock } from './RunClock';
import { useHudFacts } from './useHudFacts';

const FLOOR: PieceInHand = { family: 'slab', at: [10, -1, 0], size: [60, 1, 6] };
const course: Course = layPieces(emptyCourse('Facts', 'free'), [
  FLOOR,
  { family: 'start', at: [0, 0, 0] },
  { family: 'shell', at: [4, 0.2, 0] },
  { family: 'cairn', at: [8, 0, 0] },
  { family: 'lantern', at: [20, 0, 0] },
]);

let frames: (() => void)[] = [];
/** Lets so many frames go by. */
const frame = (count = 1) => {
  for (let i = 0; i < count; i++) {
    const due = frames;
    frames = [];
    for (const next of due) next();
  }
};

beforeEach(() => {
  frames = [];
  global.requestAnimationFrame = ((next: () => void) => frames.push(next)) as never;
  global.cancelAnimationFrame = () => (frames = []);
});

const begun = (of = course): LiveRun => {
  const live = new LiveRun(of, undefined, 1);
  live.advance(0);
  live.tell({ x: 16, z: 0, jump: false }, 0);
  return live;
};

/** Has the run go on to a moment, ms, as frames would have it. */
const goTo = (live: LiveRun, from: number, to: number) => {
  for (let now = from; now <= to; now += 50) live.advance(now);
};

test('what is shown is drawn anew when it changes, and not in every frame', () => {
  const live = begun();
  let drawn = 0;
  const { result } = renderHook(() => {
    drawn++;
    return useHudFacts(live, course, undefined, false);
  });
  expect(result.current.gathered.count).toBe(0);
  for (let now = 16; now < 2400; now += 16) {
    act(() => {
      live.advance(now);
      frame();
    });
  }
  expect(result.current.gathered.count).toBe(1);
  expect(result.current.passed).toBe('0 1');
  // A shell, a checkpoint, and the words of each coming and going: not a hundred and fifty frames.
  expect(drawn).toBeLessThan(15);
});

test('held, nothing is looked at; let go, what is then is shown', () => {
  const live = begun();
  const { result, rerender } = renderHook(
    ({ held }: { held: boolean }) => useHudFacts(live, course, undefined, held),
    { initialProps: { held: true } },
  );
  act(() => {
    for (let now = 16; now < 1600; now += 16) live.advance(now);
    frame(3);
  });
  expect(result.current.gathered.count).toBe(0);
  rerender({ held: false });
  act(() => frame());
  expect(result.current.gathered.count).toBe(1);
});

test('two lots of facts are alike exactly when all that is shown is', () => {
  const facts = hudFacts(begun(), course, undefined);
  expect(sameFacts(facts, hudFacts(begun(), course, undefined))).toBe(true);
  for (const other of [
    { ...facts, word: { words: 'Out', good: true } },
    { ...facts, fields: ['Slowed'] },
    { ...facts, tally: ['Round 1 of 3'] },
    { ...facts, gathered: { count: 1, of: 1 } },
    { ...facts, passed: '0 1' },
  ]) {
    expect(sameFacts(facts, other)).toBe(false);
    expect(sameFacts(other, facts)).toBe(false);
  }
});

test('the clock goes up, or down where there is a limit, and stands once the goal is reached', () => {
  const live = begun();
  goTo(live, 50, 1000);
  expect(clockSeconds(live)).toBeCloseTo(1, 1);
  const limited = begun({ ...course, limit: 10 });
  goTo(limited, 50, 1000);
  expect(clockSeconds(limited)).toBeCloseTo(9, 1);
  goTo(limited, 1050, 8000);
  const left = clockSeconds(limited);
  goTo(limited, 8050, 9000);
  expect(clockSeconds(limited)).toBe(left);
  expect(left).toBeGreaterThan(2);
});

test('the clock is there, and asks for no drawing of its own', () => {
  const live = begun();
  const drawn = jest.fn();
  render(
    <Profiler id="clock" onRender={drawn}>
      <RunClock live={live} held={false} />
    </Profiler>,
  );
  expect(screen.getByTestId('run-clock')).toBeTruthy();
  for (let now = 50; now <= 500; now += 50) {
    act(() => {
      live.advance(now);
      frame();
    });
  }
  expect(live.state.tick).toBeGreaterThan(40);
  expect(drawn).toHaveBeenCalledTimes(1);
});
