import type { Course } from '@/core/course';
import type { Best } from '../finish/finished';
import type { LiveRun } from '../liveRun';
import { fieldWords } from './fieldWords';
import { gatheredTally, type GatheredTally } from './gatheredTally';
import { latestWord, tallyOf, type Word } from './hudWords';

/** What is shown over a run beside its clock. */
export interface HudFacts {
  readonly word: Word | null;
  readonly fields: readonly string[];
  readonly tally: readonly string[];
  readonly gathered: GatheredTally;
  /** The leg, and of each checkpoint whether it was passed. */
  readonly passed: string;
}

/** What is shown over a run as it is now. */
export const hudFacts = (live: LiveRun, course: Course, best: Best | undefined): HudFacts => ({
  word: latestWord(live, best),
  fields: fieldWords(live.world, live.state),
  tally: tallyOf(live, course),
  gathered: gatheredTally(live.world, live.state),
  passed: `${live.state.leg} ${live.state.passed.join('')}`,
});

const sameList = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((words, i) => words === b[i]);

/** Whether two lots of facts are shown alike. */
export const sameFacts = (a: HudFacts, b: HudFacts): boolean =>
  a.word?.words === b.word?.words &&
  a.word?.good === b.word?.good &&
  a.gathered.count === b.gathered.count &&
  a.gathered.of === b.gathered.of &&
  a.passed === b.passed &&
  sameList(a.fields, b.fields) &&
  sameList(a.tally, b.tally);
