import { layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse, type Course } from '@/core/course';
import { latestWord, tallyOf } from './hudWords';
import { LiveRun } from '../liveRun';

const FLOOR: PieceInHand = { family: 'slab', at: [10, -1, 0], size: [60, 1, 6] };
const course = (pieces: PieceInHand[], more: Partial<Course>): Course => ({
  ...layPieces({ ...emptyCourse('Words', 'free') }, [FLOOR, ...pieces]),
  ...more,
});

/** A run straight on for so many seconds. */
function ran(told: Course, seconds: number): LiveRun {
  const live = new LiveRun(told, undefined, 1);
  live.advance(0);
  live.tell({ x: 16, z: 0, jump: false }, 0);
  for (let now = 0; now <= seconds * 1000; now += 100) live.advance(now);
  return live;
}

/** Round and round: from a lantern on through a checkpoint to a portal that leads back. */
const ring = course(
  [
    { family: 'start', at: [0, 0, 0] },
    { family: 'lantern', at: [2, 0, 0] },
    { family: 'cairn', at: [5, 0, 0] },
    { family: 'portal', at: [8, 0, 0] },
    { family: 'portal', at: [-3, 0, 0] },
  ],
  { kind: 'laps', laps: 3 },
);

test('the round being run is shown, then the last and the best', () => {
  const first = ran(ring, 0.3);
  expect(tallyOf(first, ring)).toEqual(['Round 1 of 3']);
  const second = ran(ring, 4);
  const lines = tallyOf(second, ring);
  expect(lines[0]).toMatch(/^Round [23] of 3$/);
  expect(lines[1]).toMatch(/^Last \d+\.\d{3}, best \d+\.\d{3}$/);
});

test('a round that is done is told with its time, and against the best of the best run', () => {
  const live = ran(ring, 8);
  const at = live.events.findIndex(({ kind }) => kind === 'lap');
  const lap = live.events[at];
  const then = {
    ...live,
    world: live.world,
    events: live.events.slice(0, at + 1),
    state: { ...live.state, tick: lap.tick },
  };
  expect(latestWord(then as never, undefined)!.words).toMatch(/^Round 1 in \d/);
  const best = { time: 20, jumps: 0, splits: [], rounds: [lap.time - 0.5, 99] };
  expect(latestWord(then as never, best)).toEqual({
    words: expect.stringMatching(/\(\+0\.500\)$/),
    good: false,
  });
});

test('a split is held against the same checkpoint of the same round', () => {
  const live = ran(ring, 8);
  const passes = live.events.filter(({ kind }) => kind === 'checkpoint');
  expect(passes.length).toBeGreaterThan(1);
  const upTo = (i: number) => {
    const at = live.events.indexOf(passes[i]);
    return {
      ...live,
      world: live.world,
      events: live.events.slice(0, at + 1),
      state: { ...live.state, tick: passes[i].tick },
    };
  };
  const split = (round: number, time: number) => ({
    piece: passes[0].piece!,
    number: 1,
    round,
    time,
  });
  const best = {
    ...{ time: 20, jumps: 0, rounds: [] },
    splits: [split(0, passes[0].time + 1), split(1, passes[1].time - 2)],
  };
  expect(latestWord(upTo(0) as never, best)!.words).toBe('−1.000 at checkpoint 1');
  expect(latestWord(upTo(1) as never, best)!.words).toBe('+2.000 at checkpoint 1');
});

test('time in a zone, strokes and worth are counted where they count', () => {
  const hold = course(
    [
      { family: 'start', at: [0, 0, 0] },
      { family: 'lantern', at: [6, 0, 0], params: { wide: 6, deep: 12 } },
    ],
    { kind: 'hold', hold: 4 },
  );
  expect(tallyOf(ran(hold, 0.9), hold)[0]).toMatch(/^Held 0\.[1-9] of 4 s$/);
  const strokes = course([{ family: 'start', at: [0, 0, 0] }], { kind: 'strokes' });
  expect(tallyOf(ran(strokes, 0.2), strokes)).toEqual(['0 strokes']);
  const worth = course(
    [
      { family: 'start', at: [0, 0, 0] },
      { family: 'pearl', at: [2, 0, 0] },
    ],
    { kind: 'point' },
  );
  expect(tallyOf(ran(worth, 1), worth)).toEqual(['Worth 5']);
});
