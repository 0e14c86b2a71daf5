import { RUNNER_TRAITS, type Course } from '../../course';
import { buildWorld, type Run, type RunState, type World } from '../../run';
import { standsOf } from '../way';
import { type Pressed, pressedOf } from '../pressed';
import { type RunTrace, traceOf } from '../trace';
import { centredRun } from './centre';
import { normalAt, wilson } from './statistics';
import { type Span, spansOf, spanStates, type TryEnd, trySpan } from './tries';

/** How often each span is tried. */
export const TRIES = 200;

/** A section of a run, from stand to stand, and how many tries ended in it. */
export interface SteadySection {
  readonly begin: number;
  readonly end: number;
  /** Tries that came to it, and that ended in it. */
  readonly entered: number;
  readonly ended: number;
  /** Share that came through, with its 95 % interval. */
  readonly share: number;
  readonly low: number;
  readonly high: number;
  /** The piece that ended most of those that ended, where pieces did. */
  readonly piece: string | null;
  /** As hard as one press that may be so many ms early or late; none where no try ended. */
  readonly asPress: number | null;
}

/** A part from mark to mark, and how many of its tries came through. */
export interface SteadySpan extends Span {
  readonly through: number;
  readonly tries: number;
  readonly low: number;
  readonly high: number;
}

/** How steady a hand a run asks for. */
export interface Steadiness {
  readonly spans: readonly SteadySpan[];
  readonly sections: readonly SteadySection[];
  /** Falls to expect on a run from the start to the goal. */
  readonly falls: number;
  /** From 1 to 10: of the steadiest line of each span, and of the run alone. */
  readonly difficulty: number;
  readonly ownDifficulty: number;
}

/** Spread of a press, ms, by which a section is told as one. */
const PRESS_MS = 35;

/** Difficulty from 1 to 10 for falls to expect: 0 gives 1, 100 and more 10, and each tenfold about as much again. */
export const difficultyOf = (falls: number): number =>
  1 + 9 * Math.min(1, Math.log(1 + falls) / Math.log(101));

/** Falls to expect where each span is tried until it is passed, by how many of its tries came through. */
export const fallsOf = (
  spans: readonly { readonly through: number; readonly tries: number }[],
): number =>
  spans.reduce((sum, { through, tries }) => {
    // None of so many through says no more than that it is fewer than one in two more.
    const share = Math.max(1 / (tries + 2), through / tries);
    return sum + 1 / share - 1;
  }, 0);

/** A run with its presses centred, ready to be tried span by span. */
interface SteadyLine {
  readonly trace: RunTrace;
  readonly pressed: Pressed;
  readonly spans: readonly Span[];
  readonly states: readonly RunState[];
}

function lineOf(course: Course, world: World, run: Run): SteadyLine {
  const centred = centredRun(course, world, run);
  const trace = traceOf(course, centred, world);
  const pressed = pressedOf(centred);
  const spans = spansOf(trace);
  return { trace, pressed, spans, states: spanStates(world, run, pressed, spans) };
}

/** How each of so many tries of each of a line's spans ended. */
function triesOf(
  world: World,
  { trace, pressed, spans, states }: SteadyLine,
  tries: number,
  progress: (part: number) => void,
): TryEnd[][] {
  const ends: TryEnd[][] = spans.map(() => []);
  for (let i = 0; i < tries; i++) {
    for (let at = 0; at < spans.length; at++) {
      ends[at].push(trySpan(world, states[at], trace, pressed, spans[at], 7919 * i + at + 1));
    }
    progress((i + 1) / tries);
  }
  return ends;
}

const toldSpan = (span: Span, ends: readonly TryEnd[]): SteadySpan => {
  const through = ends.filter((end) => end.through).length;
  return { ...span, through, tries: ends.length, ...wilson(through, ends.length) };
};

/** Whether tries by an unsteady hand say anything of a course: a stone that is flicked is steered along no line. */
export const maySteer = ({ runner }: Course): boolean => !RUNNER_TRAITS[runner.kind].struck;

/** What the tries of one run say: by its spans, and by its sections. */
export type TriedRun = Pick<Steadiness, 'spans' | 'sections'>;

/**
 * Tries each span of a finished run again and again, from mark to mark, by an unsteady hand that means to do what was
 * done.
 *
 * @param course the course as it was run
 * @param run a run that got there
 * @param tries how often each span is tried
 * @param progress is told the part that is done, 0 to 1
 * @throws ReplayRefused when the run is of another course or simulation
 */
export function triedRun(
  course: Course,
  run: Run,
  tries = TRIES,
  progress: (part: number) => void = () => {},
): TriedRun {
  const world = buildWorld(course);
  const line = lineOf(course, world, run);
  const ends = triesOf(world, line, tries, progress);
  return {
    spans: line.spans.map((span, at) => toldSpan(span, ends[at])),
    sections: sectionsOf(standsOf(line.trace.ground), line.spans, ends),
  };
}

/**
 * How steady a hand a run asks for. The course asks for no more than the steadiest line there is of each span: where
 * another run comes through the same span more often, that is told.
 * @param own what the run's tries say
 * @param others what those of other runs say
 */
export function steadinessOf(own: TriedRun, others: readonly TriedRun[] = []): Steadiness {
  const best = own.spans.map((span, at) =>
    others
      .flatMap(({ spans }) => (isSame(spans[at], span) ? [spans[at]] : []))
      .reduce((a, b) => (b.through > a.through ? b : a), span),
  );
  const falls = fallsOf(best);
  return {
    spans: best.map(({ through, low, high }, at) => ({ ...own.spans[at], through, low, high })),
    sections: own.sections,
    falls,
    difficulty: difficultyOf(falls),
    ownDifficulty: difficultyOf(fallsOf(own.spans)),
  };
}

/** Whether a span of another line leads to the same mark. */
const isSame = (other: SteadySpan | undefined, { mark, piece }: SteadySpan): boolean =>
  other !== undefined && other.mark === mark && other.piece === piece;

/** Ends booked to the section, from stand to stand, in which they happened. */
function sectionsOf(
  stands: readonly number[],
  spans: readonly Span[],
  ends: readonly (readonly TryEnd[])[],
): SteadySection[] {
  return stands.slice(0, -1).map((begin, i) => {
    const end = stands[i + 1];
    let entered = 0;
    const here: TryEnd[] = [];
    spans.forEach((span, at) => {
      if (span.end <= begin || span.begin >= end) return;
      for (const one of ends[at]) {
        if (one.through || one.tick >= begin) entered++;
        if (!one.through && one.tick >= begin && one.tick < end) here.push(one);
      }
    });
    const share = entered === 0 ? 1 : 1 - here.length / entered;
    return {
      begin,
      end,
      entered,
      ended: here.length,
      share,
      ...wilson(entered - here.length, entered),
      piece: mostOf(here.flatMap(({ piece }) => (piece ? [piece] : []))),
      asPress: here.length === 0 ? null : PRESS_MS * normalAt((1 + share) / 2),
    };
  });
}

/** What stands most often in a list, or null. */
function mostOf(names: readonly string[]): string | null {
  const counts = new Map<string, number>();
  for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1);
  let best: string | null = null;
  for (const [name, count] of counts) if (!best || count > counts.get(best)!) best = name;
  return best;
}
