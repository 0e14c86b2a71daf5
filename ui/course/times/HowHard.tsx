import { View } from 'react-native';
import type { Course } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import { checkpointNumber, familyOf, pieceName } from '@/core/pieces';
import type { Run } from '@/core/run';
import { TRIES, type Steadiness, type SteadySection, type SteadySpan } from '@/core/timing';
import { beginSteadiness } from '@/workers/timing';
import { Difficulty, percent, Text } from '../../parts';
import { SPACE, useColours } from '../../theme';
import { isWhole } from '../../state/attempts';
import { AskedSection } from '../parts/AskedSection';
import { sameRun, type KnownRun } from '../runs/runsKnown';
import { useAskedJob } from '../parts/useAskedJob';

/** Where a span leads. */
export function spanName(
  { mark, piece }: Pick<SteadySpan, 'mark' | 'piece'>,
  course: Course,
): string {
  if (mark === 'goal') return 'To the lantern';
  const cairn = course.pieces.find(({ id }) => id === piece);
  if (!cairn) return 'To the next mark';
  return `To ${cairn.name ?? `${familyOf(cairn.family).label.toLowerCase()} ${checkpointNumber(cairn)}`}`;
}

/** The sections in which most tries ended, the worst first. */
export const hardest = (sections: readonly SteadySection[]): SteadySection[] =>
  sections
    .filter(({ ended }) => ended > 0)
    .sort((a, b) => a.share - b.share)
    .slice(0, 3);

/** A section that ended tries, in words. */
export function sectionWords({ begin, end, piece }: SteadySection, course: Course): string {
  const seconds = (tick: number) => (tick / TICKS_PER_SECOND).toFixed(1);
  const found = course.pieces.find(({ id }) => id === piece);
  const by = found ? `, most by ${pieceName(found).toLowerCase()}` : '';
  return `From ${seconds(begin)} to ${seconds(end)} s${by}`;
}

/** Most other runs that are tried beside the one that is shown. */
const MOST_OTHERS = 2;

/** The runs that are tried beside one: the fastest others that got there from the start. */
export const othersBeside = (shown: KnownRun, runs: readonly KnownRun[]): Run[] =>
  runs
    .filter((run) => run.finished && isWhole(run) && !sameRun(run.run, shown.run))
    .sort((a, b) => a.time - b.time)
    .slice(0, MOST_OTHERS)
    .map(({ run }) => run);

interface HowHardProps {
  readonly course: Course;
  readonly run: Run;
  /** Other runs, whose steadiest spans count for the course. */
  readonly others?: readonly Run[];
}

/** Tries a run by an unsteady hand, when asked to, and tells how it went. */
export function HowHard({ course, run, others = [] }: HowHardProps) {
  const job = useAskedJob((progress) => beginSteadiness(course, run, others, TRIES, progress));
  return (
    <AskedSection
      title="How hard"
      words="The run is tried again and again by a hand as unsteady as people’s are."
      button={`Try it ${TRIES} times`}
      icon="activity"
      doing="Trying it"
      job={job}
      testID="how-hard"
    >
      {job.found && <Found found={job.found} course={course} runs={1 + others.length} />}
    </AskedSection>
  );
}

interface FoundProps {
  readonly found: Steadiness;
  readonly course: Course;
  /** How many runs were tried. */
  readonly runs: number;
}

function Found({ found, course, runs }: FoundProps) {
  const { difficulty, ownDifficulty, falls, spans, sections } = found;
  return (
    <View style={{ alignSelf: 'stretch', gap: SPACE.s }} testID="steady-found">
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: SPACE.m }}>
        <Difficulty value={difficulty} />
        <Text as="small">{`${falls < 10 ? falls.toFixed(1) : Math.round(falls)} falls to expect`}</Text>
      </View>
      <Text as="small" tint="slate">
        {runs > 1
          ? `By the steadiest of ${runs} runs in each part; this run alone is ${ownDifficulty.toFixed(1)}.`
          : 'By the line of this run alone; a steadier run may show it to be easier.'}
      </Text>
      {spans.map((span) => (
        <Row
          key={span.begin}
          words={spanName(span, course)}
          figures={percent(span.through / span.tries)}
          more={`${percent(span.low)} to ${percent(span.high)}`}
        />
      ))}
      {hardest(sections).map((section) => (
        <Row
          key={`section ${section.begin}`}
          words={sectionWords(section, course)}
          figures={percent(section.share)}
          more={section.asPress === null ? '' : `like ±${Math.round(section.asPress)} ms`}
        />
      ))}
    </View>
  );
}

interface RowProps {
  readonly words: string;
  readonly figures: string;
  readonly more: string;
}

function Row({ words, figures, more }: RowProps) {
  const colours = useColours();
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        minHeight: 34,
        gap: SPACE.s,
        borderTopWidth: 1,
        borderColor: colours.line,
      }}
    >
      <Text as="small" style={{ flex: 1 }}>
        {words}
      </Text>
      <Text as="smallFigures" tint="slate">
        {more}
      </Text>
      <Text as="figures" style={{ minWidth: 56, textAlign: 'right' }}>
        {figures}
      </Text>
    </View>
  );
}
