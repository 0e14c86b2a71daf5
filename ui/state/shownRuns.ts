import { create } from 'zustand';
import { LINE_MARKS, type LineMarkKind } from '@/core/timing';
import { useCourse } from './courseStore';

/** Most runs shown beside the live one. */
export const MOST_PALES = 5;
/** Most runs one is held against: more lines than five nobody can tell apart. */
const MOST_BESIDE = 4;

/** Which recorded runs of the open course are shown, and how; forgotten when another is opened. */
interface ShownRuns {
  /** Keys of the runs shown running beside the live one; 'best' is whichever is at the time. */
  readonly pales: readonly string[];
  /** Whether the lines of the last runs lie over the course. */
  readonly lastLines: boolean;
  /** Keys of runs whose lines do besides. */
  readonly lines: readonly string[];
  /** Keys of the runs whose figures stand beside those of the one looked at; 'best' is whichever is at the time. */
  readonly beside: readonly string[];
  /** Whether it is shown in the scene where tries end. */
  readonly ends: boolean;
  /** What is marked on the lines. */
  readonly marks: readonly LineMarkKind[];
}

const USUAL: ShownRuns = {
  pales: ['best'],
  lastLines: false,
  lines: [],
  beside: ['best'],
  ends: false,
  marks: LINE_MARKS,
};

export const useShownRuns = create<ShownRuns>()(() => USUAL);

let last = '';
// Keys of one course's runs are nothing to another's; between two screens of one course none is open.
useCourse.subscribe(({ id }) => {
  if (id === '' || id === last) return;
  last = id;
  useShownRuns.setState(USUAL);
});

/** A list with something put in, or taken out where it was in. */
export const toggled = <T>(list: readonly T[], one: T): T[] =>
  list.includes(one) ? list.filter((other) => other !== one) : [...list, one];

/** Shows a run beside the live one, or no longer; of too many the one shown longest goes. */
export const togglePale = (key: string): void =>
  useShownRuns.setState(({ pales }) => ({ pales: toggled(pales, key).slice(-MOST_PALES) }));

/** Holds the run one looks at against another, or no longer; of too many the one picked longest ago goes. */
export const toggleBeside = (key: string): void =>
  useShownRuns.setState(({ beside }) => ({ beside: toggled(beside, key).slice(-MOST_BESIDE) }));

/** Shows a run's line on the course, or no longer. */
export const toggleLine = (key: string): void =>
  useShownRuns.setState(({ lines }) => ({ lines: toggled(lines, key) }));

/** Shows the lines of the last runs, or no longer. */
export const toggleLastLines = (): void =>
  useShownRuns.setState(({ lastLines }) => ({ lastLines: !lastLines }));

/** Shows where tries end, or no longer. */
export const toggleEnds = (): void => useShownRuns.setState(({ ends }) => ({ ends: !ends }));

/** Marks something on the lines, or no longer. */
export const toggleMark = (kind: LineMarkKind): void =>
  useShownRuns.setState(({ marks }) => ({ marks: toggled(marks, kind) }));

/** No line is shown any more. */
export const clearLines = (): void => useShownRuns.setState({ lines: [], lastLines: false });
