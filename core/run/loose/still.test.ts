import fc from 'fast-check';
import { layPieces, type PieceInHand } from '../../edit';
import { emptyCourse, type Course } from '../../course';
import { Trial } from '../testing';
import { loadPhysics, type Input } from '..';
import { staysStill } from './still';

jest.mock('./still', () => {
  const actual = jest.requireActual<typeof import('./still')>('./still');
  return { ...actual, staysStill: jest.fn(actual.staysStill) };
});
const asked = jest.mocked(staysStill);
const { staysStill: actual } = jest.requireActual<typeof import('./still')>('./still');

const yard = (...pieces: PieceInHand[]): Course =>
  layPieces(emptyCourse('Yard', 'free'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [0, -1, 0], size: [60, 1, 60] },
    { family: 'crate', at: [9, 0, 9], loose: true },
    { family: 'crate', at: [9, 0, 11], loose: true },
    ...pieces,
  ]);
const mover: PieceInHand = {
  family: 'slab',
  at: [-9, 2, -9],
  size: [2, 0.5, 2],
  motion: [{ kind: 'path', points: [[6, 0, 0]], speed: 2 }],
};

beforeAll(() => loadPhysics(yard()));

/** Places of all that is loose, at every tick of a run. */
function placesOf(course: Course, inputs: readonly Input[]): number[][] {
  const trial = new Trial(course);
  return inputs.map((input) => [...trial.go(input).state.dynamicPoses]);
}

test('not to step what lies still changes nothing of it, whatever the runner does far off', () => {
  const stretch = fc.record({
    x: fc.integer({ min: -16, max: 0 }),
    z: fc.integer({ min: -16, max: 0 }),
    jump: fc.boolean(),
    ticks: fc.integer({ min: 20, max: 120 }),
  });
  fc.assert(
    fc.property(fc.array(stretch, { minLength: 2, maxLength: 4 }), (stretches) => {
      const inputs = stretches.flatMap(({ ticks, ...input }) =>
        Array.from({ length: ticks }, () => input),
      );
      const course = yard(mover);
      const skipped = placesOf(course, inputs);
      asked.mockReturnValue(false);
      try {
        expect(placesOf(course, inputs)).toEqual(skipped);
      } finally {
        asked.mockReset().mockImplementation(actual);
      }
    }),
    { numRuns: 8 },
  );
});

test('it is stepped as long as something falls, moves by, or the runner is near', () => {
  const skipped = (course: Course, ticks: number, near = false) => {
    asked.mockClear();
    const trial = new Trial(course);
    if (near) Object.assign(trial.state, { x: 7.6, z: 9 });
    trial.go(undefined, ticks);
    return asked.mock.results.filter(({ value }) => value === true).length;
  };
  expect(skipped(yard(), 300)).toBeGreaterThan(150);
  expect(skipped(yard(mover), 300)).toBeGreaterThan(150);
  expect(skipped(yard({ ...mover, at: [6, 1.1, 9] }), 300)).toBe(0);
  expect(skipped(yard(), 300, true)).toBe(0);
});
