import { checkCourse } from '@/core/check';
import { COURSE_KINDS, RUNNERS } from '@/core/course';
import { trackWay } from '@/core/route';
import { buildWorld, courseHash, NO_INPUT, initialState, tick } from '@/core/run';
import { freshName, hasSpace, starterCourse, USUAL_RUNNER } from './starters';

const all = COURSE_KINDS.flatMap((kind) =>
  RUNNERS.flatMap((runner) =>
    (['side-on', 'free'] as const).map((space) => ({ kind, runner, space })),
  ),
);

test.each(all)(
  'ground for $kind by $runner, $space, can be stood on and has no fault',
  (purpose) => {
    const course = starterCourse('Trial', purpose);
    expect(course.kind).toBe(purpose.kind);
    expect(course.runner.kind).toBe(purpose.runner);
    expect(course.space).toBe(hasSpace(purpose) ? purpose.space : 'free');
    expect(checkCourse(course).filter(({ weight }) => weight === 'error')).toEqual([]);
    const world = buildWorld(course);
    const state = initialState(world);
    for (let i = 0; i < 120; i++) tick(world, state, NO_INPUT, () => {});
    expect(state.falls).toBe(0);
    expect(courseHash(course)).toMatch(/^[0-9a-f]{64}$/);
  },
);

test('laps begin on a round that closes', () => {
  expect(
    trackWay(starterCourse('Round', { kind: 'laps', runner: 'cart', space: 'free' })),
  ).toMatchObject({
    closed: true,
  });
});

test('every kind has a runner of its own, and a name is never given twice', () => {
  expect(Object.keys(USUAL_RUNNER).sort()).toEqual([...COURSE_KINDS].sort());
  expect(freshName(['Tide course 1', 'Tide course 3'])).toBe('Tide course 2');
});
