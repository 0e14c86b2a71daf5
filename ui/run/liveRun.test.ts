import { courseHash, replay } from '@/core/run';
import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { LiveRun } from './liveRun';

const course = layPieces(emptyCourse('Trial'), [
  { family: 'slab', at: [5, -0.5, 0], size: [20, 0.5, 2] },
  { family: 'start', at: [0, 0, 0] },
  { family: 'lantern', at: [8, 0, 0] },
]);
const right = { x: 16, z: 0, jump: false };
const rightJump = { ...right, jump: true };

/** Plays the same hands at frames so many milliseconds apart. */
function play(frame: number): LiveRun {
  const live = new LiveRun(course);
  live.advance(0);
  live.tell(right, 100);
  live.tell(rightJump, 633);
  live.tell(right, 941);
  for (let now = frame; now <= 4000; now += frame) live.advance(now);
  return live;
}

test('a run is the same at 60 frames a second and at 8, tick for tick', () => {
  const [smooth, slow] = [play(1000 / 60), play(125)];
  expect(smooth.result().finished).toBe(true);
  expect(slow.result().poses).toBe(smooth.result().poses);
  expect(slow.recorder.inputs).toEqual(smooth.recorder.inputs);
});

test('what was recorded replays to what was seen', () => {
  const live = play(40);
  const seen = live.result();
  const again = replay(course, live.recorder.run(courseHash(course), seen.time));
  expect(again.poses).toBe(seen.poses);
  expect(again.time).toBe(seen.time);
  expect(seen.events.map(({ kind }) => kind)).toEqual(
    expect.arrayContaining(['start', 'jump', 'land', 'goal']),
  );
});

test('a held run stands still, and a long gap is not made up for', () => {
  const live = new LiveRun(course);
  live.advance(0);
  live.advance(251);
  const { tick } = live.state;
  expect(tick).toBe(30);
  live.hold();
  live.advance(60_000);
  expect(live.state.tick).toBe(tick);
  live.advance(70_000);
  expect(live.state.tick).toBe(tick + 60);
});

test('a run begun at a spot goes back to the spot', () => {
  const live = new LiveRun(course, { kind: 'place', at: [4, 0, 0] });
  expect(live.state.x).toBe(4);
  live.advance(0);
  live.tell({ x: -16, z: 0, jump: false }, 0);
  for (let now = 0; now < 8000 && live.state.falls === 0; now += 100) live.advance(now);
  expect([live.state.falls, live.state.x]).toEqual([1, 4]);
});

test('it tells when the runner was put somewhere else, and only then', () => {
  const live = play(40);
  expect(live.placed).toBe(0);
  const fallen = new LiveRun(course);
  fallen.advance(0);
  fallen.tell({ x: -16, z: 0, jump: false }, 0);
  for (let now = 100; now <= 4000 && fallen.placed === 0; now += 100) fallen.advance(now);
  expect(fallen.placed).toBe(1);
  expect(fallen.events.some(({ kind }) => kind === 'respawn')).toBe(true);
});

/** Goes on for some ticks at once, pressing the same all the time. */
function goOn(live: LiveRun, ticks: number, input = right): LiveRun {
  const from = live.state.tick;
  live.hold();
  live.tell(input, 0);
  for (let now = 0; live.state.tick < from + ticks; now += 100) live.advance(now);
  return live;
}

test('a run begun in a moment of another is that run up to there, and goes on by itself', () => {
  const first = goOn(new LiveRun(course, undefined, 5), 60);
  const { tick, x } = first.state;
  const run = first.recorder.run(courseHash(course), 0, first.seed);
  const second = new LiveRun(course, { kind: 'moment', run });
  expect([second.state.tick, second.state.x, second.since]).toEqual([tick, x, tick]);
  goOn(first, 30);
  goOn(second, 30);
  expect(second.state.x).toBe(first.state.x);
  // Told again from the start it is the whole of it.
  const told = replay(course, second.recorder.run(courseHash(course), 0, second.seed));
  expect(told.poses).toBe(second.result().poses);
  expect([second.repeatable, second.aided]).toEqual([true, false]);
});

test('a tick back is the tick before, however often, and forward again the same', () => {
  const live = goOn(new LiveRun(course, undefined, 5), 90);
  const places = new Map([[live.state.tick, live.state.x]]);
  const steady = goOn(new LiveRun(course, undefined, 5), 90);
  for (let i = 0; i < 50; i++) {
    expect(live.stepBack()).toBe(true);
    places.set(live.state.tick, live.state.x);
  }
  const { tick } = live.state;
  expect(tick).toBe(steady.state.tick - 50);
  expect(live.aided).toBe(true);
  for (let i = 0; i < 50; i++) live.stepOn(1e9);
  expect(live.state.x).toBe(steady.state.x);
  expect(live.result().path).toEqual(steady.result().path);
  expect(places.get(live.state.tick)).toBe(live.state.x);
});

test('before its beginning there is no tick to go back to', () => {
  const live = new LiveRun(course, undefined, 5);
  expect(live.stepBack()).toBe(false);
  live.stepOn(0);
  expect(live.stepBack()).toBe(true);
  expect(live.stepBack()).toBe(false);
  expect(live.state.tick).toBe(0);
});

test('at half speed half as many ticks go by, and it proves nothing any more', () => {
  const live = new LiveRun(course);
  live.setSpeed(0.5);
  live.advance(0);
  live.advance(490);
  live.advance(980);
  expect(live.state.tick).toBe(58);
  expect([live.aided, live.repeatable]).toEqual([true, false]);
  live.setSpeed(1);
  expect(live.aided).toBe(true);
});

test('where nothing hurts, thorns are walked through; where they do again, they send back', () => {
  const thorny = layPieces(course, [{ family: 'thorns', at: [3, 0, 0] }]);
  const walk = (unhurt: boolean) => {
    const live = new LiveRun(thorny);
    live.setUnhurt(unhurt);
    return goOn(live, 120).state;
  };
  expect(walk(false).falls).toBeGreaterThan(0);
  expect([walk(true).falls, walk(true).x > 4]).toEqual([0, true]);
});

test('flying it goes through the thorns to where it is steered, and then falls like anybody', () => {
  const thorny = layPieces(course, [{ family: 'thorns', at: [3, 0, 0] }]);
  const live = new LiveRun(thorny);
  live.setFlight(() => [6, 3, 0]);
  goOn(live, 120);
  const seconds = live.state.tick / 120;
  expect(live.state.x).toBeCloseTo(6 * seconds, 6);
  expect(live.state.y).toBeCloseTo(3 * seconds, 1);
  expect([live.state.falls, live.aided, live.repeatable]).toEqual([0, true, false]);
  // Where it flew no tick can be gone back to.
  expect(live.stepBack()).toBe(false);
  live.setFlight(null);
  goOn(live, 120, { x: 0, z: 0, jump: false });
  expect(live.state.y).toBeLessThan(0.1);
  expect(live.state.ground).toBeGreaterThanOrEqual(0);
});
