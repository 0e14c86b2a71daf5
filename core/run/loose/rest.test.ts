import fc from 'fast-check';
import { layPieces, type PieceInHand } from '../../edit';
import { emptyCourse, type Course, type Link } from '../../course';
import { Trial, right } from '../testing';
import { cloneState, loadPhysics, poseMover, tick, type Input } from '..';
import { cases } from '../../deep.testing';

/** A wide floor, pieces p3, p4 … on it, and what the clock does to them after two seconds. */
const yard = (pieces: readonly PieceInHand[], ...effects: Link['effects']): Course => ({
  ...layPieces(emptyCourse('Yard', 'free'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [0, -1, 0], size: [60, 1, 60] },
    ...pieces,
  ]),
  links: effects.length ? [{ id: 'l1', cue: { kind: 'timer', seconds: 2 }, effects }] : [],
});
const cask = (at: PieceInHand['at'], more: Partial<PieceInHand> = {}): PieceInHand => ({
  family: 'cask',
  at,
  size: [0.6, 0.8, 0.6],
  loose: true,
  ...more,
});
const slab = (at: PieceInHand['at'], more: Partial<PieceInHand> = {}): PieceInHand => ({
  family: 'slab',
  at,
  size: [3, 1, 3],
  ...more,
});

/** Five casks, two of them on the edges of three: the upper ones sway if they are stepped for long. */
const stack = [
  cask([8, 0, 4.2]),
  cask([8, 0, 5]),
  cask([8, 0, 5.8]),
  cask([8, 0.8, 4.6]),
  cask([8, 0.8, 5.4]),
];

/** How far the n-th loose piece's foot has got, m. */
const shift = ({ world, state }: Trial, n = 0) => {
  const { drive } = world.loose[n];
  return [...state.dynamicPoses.subarray(drive, drive + 3)];
};

beforeAll(() => loadPhysics(yard(stack)));

test('a stack that nobody touches stands as long as a run lasts', () => {
  const trial = new Trial(yard(stack)).go(undefined, 120);
  const now = [...trial.state.dynamicPoses];
  trial.go(undefined, 3000);
  expect([...trial.state.dynamicPoses]).toEqual(now);
  stack.forEach((_, n) => shift(trial, n).forEach((v) => expect(Math.abs(v)).toBeLessThan(0.02)));
});

test('it falls when what it stands on is knocked away', () => {
  const trial = new Trial(yard(stack)).go(undefined, 240);
  Object.assign(trial.state, { x: 6, y: 0, z: 4.2 });
  trial.go(right, 240);
  expect(shift(trial, 3)[1]).toBeLessThan(-0.4);
});

test('it falls when what it stands on goes', () => {
  for (const kind of ['hide', 'open', 'break'] as const) {
    const pieces = [slab([8, 2, 8]), cask([8, 3, 8])];
    const trial = new Trial(yard(pieces, { kind, pieces: ['p3'] })).go(undefined, 230);
    expect(shift(trial)[1]).toBeCloseTo(0, 1);
    expect([kind, shift(trial.go(undefined, 180))[1] < -2]).toEqual([kind, true]);
  }
});

test('it is carried when what it stands on begins to go', () => {
  const motion: PieceInHand['motion'] = [{ kind: 'path', points: [[0, 6, 0]], speed: 2 }];
  const lift = slab([8, 0, 8], { motion, wake: { by: 'touch' } });
  const trial = new Trial(yard([lift, cask([8, 1, 8])], { kind: 'start', pieces: ['p3'] }));
  expect(shift(trial.go(undefined, 230))[1]).toBeCloseTo(0, 1);
  const up = trial.go(undefined, 130);
  const deck = up.world.movers.find(({ loose }) => !loose)!;
  const risen = poseMover(up.world.movers, up.state, deck.index).pose.shift[1];
  expect(risen).toBeGreaterThan(1);
  expect(shift(up)[1]).toBeCloseTo(risen, 1);
});

test('what comes by pushes it, and the tide takes it', () => {
  const motion: PieceInHand['motion'] = [{ kind: 'path', points: [[12, 0, 0]], speed: 2 }];
  const pushing = slab([2, 0, 8], { size: [1, 1, 1], motion });
  const pushed = new Trial(yard([pushing, cask([8, 0, 8])]));
  expect(shift(pushed.go(undefined, 230))[0]).toBeCloseTo(0, 1);
  expect(shift(pushed.go(undefined, 240))[0]).toBeGreaterThan(2);
  const flood = yard([cask([8, 0, 8])], { kind: 'tide', value: 3, seconds: 3 });
  const drowned = new Trial(flood).go(undefined, 700, (s) => s.away.some((away) => away === 1));
  expect(drowned.state.away[drowned.world.loose[0].piece]).toBe(1);
});

test('what goes slowly goes on', () => {
  // A cask that begins to slide down a slope: a stretch of a few ticks of it might look like rest.
  const pieces = [slab([8, 0, 8], { size: [3, 1, 12], turn: [-25, 0, 0] }), cask([8, 1.6, 8])];
  const trial = new Trial(yard(pieces)).go(undefined, 60);
  const [, early] = shift(trial);
  expect(shift(trial.go(undefined, 120))[1]).not.toBeCloseTo(early, 1);
});

test('a run that goes on from a copy is the same, whenever it was copied', () => {
  const stretch = fc.record({
    x: fc.integer({ min: -4, max: 16 }),
    z: fc.integer({ min: -4, max: 16 }),
    jump: fc.boolean(),
    ticks: fc.integer({ min: 1, max: 90 }),
  });
  fc.assert(
    fc.property(fc.array(stretch, { minLength: 2, maxLength: 8 }), (stretches) => {
      const trial = new Trial(yard(stack));
      let other = cloneState(trial.state);
      for (const { ticks, ...input } of stretches) {
        for (let i = 0; i < ticks; i++) {
          trial.go(input as Input);
          tick(trial.world, other, input as Input, () => {});
        }
        expect([...other.dynamicPoses]).toEqual([...trial.state.dynamicPoses]);
        expect([other.x, other.y, other.z]).toEqual([trial.state.x, trial.state.y, trial.state.z]);
        other = cloneState(other);
        other.bodies?.pack();
      }
    }),
    { numRuns: cases(20) },
  );
});
