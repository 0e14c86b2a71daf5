import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { Series } from '@/core/protocol';
import {
  Button,
  copyText,
  CannotOpen,
  Fault,
  Loading,
  MakerLink,
  metres,
  Page,
  runTime,
  Text,
} from '../parts';
import { isNotThere } from '../state/api';
import { useSeries } from '../state/queries';
import { SPACE } from '../theme';
import { SeriesCourses } from './SeriesCourses';
import { SeriesEdit } from './SeriesEdit';
import { useSittings } from './sitting';
import { nextToRun } from './totals';
import { playRunPage, SERIES_PAGE, EXPLORE_PAGE, goBack } from '../device/routes';

const back = () => goBack(SERIES_PAGE);

/** Courses in an order, to be run one after the other; its maker changes it in place. */
export function SeriesScreen({ id, change }: { readonly id: string; readonly change: boolean }) {
  const { data, error, refetch } = useSeries(id);
  const [changing, setChanging] = useState(change);
  if (error && !data) {
    return isNotThere(error) ? (
      <Fault
        title="There is no such series"
        words="Its maker may have removed it. Ask for the link again, or look at the courses there are."
        action={{ label: 'Explore', act: () => router.replace(EXPLORE_PAGE) }}
      />
    ) : (
      <CannotOpen what="The series" error={error} onRetry={() => void refetch()} />
    );
  }
  if (!data) return <Loading what="Opening the series" />;
  return (
    <Page title={data.name} width={720} onBack={back}>
      {changing && data.own ? (
        <SeriesEdit series={data} onDone={() => setChanging(false)} />
      ) : (
        <Told series={data} onChange={() => setChanging(true)} />
      )}
    </Page>
  );
}

function Told({ series, onChange }: { readonly series: Series; readonly onChange: () => void }) {
  const { id, words, maker, sitting, courses, own } = series;
  const begin = useSittings((state) => state.begin);
  const best = useSittings((state) => state.best[id]);
  const next = nextToRun(courses, sitting);
  const run = (slug: string) => {
    if (sitting) begin(id);
    router.push(playRunPage(slug, id));
  };
  const length = courses.reduce((sum, course) => sum + course.length, 0);
  return (
    <>
      <Text as="small" tint="slate" testID="series-about">
        by <MakerLink name={maker} /> · {courses.length}{' '}
        {courses.length === 1 ? 'course' : 'courses'} · {metres(length)} ·{' '}
        {sitting ? 'in one sitting' : 'each by itself'}
      </Text>
      {words !== '' && <Text>{words}</Text>}
      {sitting && (
        <Text tint="slate">
          The clock goes on from course to course, and over every try.
          {best !== undefined && ` Your best sitting on this device: ${runTime(best)}.`}
        </Text>
      )}
      {next ? (
        <Button
          kind="main"
          title={runTitle(series)}
          icon="play"
          onPress={() => run(next.slug)}
          testID="series-run"
        />
      ) : (
        <Text tint="slate" testID="series-empty">
          {own
            ? 'Nothing is in it yet. Put published courses into it, in the order they are to be run.'
            : 'There is nothing in it to run yet.'}
        </Text>
      )}
      <SeriesCourses courses={courses} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        {own && <Button title="Change" icon="edit-2" onPress={onChange} testID="series-change" />}
        <Button
          title="Copy the link"
          icon="link"
          onPress={() => void copyText(`${window.location.origin}/series/${id}`, 'Link')}
        />
      </View>
    </>
  );
}

function runTitle({ sitting, courses }: Series): string {
  if (sitting) return 'Run all of it';
  const next = nextToRun(courses, false)!;
  return courses.some((course) => course.own !== null) && next.own === null
    ? `Go on with ${next.name}`
    : 'Run the series';
}
