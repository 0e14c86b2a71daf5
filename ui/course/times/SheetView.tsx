import { router } from 'expo-router';
import { Fragment, type ReactNode } from 'react';
import { View } from 'react-native';
import type { Course } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import type { RunSheet } from '@/core/timing';
import { runTime, Text, timeGap } from '../../parts';
import { isWhole } from '../../state/attempts';
import { SPACE } from '../../theme';
import { BeatFigures } from './BeatFigures';
import { Fairness } from './fair/Fairness';
import { HowHard, othersBeside } from './HowHard';
import { MishapList } from './MishapList';
import { Openings } from './Openings';
import { PartsTable } from './PartsTable';
import type { KnownRun } from './runsKnown';
import { SheetCharts } from './SheetCharts';
import { SpentBar } from './SpentBar';

interface SheetProps {
  readonly id: string;
  readonly course: Course;
  readonly shown: KnownRun;
  readonly runs: readonly KnownRun[];
  readonly sheet: RunSheet;
  /** What it is held against. */
  readonly rival: KnownRun | null;
  /** What can be done with it. */
  readonly children?: ReactNode;
}

/** All figures of one run. */
export function SheetView({ id, course, shown, runs, sheet, rival, children }: SheetProps) {
  const gap = rival && sheet.finished ? sheet.time - rival.run.claim : null;
  const watch = (tick: number) =>
    router.push(
      `/course/${id}/watch?run=${shown.key}&at=${(tick / TICKS_PER_SECOND).toFixed(2)}` as never,
    );
  return (
    <>
      <View style={{ gap: SPACE.xs }}>
        <Text as="smallStrong" tint="slate">
          {shown.name}
        </Text>
        <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: SPACE.m }}>
          <Text as="clock" testID="times-time">
            {runTime(sheet.time)}
          </Text>
          {gap !== null && (
            <Text as="figures" tint={gap > 0 ? 'rust' : 'moss'}>
              {timeGap(gap)}
            </Text>
          )}
        </View>
        {!sheet.finished && <Text tint="slate">It did not get to the lantern.</Text>}
      </View>
      {children}
      <SpentBar spent={sheet.spent} />
      <SheetCharts sheet={sheet} />
      <PartsTable parts={sheet.parts} runs={runs} targets={course.targets} />
      <Fairness key={`fair ${shown.key}`} id={id} course={course} begun={shown} onWatch={watch} />
      {sheet.finished && isWhole(shown) && (
        <Fragment key={shown.key}>
          <HowHard course={course} run={shown.run} others={othersBeside(shown, runs)} />
          <Openings course={course} run={shown.run} />
        </Fragment>
      )}
      {sheet.beat && course.tempo && <BeatFigures beat={sheet.beat} tempo={course.tempo} />}
      <MishapList course={course} mishaps={sheet.mishaps} parts={sheet.parts} runs={runs} />
    </>
  );
}
