import { router } from 'expo-router';
import { Fragment, type ReactNode } from 'react';
import { View } from 'react-native';
import type { Course } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import { maySteer, type RunSheet } from '@/core/timing';
import { runTime, Text, timeGap } from '../../parts';
import { isWhole } from '../../state/attempts';
import { SPACE } from '../../theme';
import { BeatFigures } from './BeatFigures';
import { SideBySide } from './beside/SideBySide';
import { Fairness } from './fair/Fairness';
import { HowHard, othersBeside } from './HowHard';
import { MishapList } from '../runs/MishapList';
import { Openings } from '../parts/Openings';
import { PartsTable } from './PartsTable';
import type { KnownRun } from '../runs/runsKnown';
import { SheetCharts } from '../runs/SheetCharts';
import { SpentBar } from './SpentBar';
import { watchPage } from '../../device/routes';

interface SheetProps {
  readonly id: string;
  readonly course: Course;
  readonly shown: KnownRun;
  readonly runs: readonly KnownRun[];
  readonly sheet: RunSheet;
  /** What the runs it is held against are called, in their order. */
  readonly names: readonly string[];
  /** What can be done with it. */
  readonly children?: ReactNode;
}

/** All figures of one run. */
export function SheetView({ id, course, shown, runs, sheet, names, children }: SheetProps) {
  const rival = sheet.beside[0];
  const gap = rival?.finished && sheet.finished ? sheet.time - rival.time : null;
  const watch = (tick: number) => router.push(watchPage(id, shown.key, tick / TICKS_PER_SECOND));
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
      <SheetCharts sheet={sheet} names={names} />
      <PartsTable parts={sheet.parts} runs={runs} targets={course.targets} />
      <SideBySide name={shown.name} sheet={sheet} names={names} />
      <Fairness key={`fair ${shown.key}`} id={id} course={course} begun={shown} onWatch={watch} />
      {sheet.finished && isWhole(shown) && (
        <Fragment key={shown.key}>
          {maySteer(course) && (
            <HowHard course={course} run={shown.run} others={othersBeside(shown, runs)} />
          )}
          <Openings course={course} run={shown.run} />
        </Fragment>
      )}
      {sheet.beat && course.tempo && (
        <BeatFigures beat={sheet.beat} tempo={course.tempo} shifts={sheet.beatShifts} />
      )}
      <MishapList course={course} mishaps={sheet.mishaps} parts={sheet.parts} runs={runs} />
    </>
  );
}
