import type { RunEvent } from '../run';
import { phasesOf, wayAlong } from '.';

/** A runner that goes a metre a tick to the right, here on ground and there not. */
function traceOf(ground: number[], events: Partial<RunEvent>[] = [], xs = ground.map((_, i) => i)) {
  const path = Float64Array.from(xs.flatMap((x) => [x, 0, 0]));
  const speed = Float32Array.from(xs.map((x, i) => (i > 0 && x === xs[i - 1] ? 0 : 4)));
  return { ground: Uint8Array.from(ground), speed, path, events: events as RunEvent[] };
}
const letters = (trace: ReturnType<typeof traceOf>) =>
  [...phasesOf(trace)].map((phase) => 'mwahb'[phase]).join('');

test('on ground it moves or waits, off it it is in the air', () => {
  expect(letters(traceOf([1, 1, 0, 0, 1, 1], [], [0, 1, 2, 3, 4, 4]))).toBe('mmaamw');
});

test('thrown off by a hit, the air counts as the hit’s until it stands again', () => {
  expect(letters(traceOf([1, 1, 0, 0, 1, 0], [{ kind: 'hazard', tick: 2 }]))).toBe('mmhhma');
});

test('after a return the way to where it last stood is coming back', () => {
  // It stands at 3, falls from there, returns to 0 and walks back.
  const xs = [0, 1, 2, 3, 4, 5, 0, 1, 2, 3, 4];
  const ground = [1, 1, 1, 1, 0, 0, 1, 1, 1, 1, 1];
  const events = [
    { kind: 'fall' as const, tick: 6 },
    { kind: 'respawn' as const, tick: 6 },
  ];
  expect(letters(traceOf(ground, events, xs))).toBe('mmmmaabbbmm');
});

test('being put somewhere else is no way', () => {
  expect([...wayAlong(Float64Array.from([0, 0, 0, 0.5, 0, 0, 9, 0, 0, 9.5, 0, 0]))]).toEqual([
    0, 0.5, 0.5, 1,
  ]);
});
