import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import type { Course } from '@/core/course';
import { loadPhysics, type Run } from '@/core/run';
import { fairSheet, judgeWay, openingsOf, runSheet, triedRun, TRIES } from '@/core/timing';
import { median, timesOf, type Figure } from './figures';

/** A demo course ready to be run, with its maker's run. */
async function demo(slug: string): Promise<{ course: Course; run: Run }> {
  const { course } = DEMO_COURSES.find((one) => one.slug === slug)!;
  await loadPhysics(course);
  return { course, run: DEMO_RUNS[slug][0].run };
}

const once = (act: () => void): number => timesOf(1, act)[0];

/** What figures about runs take, on one thread as in their worker. */
export async function timing(): Promise<Figure[]> {
  const long = await demo('salt-pan-slalom');
  const stair = await demo('beacon-stair');
  const steps = await demo('low-tide-steps');
  const yard = await demo('kiln-yard');
  // As long as the run is, what is counted of it takes: told for one of so many seconds.
  const scaled = ({ run }: { run: Run }, seconds: number) => seconds / run.claim;
  const sheet = median(timesOf(7, () => void runSheet(long.course, long)));
  const way = median(timesOf(7, () => void judgeWay(steps.course, steps.run, null)));
  const fair = once(() => void fairSheet(stair.course, stair));
  const openings = once(() => void openingsOf(steps.course, steps.run));
  // The worker that is asked for openings has told the run's sheet before.
  runSheet(yard.course, yard);
  const loose = once(() => void openingsOf(yard.course, yard.run));
  const steady = once(() => void triedRun(stair.course, stair.run, TRIES));
  const figure = (key: string, label: string, ms: number, unit: string, goal: string): Figure => ({
    key,
    label,
    value: unit === 's' ? ms / 1000 : ms,
    unit,
    goal,
  });
  return [
    figure(
      'timingSheet',
      'Replay and figures of a run, for 60 s of it',
      sheet * scaled(long, 60),
      'ms',
      'at most 120',
    ),
    figure('timingWay', 'A way that holds, told so', way, 'ms', 'at most 150'),
    figure('timingOpenings', 'Openings of Low Tide Steps', openings, 's', 'at most 3'),
    figure(
      'timingLoose',
      'Openings of Kiln Yard, with seven loose pieces',
      loose,
      's',
      'at most 3',
    ),
    figure('timingFair', 'How fair Beacon Stair is', fair, 's', 'at most 3'),
    figure(
      'timingSteady',
      `A run of 40 s tried ${TRIES} times`,
      steady * scaled(stair, 40),
      's',
      'at most 20',
    ),
  ];
}
