import { useQuery } from '@tanstack/react-query';
import { useFonts } from 'expo-font';
import { router } from 'expo-router';
import { useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import type { Course } from '@/core/course';
import { Button, Choices, Fault, Loading, Page, Text } from '../../parts';
import { attemptsAt } from '../../state/attempts';
import { useCourse } from '../../state/courseStore';
import { useCourseOnServer } from '../../state/queries';
import { useHash } from '../../state/useBest';
import { useOpenCourse } from '../../state/useOpenCourse';
import { RUN_FONTS, SPACE, WIDE } from '../../theme';
import { RunList } from './RunList';
import { bestOf, rivalOf, runsKnown, type Against, type KnownRun } from './runsKnown';
import { SheetView } from './SheetView';
import { useSheet } from './useSheet';

/** What the maker's runs of a course tell. */
export function TimesScreen({ id }: { id: string }) {
  useFonts(RUN_FONTS);
  const { ready, error, retry } = useOpenCourse(id);
  const course = useCourse((s) => s.course);
  const kept = useQuery({
    queryKey: ['attempts', id],
    queryFn: () => attemptsAt(id),
    staleTime: 0,
  });
  const hash = useHash(course);
  const back = () =>
    router.canGoBack() ? router.back() : router.replace(`/course/${id}` as never);
  if (error && !ready) {
    return (
      <Fault
        title="The course cannot be opened"
        words={error.message}
        action={{ label: 'Try again', act: retry }}
      />
    );
  }
  if (!ready || !kept.data) return <Loading what="Looking for your runs" />;
  const runs = runsKnown(kept.data, hash);
  return (
    <Page title="Times" onBack={back}>
      {runs.length === 0 ? (
        <NoRuns id={id} before={kept.data.length} />
      ) : (
        <Times id={id} course={course} runs={runs} />
      )}
    </Page>
  );
}

function NoRuns({ id, before }: { id: string; before: number }) {
  return (
    <View style={{ gap: SPACE.m, alignItems: 'flex-start' }} testID="no-times">
      <Text tint="slate">
        {before === 0
          ? 'There is no run of this course on this device yet.'
          : 'The course has changed since your last run. Run it once more to see its times.'}
      </Text>
      <Button
        kind="main"
        title="Run it"
        icon="play"
        onPress={() => router.replace(`/course/${id}/run` as never)}
      />
    </View>
  );
}

const AGAINST: readonly { value: Against; label: string }[] = [
  { value: 'best', label: 'Best' },
  { value: 'proof', label: 'Proof' },
  { value: 'none', label: 'Nothing' },
];

interface TimesProps {
  readonly id: string;
  readonly course: Course;
  readonly runs: readonly KnownRun[];
}

function Times({ id, course, runs }: TimesProps) {
  const wide = useWindowDimensions().width >= WIDE;
  const { data } = useCourseOnServer(id);
  // Until one is touched, the latest, also when that becomes known a moment later.
  const [key, setKey] = useState<string | null>(null);
  const [against, setAgainst] = useState<Against>('best');
  const shown = runs.find((run) => run.key === key) ?? runs[0];
  const hash = shown.run.course;
  const proof = data?.proof?.run.course === hash ? data.proof.run : null;
  const rival = rivalOf(shown, against, runs, proof);
  const sheet = useSheet(course, shown.run, rival);
  const figures = sheet.data ? (
    <SheetView course={course} shown={shown} runs={runs} sheet={sheet.data} rival={rival} />
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
      <Choices
        label="Held against"
        value={against}
        options={AGAINST.filter(({ value }) => value !== 'proof' || proof !== null)}
        onChange={setAgainst}
      />
      <RunList runs={runs} shown={shown.key} best={bestOf(runs)?.key ?? null} onShow={setKey} />
    </>
  );
  return (
    <View style={{ flexDirection: wide ? 'row' : 'column', gap: wide ? SPACE.xl : SPACE.l }}>
      <View style={{ flex: wide ? 1.4 : undefined, gap: SPACE.l }}>{figures}</View>
      <View style={{ flex: wide ? 1 : undefined, gap: SPACE.m }}>{list}</View>
    </View>
  );
}
