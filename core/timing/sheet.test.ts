import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import { courseOf, floor } from '../run/testing';
import { loadPhysics, replay } from '../run';
import { PHASES } from './phases';
import { runSheet, type RunSheet } from './sheet';
import { runOf } from './testing';

const total = ({ spent }: RunSheet) => PHASES.reduce((sum, phase) => sum + spent[phase], 0);

test('who stands still waits, who runs moves, and all seconds are told once', () => {
  const course = courseOf(floor(-5, 40));
  const sheet = runSheet(course, { run: runOf(course, [120, 0, 0, 0], [240, 16, 0, 0]) });
  expect(sheet.spent.waiting).toBeGreaterThanOrEqual(1);
  // A few ticks to get going are slower than waiting.
  expect(sheet.spent.waiting).toBeLessThan(1.1);
  // The start is a skin above the ground.
  expect(sheet.spent.air).toBeLessThanOrEqual(1 / 120 + 1e-9);
  expect(total(sheet)).toBeCloseTo(3, 9);
  expect(sheet.finished).toBe(false);
  expect(sheet.parts).toEqual([]);
});

test('the time in the air is from leaving the ground to touching it', () => {
  const course = courseOf(floor(-5, 40));
  const run = runOf(course, [60, 16, 0, 0], [30, 16, 0, 1], [150, 16, 0, 0]);
  const { events } = replay(course, run);
  const jump = events.find(({ kind }) => kind === 'jump')!.tick;
  const air = events.find(({ kind, tick }) => kind === 'land' && tick > jump)!.tick - jump;
  expect(runSheet(course, { run }).spent.air * 120).toBeGreaterThanOrEqual(air - 1);
  expect(runSheet(course, { run }).spent.air * 120).toBeLessThanOrEqual(air + 2);
});

test('a fall is told where the runner last stood, and the way back there is no moving', () => {
  // Ground to 5 m, then nothing; it comes back to the start, 0.
  const course = courseOf(floor(-5, 5));
  const run = runOf(course, [500, 16, 0, 0]);
  const sheet = runSheet(course, { run });
  const [fall] = sheet.mishaps;
  expect(fall).toMatchObject({ kind: 'fall' });
  expect(fall.at[0]).toBeGreaterThan(4.8);
  expect(fall.at[0]).toBeLessThan(5.6);
  expect(sheet.spent.back).toBeGreaterThan(0.5);
  const [first] = replay(course, run).events.filter(({ kind }) => kind === 'respawn');
  expect(first.tick).toBeGreaterThanOrEqual(fall.tick);
});

test('a hazard is told by its piece', () => {
  const course = courseOf(floor(-5, 20), { family: 'thorns', at: [6, 0, 0] });
  const { mishaps } = runSheet(course, { run: runOf(course, [300, 16, 0, 0]) });
  expect(mishaps[0]).toMatchObject({ kind: 'hazard', piece: 'p3' });
});

test('a run held against itself loses nothing; one that waits loses that from where it waited', () => {
  const course = courseOf(floor(-5, 40));
  const quick = runOf(course, [480, 16, 0, 0]);
  const same = runSheet(course, { run: quick }, [{ run: quick }]).beside[0].points;
  expect(same.length).toBeGreaterThan(20);
  expect(same.every(({ gap }) => gap === 0)).toBe(true);
  const slow = runOf(course, [240, 16, 0, 0], [60, 0, 0, 0], [300, 16, 0, 0]);
  const gaps = runSheet(course, { run: slow }, [{ run: quick }]).beside[0].points;
  const before = gaps.filter(({ tick }) => tick < 235);
  const after = gaps.filter(({ tick, gap }) => tick > 450 && gap !== null);
  expect(before.every(({ gap }) => Math.abs(gap!) < 1 / 60)).toBe(true);
  expect(after.length).toBeGreaterThan(3);
  // Half a second of rest, though it stops and gets going within a tick: exactly that.
  for (const { gap } of after) expect(gap).toBeCloseTo(0.5, 9);
  // Where the quick one had ended, the slow one goes on alone.
  expect(gaps.at(-1)!.gap).toBeNull();
});

test('where the other run never came there is nothing to hold against it', () => {
  const course = courseOf(floor(-40, 40));
  const right = runOf(course, [480, 16, 0, 0]);
  const left = runOf(course, [480, -16, 0, 0]);
  const gaps = runSheet(course, { run: right }, [{ run: left }]).beside[0].points;
  expect(gaps.at(-1)!.gap).toBeNull();
  expect(gaps[0].gap).toBe(0);
});

test.each(DEMO_COURSES.map(({ slug, course }) => [slug, course] as const))(
  '%s: the proof’s sheet adds up and ends at the lantern',
  async (slug, course) => {
    await loadPhysics(course);
    const [{ run }, other] = DEMO_RUNS[slug];
    const sheet = runSheet(course, { run }, other ? [other] : []);
    expect(sheet.finished).toBe(true);
    expect(sheet.time).toBeCloseTo(run.claim, 9);
    expect(sheet.parts.at(-1)).toMatchObject({ key: 'goal', at: sheet.time });
    expect(sheet.parts.reduce((sum, { time }) => sum + time, 0)).toBeCloseTo(sheet.time, 9);
    expect(Math.abs(total(sheet) - sheet.time)).toBeLessThanOrEqual(1 / 120 + 1e-9);
    expect(sheet.samples.every(({ along }, i, all) => i === 0 || along >= all[i - 1].along)).toBe(
      true,
    );
    expect(sheet.length).toBeGreaterThan(10);
  },
);

test('a run begun part of the way is read from there', () => {
  const course = courseOf(floor(-5, 40));
  const run = runOf(course, [240, 16, 0, 0]);
  const { samples } = runSheet(course, { run, from: [10, 2, 0] });
  // Put two metres above the ground, it fell to it first.
  expect(samples[0].height).toBeGreaterThan(1.9);
  expect(runSheet(course, { run }).samples[0].height).toBeLessThan(0.1);
});

test('several runs are held against one, each read for itself and none by its order', () => {
  const course = courseOf(floor(-5, 40));
  const shown = { run: runOf(course, [400, 16, 0, 0]) };
  const others = [
    { run: runOf(course, [120, 0, 0, 0], [400, 16, 0, 0]) },
    { run: runOf(course, [400, 8, 0, 0]) },
    shown,
  ];
  const { beside } = runSheet(course, shown, others);
  // By the slow one's end all have come by.
  const middle = ({ points }: (typeof beside)[number]) => points[points.length >> 2];
  const [waited, slow, same] = beside.map(middle);
  expect(waited.gap).toBeCloseTo(-1, 1);
  expect(slow.speed).toBeLessThan(0.7 * same.speed!);
  expect(same.gap).toBe(0);
  for (const { height } of [waited, slow, same]) expect(height).toBeCloseTo(0, 1);
  const turned = runSheet(course, shown, [...others].reverse()).beside;
  expect([...turned].reverse()).toEqual(beside);
});

test('what another run passed is read of it too, whether or not it arrived', () => {
  const [{ course }] = DEMO_COURSES;
  const [one, two] = DEMO_RUNS[DEMO_COURSES[0].slug];
  const { beside } = runSheet(course, one, [two ?? one]);
  expect(beside[0].parts).toEqual(runSheet(course, two ?? one).parts);
  expect(beside[0].time).toBe(runSheet(course, two ?? one).time);
});
