import { useFonts } from 'expo-font';
import { router } from 'expo-router';
import { useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import type { Course } from '@/core/course';
import { slugOf } from '@/core/formats';
import { timesCsv } from '@/core/timing';
import { Button, CannotOpen, Fault, Loading, Page, saveFile, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useOpenCourse } from '../../state/useOpenCourse';
import { RUN_FONTS, SPACE, WIDE } from '../../theme';
import { BesideChoice } from './beside/BesideChoice';
import { useRunsBeside } from '../runs/useRunsBeside';
import { EndsList } from './EndsList';
import { LinesChoice } from './LinesChoice';
import { OpenRun } from './OpenRun';
import { RunList } from './RunList';
import type { KnownRun } from '../runs/runsKnown';
import { RunUses } from './RunUses';
import { SheetView } from './SheetView';
import { useKnownRuns, type KnownRuns } from '../runs/useKnownRuns';
import { useSheet } from '../runs/useSheet';
import { coursePage, runPage, goBack } from '../../device/routes';

/** What the maker's runs of a course tell. */
export function TimesScreen({ id }: { id: string }) {
  useFonts(RUN_FONTS);
  const { ready, error, retry } = useOpenCourse(id);
  const course = useCourse((s) => s.course);
  const known = useKnownRuns(id, course);
  const back = () => goBack(coursePage(id));
  if (error && !ready) return <CannotOpen what="The course" error={error} onRetry={retry} />;
  if (!ready || !known.runs) return <Loading what="Looking for your runs" />;
  return (
    <Page title="Times" onBack={back}>
      {known.runs.length === 0 ? (
        <NoRuns id={id} course={course} before={known.attempts} />
      ) : (
        <Times id={id} course={course} runs={known.runs} known={known} />
      )}
    </Page>
  );
}

function NoRuns({ id, course, before }: { id: string; course: Course; before: number }) {
  return (
    <View style={{ gap: SPACE.m, alignItems: 'flex-start' }} testID="no-times">
      <Text tint="slate">
        {before === 0
          ? 'There is no run of this course on this device yet.'
          : 'The course has changed since your last run. Run it once more to see its times.'}
      </Text>
      <Button kind="main" title="Run it" icon="play" onPress={() => router.replace(runPage(id))} />
      <OpenRun id={id} course={course} />
    </View>
  );
}

const csvName = ({ name }: Course): string => `${slugOf(name) || 'course'}-times.csv`;

interface TimesProps {
  readonly id: string;
  readonly course: Course;
  /** At least one. */
  readonly runs: readonly KnownRun[];
  readonly known: KnownRuns;
}

function Times({ id, course, runs, known }: TimesProps) {
  const wide = useWindowDimensions().width >= WIDE;
  // Until one is touched, the latest, also when that becomes known a moment later.
  const [key, setKey] = useState<string | null>(null);
  const shown = runs.find((run) => run.key === key) ?? runs[0];
  const sheet = useSheet(course, shown, useRunsBeside(shown, known.find));
  const figures = sheet.data ? (
    <SheetView {...{ id, course, shown, runs }} sheet={sheet.data.sheet} names={sheet.data.names}>
      <RunUses id={id} course={course.name} shown={shown} />
    </SheetView>
  ) : sheet.error ? (
    <Fault
      title="Its figures cannot be read"
      words={sheet.error.message}
      action={{ label: 'Try again', act: () => void sheet.refetch() }}
    />
  ) : (
    <Loading what="Playing it again" />
  );
  const list = (
    <>
      <BesideChoice known={known} />
      <RunList runs={runs} shown={shown.key} best={known.best?.key ?? null} onShow={setKey} />
      <EndsList runs={runs} />
      <LinesChoice />
      <OpenRun id={id} course={course} />
      <Button
        title="Save as a table"
        icon="download"
        onPress={() => saveFile(csvName(course), timesCsv(runs), 'text/csv')}
        testID="times-csv"
      />
    </>
  );
  return (
    <View style={{ flexDirection: wide ? 'row' : 'column', gap: wide ? SPACE.xl : SPACE.l }}>
      <View style={{ flex: wide ? 1.4 : undefined, gap: SPACE.l }}>{figures}</View>
      <View style={{ flex: wide ? 1 : undefined, gap: SPACE.m }}>{list}</View>
    </View>
  );
}
