import fc from 'fast-check';
import { cases } from '../deep.testing';
import { layPieces, type PieceInHand } from '../edit';
import { emptyCourse } from '../course';
import { anyRun, pressedRun, runAny } from './fuzz.testing';

// `npm run bench` runs two thousand of these.
test('whatever is set in a course, its run stays in numbers and within bounds', () => {
  fc.assert(
    fc.property(anyRun, (any) => runAny(any, 900)),
    { numRuns: cases(120), seed: 77, endOnFailure: true },
  );
});

test('a runner held against corners, edges and movers is never thrown to a goal it was not at', () => {
  fc.assert(
    fc.property(pressedRun, (any) => runAny(any, 720)),
    { numRuns: cases(150), seed: 5, endOnFailure: true },
  );
});

test('a roller wedged between a boulder and an edge that goes by stays where numbers are', () => {
  const pieces: PieceInHand[] = [
    { family: 'start', at: [0, 0.1, 0] },
    { family: 'boulder', at: [0, 0, 0] },
    {
      family: 'drift',
      at: [0, 0, 0],
      turn: [20, 0, -25],
      params: { direction: 'along', span: 1.6243404810902293, period: 2.582340961975355 },
    },
    { family: 'lantern', at: [70, 25, 70] },
    {
      family: 'crate',
      at: [0, 0, 0],
      turn: [20, 360, 0],
      motion: [
        { kind: 'circle', axis: 'z', radius: 0.8057359592486788, period: 0.1 },
        { kind: 'spin', axis: 'z', period: 0.1 },
      ],
    },
  ];
  const course = {
    ...layPieces({ ...emptyCourse('Wedged', 'free'), runner: { kind: 'roller' } }, pieces),
    tide: -20,
  };
  runAny({ course, seed: 37428, inputs: [{ x: 0, z: -16, jump: true }] }, 720);
});
