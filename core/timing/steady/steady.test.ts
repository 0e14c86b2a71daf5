import fc from 'fast-check';
import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import { emptyCourse, type Course } from '../../course';
import { layPieces } from '../../edit';
import { seeded } from '../../geometry';
import { courseOf, floor } from '../../run/testing';
import { buildWorld, replay } from '../../run';
import { pressedOf } from '../pressed';
import { traceOf } from '../trace';
import { runOf } from '../testing';
import { centredRun, pressesOf, pressWindow, withMoved } from './centre';
import { difficultyOf, fallsOf, steadinessOf, triedRun } from './difficulty';
import { normalAt, normalBelow, normals, wilson } from './statistics';
import { unsteady } from './unsteady';

test('deviates are as the normal law says: mean, spread and the part within one spread', () => {
  const next = normals(seeded(5));
  const all = Array.from({ length: 20_000 }, next);
  const mean = all.reduce((sum, v) => sum + v, 0) / all.length;
  const square = all.reduce((sum, v) => sum + (v - mean) ** 2, 0) / all.length;
  expect(Math.abs(mean)).toBeLessThan(0.02);
  expect(Math.sqrt(square)).toBeCloseTo(1, 1);
  expect(all.filter((v) => Math.abs(v) < 1).length / all.length).toBeCloseTo(0.6827, 1);
});

test('the normal law and its inverse, against known values', () => {
  expect(normalBelow(0)).toBeCloseTo(0.5, 6);
  expect(normalBelow(1.959964)).toBeCloseTo(0.975, 6);
  expect(normalBelow(-1)).toBeCloseTo(0.1586553, 6);
  for (const part of [0.01, 0.3, 0.5, 0.84, 0.999]) {
    expect(normalBelow(normalAt(part))).toBeCloseTo(part, 6);
  }
});

test('a share’s interval holds it and is as wide as Wilson’s', () => {
  expect(wilson(0, 200)).toMatchObject({ low: 0 });
  expect(wilson(0, 200).high).toBeCloseTo(0.0188, 3);
  expect(wilson(8, 10).low).toBeCloseTo(0.4902, 3);
  expect(wilson(8, 10).high).toBeCloseTo(0.9433, 3);
  expect(wilson(0, 0)).toEqual({ low: 0, high: 1 });
});

test('falls give the difficulty they are said to', () => {
  const table = [0, 0.5, 3, 10, 30, 100, 5000].map((falls) =>
    Number(difficultyOf(falls).toFixed(1)),
  );
  expect(table).toEqual([1, 1.8, 3.7, 5.7, 7.7, 10, 10]);
  expect(fallsOf([{ through: 200, tries: 200 }])).toBe(0);
  expect(fallsOf([{ through: 100, tries: 200 }])).toBe(1);
  // None through is not never.
  expect(fallsOf([{ through: 0, tries: 200 }])).toBe(201);
});

test('a hand presses what it means as often, in the same order, and the same again for the same seed', () => {
  const inputs = fc.array(
    fc.tuple(fc.integer({ min: 5, max: 60 }), fc.constantFrom(0 as const, 1 as const)),
    { minLength: 2, maxLength: 12 },
  );
  fc.assert(
    fc.property(inputs, fc.integer({ min: 1, max: 9999 }), (stretches, seed) => {
      const run = { inputs: stretches.map(([n, jump]) => [n, 9, 0, jump] as never) };
      const meant = pressedOf(run);
      const end = meant.jump.length;
      const hand = unsteady(meant, 0, end, seeded(seed));
      expect(hand.jump.length).toBe(end);
      expect(pressesOf(hand).length).toBeLessThanOrEqual(pressesOf(meant).length);
      expect(unsteady(meant, 0, end, seeded(seed))).toEqual(hand);
      // Nothing outside of the stretch is touched.
      const later = unsteady(meant, end >> 1, end, seeded(seed));
      expect([...later.jump.subarray(0, end >> 1)]).toEqual([...meant.jump.subarray(0, end >> 1)]);
    }),
  );
});

test('one press is moved and no other, never into one beside it', () => {
  const run = {
    inputs: [
      [10, 0, 0, 0],
      [5, 0, 0, 1],
      [10, 0, 0, 0],
      [5, 0, 0, 1],
      [9, 0, 0, 0],
    ],
  };
  const pressed = pressedOf(run as never);
  const presses = pressesOf(pressed);
  expect(presses).toEqual([
    { on: 10, off: 15 },
    { on: 25, off: 30 },
  ]);
  const moved = pressesOf(withMoved(pressed, presses, 0, 3));
  expect(moved).toEqual([
    { on: 13, off: 18 },
    { on: 25, off: 30 },
  ]);
  for (const by of [-99, -9, 9, 99]) {
    expect(pressesOf(withMoved(pressed, presses, 1, by))).toHaveLength(2);
    expect(pressesOf(withMoved(pressed, presses, 0, by))).toHaveLength(2);
  }
});

const jumpCourse = (gap: number) =>
  courseOf(floor(-5, 4), floor(4 + gap, 40), { family: 'lantern', at: [20, 0, 0] });

test('a flat way is walked by any hand', () => {
  const flat = courseOf(floor(-5, 60), { family: 'lantern', at: [30, 0, 0] });
  const { spans, falls, difficulty, sections } = steadinessOf(
    triedRun(flat, runOf(flat, [700, 16, 0, 0]), 200),
  );
  expect(spans.map(({ through }) => through)).toEqual([200]);
  expect([falls, difficulty]).toEqual([0, 1]);
  expect(sections.every(({ ended, asPress }) => ended === 0 && asPress === null)).toBe(true);
});

test.each(['hopper', 'roller'] as const)(
  'what carries a %s is no error of its hand: any hand is borne to the end of a ferry’s way',
  (kind) => {
    const course: Course = {
      ...layPieces({ ...emptyCourse('Ferry', 'free'), runner: { kind } }, [
        { family: 'start', at: [0, 0, 0] },
        {
          ...{ family: 'slab', at: [0, -0.5, 0], size: [1, 0.5, 1] },
          motion: [
            {
              ...{
                kind: 'path',
                points: [
                  [6, 0, 0],
                  [6, 0, 9],
                ],
                waits: [0.5, 0, 0],
              },
              ...{ speed: 3, ease: 'even', after: 'once' },
            },
          ],
        },
        { family: 'lantern', at: [6, 0, 9] },
      ]),
    };
    const { spans } = triedRun(course, runOf(course, [800, 0, 0, 0]), 40);
    expect(spans.map(({ through }) => through)).toEqual([40]);
  },
);

test.each([3.5, 4, 4.4])(
  'a gap of %f m is come over as often as the normal law says of its window',
  (gap) => {
    const course = jumpCourse(gap);
    const run = runOf(course, [92, 16, 0, 0], [46, 16, 0, 1], [500, 16, 0, 0]);
    const world = buildWorld(course);
    expect(replay(course, run).finished).toBe(true);
    const centred = centredRun(course, world, run);
    const window = pressWindow(world, centred, traceOf(course, centred, world), 0);
    // Its middle is the middle of its window, to a tick and what lies in the halving.
    expect(Math.abs(window.late - window.early)).toBeLessThanOrEqual(4);
    const { spans } = triedRun(course, run, 400);
    // The edge of the button and what all is late by together, in ticks.
    const spread = Math.hypot(0.035, 0.015) * 120;
    const law =
      normalBelow((window.late + 0.5) / spread) - normalBelow(-(window.early + 0.5) / spread);
    expect(spans[0].low - 0.06).toBeLessThan(law);
    expect(spans[0].high + 0.06).toBeGreaterThan(law);
  },
);

test('a wider gap is harder', () => {
  const share = (gap: number) => {
    const course = jumpCourse(gap);
    const run = runOf(course, [92, 16, 0, 0], [46, 16, 0, 1], [500, 16, 0, 0]);
    return triedRun(course, run, 150).spans[0].through;
  };
  const [narrow, wide] = [share(3), share(4.4)];
  expect(narrow).toBeGreaterThan(wide);
});

test('salt pan hop: the same again for the same run, ends booked in its sections, all of them', () => {
  const { slug, course } = DEMO_COURSES.find((one) => one.slug === 'salt-pan-hop')!;
  const [{ run }] = DEMO_RUNS[slug];
  const parts: number[] = [];
  const first = triedRun(course, run, 12, (part) => parts.push(part));
  expect(triedRun(course, run, 12)).toEqual(first);
  expect(parts.every((part, i) => i === 0 || part >= parts[i - 1])).toBe(true);
  expect(parts.at(-1)).toBe(1);
  const ended = first.spans.reduce((sum, { through, tries }) => sum + tries - through, 0);
  expect(first.sections.reduce((sum, section) => sum + section.ended, 0)).toBe(ended);
  for (const { share, low, high } of first.sections) {
    expect(low <= share + 1e-9 && share <= high + 1e-9).toBe(true);
  }
});

test('the course asks for no more than the steadiest line of each span', () => {
  const { slug, course } = DEMO_COURSES.find((one) => one.slug === 'salt-pan-hop')!;
  const [a, b] = DEMO_RUNS[slug].map(({ run }) => run);
  const tried = [a, b].map((run) => triedRun(course, run, 16));
  const [alone, other] = tried.map((one) => steadinessOf(one));
  const both = steadinessOf(tried[0], [tried[1]]);
  both.spans.forEach(({ through, begin }, i) => {
    expect(through).toBe(Math.max(alone.spans[i].through, other.spans[i].through));
    // Where it lies is told by the run that is shown.
    expect(begin).toBe(alone.spans[i].begin);
  });
  expect(both.ownDifficulty).toBe(alone.difficulty);
  expect(both.difficulty).toBeLessThanOrEqual(Math.min(alone.difficulty, other.difficulty));
  expect(both.sections).toEqual(alone.sections);
});
