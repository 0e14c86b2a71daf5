import fc from 'fast-check';
import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import type { Course } from '../../course';
import { layPieces } from '../../edit';
import { courseOf, floor } from '../../run/testing';
import { buildWorld, courseHash, loadPhysics, replay, type Run } from '../../run';
import { traceOf } from '../trace';
import { runOf } from '../testing';
import { changesOf, type HeldWay, judgeWay, standsOf } from '.';

/** A gap of some metres to jump over, and a lantern beyond it. */
const gapCourse = (gap: number, beyond = 20): Course =>
  courseOf(floor(-5, 4), floor(4 + gap, 4 + gap + beyond), {
    family: 'lantern',
    at: [4 + gap + 8, 0, 0],
  });
/** Runs, jumps shortly before the edge at 4 m, and runs on. */
const jumper = (course: Course): Run =>
  runOf(course, [75, 16, 0, 0], [40, 16, 0, 1], [400, 16, 0, 0]);

const heldOn = (course: Course, run: Run): HeldWay => ({
  pieces: course.pieces,
  trace: traceOf(course, run, buildWorld(course)),
});

/** What is said once other inputs have been looked for as well. */
const verdictOf = (to: Course, of: Run, before: HeldWay | null, budget?: number) => {
  const { verdict, search } = judgeWay(to, of, before);
  return search ? search(budget) : verdict;
};

const moved = (course: Course, id: string, by: readonly number[]): Course => ({
  ...course,
  pieces: course.pieces.map((piece) =>
    piece.id === id ? { ...piece, at: piece.at.map((v, axis) => v + by[axis]) as never } : piece,
  ),
});

const course = gapCourse(2.5);
const run = jumper(course);

test('the run it is tried with leads through', () => {
  expect(replay(course, run).finished).toBe(true);
});

test('what stands beside the way changes nothing: it holds as it is', () => {
  const beside = layPieces(course, [{ family: 'block', at: [-4, 0, 2.5] }]);
  const { verdict, held } = judgeWay(beside, run, heldOn(course, run));
  expect(verdict).toEqual({ kind: 'holds', time: replay(course, run).time });
  // The next edit is held against this one.
  expect(held!.pieces).toBe(beside.pieces);
});

test('a far side a little farther off is reached by other inputs, and those do finish', () => {
  const wider = moved(moved(course, 'p3', [1.8, 0, 0]), 'p4', [1.8, 0, 0]);
  expect(judgeWay(wider, run, null)).toMatchObject({ verdict: { kind: 'ends' }, search: null });
  const { verdict: first, held, search } = judgeWay(wider, run, heldOn(course, run));
  // At once it is said that the inputs as they are lead no further.
  expect(first.kind).toBe('ends');
  const verdict = search!();
  expect(verdict.kind).toBe('other-inputs');
  if (verdict.kind !== 'other-inputs') return;
  const again = replay(wider, verdict.run);
  expect(again.finished).toBe(true);
  expect(again.time).toBe(verdict.time);
  expect(verdict.run.course).toBe(courseHash(wider));
  // It does not hold: what was known of the old inputs stays.
  expect(held!.pieces).toBe(course.pieces);
});

test('a gap made too wide ends the way at its edge, because of the piece that was moved', () => {
  const broken = moved(course, 'p3', [5, 0, 0]);
  const verdict = verdictOf(broken, run, heldOn(course, run));
  expect(verdict).toMatchObject({ kind: 'ends', piece: 'p3' });
  if (verdict.kind !== 'ends') return;
  // Within the jump over the gap: it kept to its way up to where the far side was.
  expect(verdict.at[0]).toBeGreaterThan(3.5);
  expect(verdict.at[0]).toBeLessThan(8.5);
});

test('a wall laid across is named, and so is a piece that was taken away', () => {
  const walled = layPieces(course, [{ family: 'block', at: [1, 0, 0], size: [1, 6, 6] }]);
  const added = walled.pieces.at(-1)!.id;
  const before = heldOn(course, run);
  expect(verdictOf(walled, run, before)).toMatchObject({ kind: 'ends', piece: added });
  const gone = { ...course, pieces: course.pieces.filter(({ id }) => id !== 'p3') };
  expect(verdictOf(gone, run, before)).toMatchObject({ kind: 'ends', piece: 'p3' });
});

test('of three changes of which one alone ends the way, that one is named, near or not', () => {
  const before = heldOn(course, run);
  fc.assert(
    fc.property(
      fc.integer({ min: -3, max: 3 }),
      fc.constantFrom('wall', 'gap', 'gone'),
      fc.boolean(),
      (x, how, other) => {
        // What stands beside the way and what lies over it harm nothing, wherever they are.
        const beside = layPieces(course, [
          { family: 'block', at: [x, 0, 2.5], size: [0.5, 0.5, 0.5] },
          { family: 'block', at: [other ? 4 : 7, 6, 0], size: [1, 1, 1] },
        ]);
        const walled = () =>
          layPieces(beside, [{ family: 'block', at: [0.9 + x / 10, 0, 0], size: [0.4, 6, 6] }]);
        const broken =
          how === 'wall'
            ? walled()
            : how === 'gap'
              ? moved(beside, 'p3', [5, 0, 0])
              : { ...beside, pieces: beside.pieces.filter(({ id }) => id !== 'p3') };
        const culprit = how === 'wall' ? broken.pieces.at(-1)!.id : 'p3';
        const { verdict } = judgeWay(broken, run, before);
        expect(verdict).toMatchObject({ kind: 'ends', piece: culprit, among: 1 });
      },
    ),
    { numRuns: 200, seed: 3 },
  );
});

test('what ends the way only together is told as several', () => {
  // Either of two floors bears the jump's landing; without both it ends.
  const double = layPieces(course, [{ ...floor(6.5, 26.5, -0.02) }]);
  const doubled = double.pieces.at(-1)!.id;
  const before = heldOn(double, { ...run, course: courseHash(double) });
  const broken = {
    ...double,
    pieces: double.pieces.filter(({ id }) => id !== 'p3' && id !== doubled),
  };
  const { verdict } = judgeWay(broken, run, before);
  // One of them back is enough.
  expect(verdict).toMatchObject({ kind: 'ends', among: 1 });
  const walls = layPieces(course, [
    { family: 'block', at: [1, 0, 0], size: [0.4, 6, 6] },
    { family: 'block', at: [2, 0, 0], size: [0.4, 6, 6] },
  ]);
  expect(judgeWay(walls, run, heldOn(course, run)).verdict).toMatchObject({
    kind: 'ends',
    among: 2,
  });
});

test('without knowing how it went before, it ends where the runner last stood', () => {
  const broken = moved(course, 'p3', [5, 0, 0]);
  const { verdict } = judgeWay(broken, run, null);
  expect(verdict).toMatchObject({ kind: 'ends', piece: null });
  if (verdict.kind === 'ends') {
    // It took off a metre before the edge.
    expect(verdict.at[0]).toBeGreaterThan(2.5);
    expect(verdict.at[0]).toBeLessThan(4.3);
  }
});

test('the search ends within what it may cost', () => {
  const broken = moved(course, 'p3', [5, 0, 0]);
  expect(verdictOf(broken, run, heldOn(course, run), 500).kind).toBe('ends');
});

test('nothing is changed where nothing is: copies of a piece are the piece', () => {
  expect(changesOf(course.pieces, structuredClone(course).pieces)).toEqual([]);
  expect(changesOf(course.pieces, [...course.pieces].reverse())).toEqual([]);
  expect(changesOf([], course.pieces)).toHaveLength(course.pieces.length);
});

test('stands part a run from its start to its end, in order, none farther apart than four seconds', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.integer({ min: 1, max: 900 }), fc.boolean())), (spells) => {
      const ground = Uint8Array.from([
        1,
        ...spells.flatMap(([ticks, on]) => Array<number>(ticks).fill(on ? 1 : 0)),
      ]);
      const stands = standsOf(ground);
      expect(stands[0]).toBe(0);
      if (ground.length > 1) expect(stands.at(-1)).toBe(ground.length - 1);
      for (let i = 1; i < stands.length; i++) {
        expect(stands[i]).toBeGreaterThan(stands[i - 1]);
        expect(stands[i] - stands[i - 1]).toBeLessThanOrEqual(480);
      }
    }),
  );
});

const demos = DEMO_COURSES.map((demo) => [demo.slug, demo.course] as const);

test.each(demos)('%s: the proof holds on its own course, to the same time', async (slug, demo) => {
  await loadPhysics(demo);
  const [{ run: proof }] = DEMO_RUNS[slug];
  const { verdict } = judgeWay(demo, proof, null);
  expect(verdict).toEqual({ kind: 'holds', time: proof.claim });
});

test('salt pan hop: of its pieces moved by a quarter of a metre the way is kept in most', () => {
  const { slug, course: demo } = DEMO_COURSES.find((one) => one.slug === 'salt-pan-hop')!;
  const [{ run: proof }] = DEMO_RUNS[slug];
  const before = heldOn(demo, proof);
  const stood = demo.pieces.filter(({ family }) => family !== 'start' && family !== 'lantern');
  const verdicts = stood
    .slice(0, 12)
    .map(({ id }) => verdictOf(moved(demo, id, [0.25, 0, 0]), proof, before).kind);
  expect(verdicts.filter((kind) => kind !== 'ends').length).toBeGreaterThanOrEqual(10);
});
