import fc from 'fast-check';
import { layPieces, type PieceInHand } from '../../edit';
import { emptyCourse, type Course } from '../../course';
import { Trial, floor, jumpOnly, right } from '../testing';
import {
  cloneState,
  loadPhysics,
  NO_INPUT,
  OffTape,
  tapedState,
  tick,
  type Input,
  type RunState,
} from '..';
import { cases } from '../../deep.testing';

/** A floor with casks that fall on each other some way off, and a mover that pushes one of them about. */
const yard = (...pieces: PieceInHand[]): Course =>
  layPieces(emptyCourse('Yard', 'free'), [
    { family: 'start', at: [0, 0, 0] },
    { ...floor(-10, 30), size: [40, 1, 40] },
    { family: 'cask', at: [14, 0.5, 10], loose: true },
    { family: 'cask', at: [14.2, 2.5, 10], loose: true },
    {
      family: 'block',
      at: [11, 0, 10],
      motion: [{ kind: 'path', points: [[2.4, 0, 0]], speed: 2 }],
    },
    ...pieces,
  ]);

/** The trial's state as it is, told by a tape of a world that waits. */
const taped = ({ world, state }: Trial) =>
  tapedState(world, state, (lead) => tick(world, lead, NO_INPUT, () => {}));

const numbersOf = (s: RunState) => [s.x, s.y, s.z, s.vx, s.vy, s.vz, ...s.dynamicPoses, ...s.away];

/** Both gone on with the same inputs, compared at every tick. */
function goAlike(trial: Trial, other: RunState, inputs: readonly Input[]): void {
  for (const input of inputs) {
    trial.go(input);
    tick(trial.world, other, input, () => {});
    expect(numbersOf(other)).toEqual(numbersOf(trial.state));
  }
}

const fixed: PieceInHand = { family: 'cask', at: [3, 0, 0] };

beforeAll(() => loadPhysics(yard()));

test('whatever a runner does far off, it is told what would have been', () => {
  const stretch = fc.record({
    x: fc.integer({ min: -16, max: 4 }),
    z: fc.integer({ min: -16, max: 4 }),
    jump: fc.boolean(),
    ticks: fc.integer({ min: 1, max: 40 }),
  });
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 60 }),
      fc.array(stretch, { minLength: 1, maxLength: 4 }),
      (wait, stretches) => {
        const trial = new Trial(yard()).go(undefined, wait);
        const inputs = stretches.flatMap(({ ticks, ...input }) =>
          Array.from({ length: ticks }, () => input),
        );
        goAlike(trial, taped(trial), inputs);
      },
    ),
    {
      numRuns: cases(15),
      // Standing still, bodies whose mass was told came out of a snapshot otherwise than they went in.
      examples: [[0, [{ x: 0, z: 0, jump: false, ticks: 96 }]]],
    },
  );
});

test('copies of it go on by the same tape, from wherever they are', () => {
  const trial = new Trial(yard());
  const one = taped(trial);
  const inputs = Array.from({ length: 30 }, () => jumpOnly);
  goAlike(trial, one, inputs);
  const two = cloneState(one);
  goAlike(trial, two, inputs);
  // The first one is still where it was, and comes to the same.
  for (const input of inputs) tick(trial.world, one, input, () => {});
  expect(numbersOf(one)).toEqual(numbersOf(two));
});

test('a state that is taped stays as it was', () => {
  const trial = new Trial(yard()).go(undefined, 20);
  const before = numbersOf(trial.state);
  const one = taped(trial);
  for (let i = 0; i < 40; i++) tick(trial.world, one, right, () => {});
  expect(numbersOf(trial.state)).toEqual(before);
});

const goOff = (trial: Trial, input: Input, ticks = 240) => {
  const one = taped(trial);
  for (let i = 0; i < ticks; i++) tick(trial.world, one, input, () => {});
};

test('who comes near what is loose is off it, and who does not is not', () => {
  const near = new Trial(yard({ ...fixed, loose: true }));
  expect(() => goOff(near, right)).toThrow(OffTape);
  expect(() => goOff(new Trial(yard(fixed)), right)).not.toThrow();
});

test('who waits near what is loose has no tape at all', () => {
  const trial = new Trial(yard({ ...fixed, at: [0.9, 0, 0], loose: true }));
  expect(() => goOff(trial, NO_INPUT, 1)).toThrow(OffTape);
});

test('who takes away what something loose stands on is off it', () => {
  const course = yard({ family: 'shell', at: [3, 0.4, 0] });
  const shell = course.pieces.at(-1)!.id;
  const ground = course.pieces[1].id;
  const hides = (pieces: string[]): Course => ({
    ...course,
    links: [
      {
        id: 'l1',
        cue: { kind: 'all-gathered', pieces: [shell] },
        effects: [{ kind: 'hide', pieces }],
      },
    ],
  });
  expect(() => goOff(new Trial(hides([ground])), right, 90)).toThrow(OffTape);
  expect(() => goOff(new Trial(hides([shell])), right, 90)).not.toThrow();
});
