import type { PaleTrack } from '@/workers/timing';
import { standingAt } from './PaleRunners';
import { PaleGaps, type PaleRun } from './paleRun';

jest.mock('../../scene', () => ({ Runner: () => null }));
jest.mock('@react-three/fiber', () => ({ useFrame: () => {} }));

/** Goes a twentieth of a metre a tick along x, after standing some ticks. */
function pale(name: string, wait: number): PaleRun {
  const ticks = 400;
  const path = Float64Array.from(
    Array.from({ length: ticks }, (_, at) => [Math.max(0, at - wait) / 20, 0, 0]).flat(),
  );
  const track: PaleTrack = {
    path,
    heading: new Float32Array(ticks).fill(90),
    ground: Uint8Array.from({ length: ticks }, (_, at) => (at % 2 === 0 ? 1 : 0)),
  };
  return { key: name, name, track };
}
const at = (x: number, tick: number) => ({ x, y: 0, z: 0, tick });

test('who started half a second later is half a second behind all the way', () => {
  const gaps = new PaleGaps([pale('the best', 0)]);
  for (const tick of [100, 200, 300]) {
    expect(gaps.nearest(at((tick - 60) / 20, tick))).toEqual({ name: 'the best', gap: 0.5 });
  }
});

test('of several the nearest in time is told, ahead or behind', () => {
  const gaps = new PaleGaps([pale('Orla', 0), pale('Fenn', 90)]);
  // 60 ticks after Orla, 30 before Fenn.
  expect(gaps.nearest(at(2, 100))).toEqual({ name: 'Fenn', gap: -0.25 });
});

test('where none came by there is nothing to tell', () => {
  expect(new PaleGaps([pale('Orla', 0)]).nearest({ x: 2, y: 50, z: 0, tick: 9 })).toBeNull();
  expect(new PaleGaps([]).nearest(at(1, 1))).toBeNull();
});

test('a recorded run stands as it did at a tick, and past its end as it ended', () => {
  const run = pale('Wick', 0);
  expect(standingAt(run, 20)).toMatchObject({ x: 1, heading: 90, ground: 0 });
  expect(standingAt(run, 21).ground).toBe(-1);
  expect(standingAt(run, 20).fz).toBeCloseTo(-1, 9);
  expect(standingAt(run, 9999).x).toBe(399 / 20);
});
