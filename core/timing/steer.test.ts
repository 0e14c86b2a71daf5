import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import { buildWorld, initialState, tick } from '../run';
import { pressedOf, stretchesOf, Steerer, traceOf } from '.';

const tried = ['salt-pan-hop', 'salt-pan-slalom', 'lime-tramway', 'beacon-stair'].map(
  (slug) => [slug, DEMO_COURSES.find((one) => one.slug === slug)!.course] as const,
);

test.each(tried)(
  '%s: without an error what was pressed goes through, bit for bit',
  (slug, course) => {
    const [{ run }] = DEMO_RUNS[slug];
    const world = buildWorld(course);
    const line = traceOf(course, run, world);
    const { ticks } = line.result;
    const pressed = pressedOf(run);
    const steerer = new Steerer(world.runner, { ...line, pressed });
    const state = initialState(world, run.seed, run.start);
    for (let at = 0; at < ticks - 1; at++) {
      const input = steerer.input(state, at);
      expect([input.x, input.z, input.jump ? 1 : 0]).toEqual([
        pressed.x[at],
        pressed.z[at],
        pressed.jump[at],
      ]);
      tick(world, state, input, () => {});
    }
  },
);

/** How far off its line a run is, two seconds after it was put beside it by so much across. */
function offAfter(slug: string, across: number): number {
  const course = DEMO_COURSES.find((one) => one.slug === slug)!.course;
  const [{ run }] = DEMO_RUNS[slug];
  const world = buildWorld(course);
  const line = traceOf(course, run, world);
  const state = initialState(world, run.seed, run.start);
  const steerer = new Steerer(world.runner, { ...line, pressed: pressedOf(run) });
  for (let at = 0; at < 480; at++) {
    if (at === 240) {
      if (world.lane !== null) state.x += across;
      else [state.x, state.z] = [state.x - state.fz * across, state.z + state.fx * across];
    }
    tick(world, state, steerer.input(state, at), () => {});
  }
  let off = Infinity;
  for (let k = 3 * 400; k < 3 * 520; k += 3) {
    off = Math.min(off, Math.hypot(state.x - line.path[k], state.z - line.path[k + 2]));
  }
  return off;
}

test.each([
  ['salt-pan-hop', 0.3],
  ['salt-pan-hop', -0.3],
  ['salt-pan-slalom', 0.3],
  ['salt-pan-slalom', -0.3],
])('%s: put %f m beside its way, it comes back to it', (slug, across) => {
  expect(offAfter(slug, across)).toBeLessThan(0.12);
});

test('what was pressed goes into ticks and back into the same stretches', () => {
  const [{ run }] = DEMO_RUNS['salt-pan-hop'];
  const { x, z, jump } = pressedOf(run);
  const ticks = Array.from(x, (_, at) => ({ x: x[at], z: z[at], jump: jump[at] === 1 }));
  expect(stretchesOf(ticks)).toEqual(run.inputs);
});
