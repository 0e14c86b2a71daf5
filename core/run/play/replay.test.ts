import fc from 'fast-check';
import { courseOf, floor } from '../testing';
import {
  courseHash,
  Recorder,
  replay,
  ReplayRefused,
  initialState,
  tick,
  buildWorld,
  poseHash,
} from '..';

const course = courseOf(
  floor(-4, 4),
  { family: 'drift', at: [6, -0.6, 0], params: { span: 3, period: 2.5 } },
  { family: 'ramp', at: [12, -0.5, 0] },
  { family: 'block', at: [15, -1, 0], turn: [0, 30, 0] },
  { family: 'arm', at: [15, 1, 0] },
  { family: 'shell', at: [3, 0.5, 0] },
  { family: 'lantern', at: [18, 0, 0] },
  // What an order could decide: two starts, and two movers that push at once.
  { family: 'start', at: [2, 0, 0] },
  { family: 'drift', at: [-3, 0, 0], params: { span: 3, period: 1.5 } },
  { family: 'drift', at: [-3, 0.4, 0.3], turn: [0, 20, 8], params: { span: 3, period: 1.5 } },
);

const inputs = fc.array(
  fc.tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: -16, max: 16 }), fc.boolean()),
  { maxLength: 30 },
);

function record(stretches: [number, number, boolean][]) {
  const world = buildWorld(course);
  const state = initialState(world);
  const recorder = new Recorder();
  const path = [state.x, state.y, state.z];
  for (const [ticks, x, jump] of stretches) {
    for (let i = 0; i < ticks && state.finish < 0; i++) {
      recorder.add({ x, z: 0, jump });
      tick(world, state, { x, z: 0, jump }, () => {});
      path.push(state.x, state.y, state.z);
    }
  }
  return { run: recorder.run(courseHash(course), 0), poses: poseHash(new Float64Array(path)) };
}

test('a replay gives every pose back bit for bit, in whatever order the file lists the pieces', () => {
  fc.assert(
    fc.property(
      inputs,
      fc.shuffledSubarray(course.pieces, { minLength: course.pieces.length }),
      (stretches, pieces) => {
        const { run, poses } = record(stretches);
        const shuffled = { ...course, pieces };
        return replay(course, run).poses === poses && replay(shuffled, run).poses === poses;
      },
    ),
    { numRuns: 60, seed: 3 },
  );
});

test('what does not affect a run keeps the hash, what does changes it', () => {
  const [start, ground, ...others] = course.pieces;
  const withGround = (change: object) =>
    courseHash({ ...course, pieces: [start, { ...ground, ...change }, ...others] });
  const hash = courseHash(course);
  expect(courseHash({ ...course, name: 'Other', notes: 'x' })).toBe(hash);
  expect(withGround({ look: { material: 'moss' }, name: 'Quay' })).toBe(hash);
  expect(withGround({ at: [0, -1.0001, 0] })).not.toBe(hash);
});

test('a run of another course or simulation is refused', () => {
  const { run } = record([[10, 16, false]]);
  const reason = (changed: object) => {
    try {
      replay(course, { ...run, ...changed });
    } catch (error) {
      return (error as ReplayRefused).reason;
    }
  };
  expect(reason({ course: 'f'.repeat(64) })).toBe('other-course');
  expect(reason({ core: 99 })).toBe('other-core');
  expect(
    reason({
      inputs: [
        [216_000, 0, 0, 0],
        [1, 0, 0, 0],
      ],
    }),
  ).toBe('too-long');
});
