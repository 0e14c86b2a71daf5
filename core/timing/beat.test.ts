import fc from 'fast-check';
import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import { buildWorld } from '../run';
import {
  beatPlaces,
  beatSheet,
  fittedTempo,
  type LineMark,
  runLine,
  type RunLine,
  traceOf,
} from '.';

/** A jump at each of some times, s. */
const jumps = (times: readonly number[]): LineMark[] =>
  times.map((time) => ({ kind: 'jump', tick: Math.round(time * 120), at: [0, 0, 0] }));

test('each is told against its nearest beat, late or early', () => {
  const { hits, mean, worst } = beatSheet(jumps([0.5, 1.05, 1.95]), { beats: 60, offset: 0 });
  expect(hits.map(({ beat }) => beat)).toEqual([1, 1, 2]);
  expect(hits.map(({ late }) => Number(late.toFixed(3)))).toEqual([-0.5, 0.05, -0.05]);
  expect(mean).toBeCloseTo(-0.1667, 3);
  expect(worst!.tick).toBe(60);
});

test('before the first beat it is the first that counts, and what is neither is left out', () => {
  const marks: LineMark[] = [...jumps([0.1]), { kind: 'wait', tick: 60, at: [0, 0, 0] }];
  const { hits } = beatSheet(marks, { beats: 120, offset: 1 });
  expect(hits).toMatchObject([{ beat: 0 }]);
  expect(hits[0].late).toBeCloseTo(-0.9, 9);
  expect(beatSheet([], { beats: 120 })).toMatchObject({
    hits: [],
    mean: 0,
    spread: 0,
    worst: null,
  });
});

test('a run on a beat of its own is fitted by that beat', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 60, max: 150 }),
      fc.double({ min: 0, max: 0.3, noNaN: true }),
      fc.uniqueArray(fc.integer({ min: 0, max: 40 }), { minLength: 4, maxLength: 20 }),
      (beats, offset, which) => {
        const seconds = 60 / beats;
        const marks = jumps(which.sort((a, b) => a - b).map((n) => offset + n * seconds));
        // What is told is a little off: less than one beat in forty.
        const told = { beats: beats * 1.004, offset };
        const fitted = fittedTempo(beatSheet(marks, told).hits, told, 'both');
        const { spread } = beatSheet(marks, fitted);
        expect(spread).toBeLessThanOrEqual(beatSheet(marks, told).spread + 1e-3);
        // Ticks are whole: no fit can be nearer than that.
        expect(spread).toBeLessThan(0.006);
      },
    ),
  );
});

test('with the beats kept, the mean is gone once the offset is moved', () => {
  fc.assert(
    fc.property(fc.double({ min: -0.1, max: 0.1, noNaN: true }), (late) => {
      const marks = jumps([1, 2, 3, 5].map((time) => time + late));
      const tempo = fittedTempo(beatSheet(marks, { beats: 60 }).hits, { beats: 60 }, 'offset');
      expect(tempo.beats).toBe(60);
      expect(Math.abs(beatSheet(marks, tempo).mean)).toBeLessThan(0.002);
      expect(tempo.offset).toBeGreaterThanOrEqual(0);
      expect(tempo.offset).toBeLessThan(1.001);
    }),
  );
});

test('hits that all lie on one beat move its offset and leave its pace', () => {
  const marks = jumps([2.04, 2.06]);
  const tempo = fittedTempo(beatSheet(marks, { beats: 60 }).hits, { beats: 60 }, 'both');
  expect(tempo.beats).toBe(60);
  expect(beatSheet(marks, tempo).mean).toBeCloseTo(0, 2);
});

test.each(DEMO_COURSES.filter(({ course }) => course.runner.kind === 'hopper'))(
  '$slug: the fitted tempo keeps to its proof no worse than any offset at the same beats',
  ({ slug, course }) => {
    const { marks } = runLine(traceOf(course, DEMO_RUNS[slug][0].run, buildWorld(course)));
    const told = course.tempo ?? { beats: 110 };
    const square = (offset: number) => {
      const { mean, spread } = beatSheet(marks, { ...told, offset });
      return mean ** 2 + spread ** 2;
    };
    const { hits } = beatSheet(marks, told);
    expect(hits.length).toBeGreaterThan(3);
    const { offset } = fittedTempo(hits, told, 'offset');
    // Of all offsets about it none is better.
    for (const by of [-0.02, -0.01, 0.01, 0.02]) {
      expect(square(offset!)).toBeLessThanOrEqual(square(offset! + by) + 2e-4);
    }
  },
);

/** A run along x at 6 m/s, a point every 4 ticks. */
const steadyLine = (seconds: number): RunLine => {
  const count = 30 * seconds + 1;
  return {
    points: Float32Array.from(
      Array.from({ length: count }, (_, i) => [(i * 4 * 6) / 120, 1, 0, 6]).flat(),
    ),
    ticks: Int32Array.from({ length: count }, (_, i) => 4 * i),
    marks: [],
    top: 6,
  };
};

test('the places of the beats are where the run was then, bars told', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 40, max: 240 }),
      fc.double({ min: 0, max: 2, noNaN: true }),
      fc.integer({ min: 1, max: 7 }),
      (beats, offset, bar) => {
        const places = beatPlaces(steadyLine(10), { beats, offset, bar });
        const last = ((10 - offset) * beats) / 60;
        expect(Math.abs(places.length - 1 - last)).toBeLessThanOrEqual(1 + 1e-9);
        expect(places.length - 1).toBeLessThanOrEqual(last + 1e-9);
        for (const place of places) {
          expect(place.at[0]).toBeCloseTo(6 * (offset + (place.beat * 60) / beats), 3);
          expect(place.bar).toBe(place.beat % bar === 0);
        }
      },
    ),
  );
});

test('where the runner was put somewhere else at a beat there is no place of it', () => {
  const line = steadyLine(3);
  // Gone from 1 s to 1.1 s.
  for (let i = 30; i <= 33; i++) line.points.fill(NaN, 4 * i, 4 * i + 4);
  const beats = beatPlaces(line, { beats: 60 }).map(({ beat }) => beat);
  expect(beats).toEqual([0, 2, 3]);
  expect(
    beatPlaces({ ...line, points: new Float32Array(), ticks: new Int32Array() }, { beats: 60 }),
  ).toEqual([]);
});
