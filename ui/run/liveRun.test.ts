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
  const live = new LiveRun(course, [4, 0, 0]);
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
