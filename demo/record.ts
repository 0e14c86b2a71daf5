import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { hasLoose, loadPhysics, replay } from '@/core/run';
import { RUNNER_TRAITS } from '@/core/course';
import { DEMO_COURSES } from './courses';
import { drive, type Manner } from './drive';
import { strike } from './strike';

/** Who runs the demo courses, and how; the first run of each course is its maker's own. */
const RUNNERS: readonly { name: string; manner: Manner }[] = [
  { name: 'maker', manner: { push: 0.78, beat: 12, breadth: 50 } },
  { name: 'Morven', manner: { push: 0.82, beat: 12, breadth: 60 } },
  { name: 'Tam', manner: { push: 0.72, beat: 14, breadth: 60 } },
  { name: 'Oskar', manner: { push: 0.65, beat: 12, breadth: 60 } },
];

/** The same where something is loose: states are heavy to keep there, so fewer ways are tried, and more slowly. */
const CAREFUL: typeof RUNNERS = [
  { name: 'maker', manner: { push: 0.72, beat: 12, breadth: 30 } },
  { name: 'Morven', manner: { push: 0.7, beat: 12, breadth: 40 } },
  { name: 'Oskar', manner: { push: 0.78, beat: 12, breadth: 30 } },
];

/** Drives every demo course, or the one named, anew and writes the runs next to this file. */
async function main(): Promise<void> {
  const only = process.argv[2];
  for (const { slug, maker, course, route } of DEMO_COURSES) {
    if (only && slug !== only) continue;
    await loadPhysics(course);
    const runs = (hasLoose(course) ? CAREFUL : RUNNERS).map(({ name, manner }) => {
      const play = RUNNER_TRAITS[course.runner.kind].struck ? strike : drive;
      const run = play(course, route, manner);
      const { time, gathered, pickups } = replay(course, run);
      const player = name === 'maker' ? maker : name;
      console.log(
        `${course.name}: ${player} ${time.toFixed(3)} s, ${gathered} of ${pickups} shells`,
      );
      return { player, run };
    });
    writeFileSync(path.join(__dirname, 'runs', `${slug}.json`), `${JSON.stringify(runs)}\n`);
  }
}

void main();
