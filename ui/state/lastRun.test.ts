import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { courseHash, CORE_VERSION, replay } from '@/core/run';
import { useLastRun } from './lastRun';

const course = layPieces(emptyCourse('Followed', 'free'), [
  { family: 'slab', at: [6, -1, 0], size: [16, 1, 4] },
  { family: 'start', at: [0, 0, 0] },
  { family: 'lantern', at: [6, 0, 0] },
]);
const run = (x: number) =>
  replay(course, {
    format: 'stone-hop-run',
    core: CORE_VERSION,
    course: courseHash(course),
    seed: 0,
    inputs: [[240, x, 0, 0]],
    claim: 2,
  });

test('a run that arrived is followed, one that did not leaves the way as it was', () => {
  const [still, there] = [run(0), run(16)];
  expect([still.finished, there.finished]).toEqual([false, true]);
  useLastRun.getState().keep(still);
  expect(useLastRun.getState().way).toBeNull();
  useLastRun.getState().keep(there);
  const { way } = useLastRun.getState();
  expect(way!.length).toBeGreaterThan(5);
  useLastRun.getState().keep(still);
  expect(useLastRun.getState().way).toBe(way);
  useLastRun.getState().forget();
  expect(useLastRun.getState().way).toBeNull();
});
