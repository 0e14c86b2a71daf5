import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import { Film, replay } from '@/core/run';
import { fromMoment } from '../../state/moments';
import type { KnownRun } from '../runs/runsKnown';
import { watchedMoment } from './watchedMoment';

const { course } = DEMO_COURSES.find(({ slug }) => slug === 'low-tide-steps')!;
const [{ run }] = DEMO_RUNS['low-tide-steps'];
const shown = { key: 'a', run } as unknown as KnownRun;

test('a watched moment is gone on from as the run went on', () => {
  const film = new Film(course, run);
  const { path, ticks } = replay(course, run);
  for (const at of [0, 400, 1500, ticks]) {
    film.goTo(at);
    const moment = watchedMoment(course, film, shown, 7);
    expect([...moment.place]).toEqual([...path.subarray(3 * at, 3 * at + 3)]);
    const how = fromMoment(course, moment);
    if (typeof how === 'string' || how.kind !== 'moment') throw new Error('it has to go on');
    const begun = replay(course, how.run);
    expect(begun.ticks).toBe(at);
    expect([...begun.path.subarray(-3)]).toEqual([...moment.place]);
  }
});

test('it is named by the cairn passed last, and stays when the film goes on', () => {
  const film = new Film(course, run);
  film.goTo(30);
  const early = watchedMoment(course, film, shown, 1);
  film.goTo(film.ticks);
  expect(early.name).toBe('After the start, 0.3 s');
  expect(early.state.tick).toBe(30);
  expect(watchedMoment(course, film, shown, 2).name).toMatch(/^After cairn \d/);
});
