import { router } from 'expo-router';
import { useEffect } from 'react';
import { View } from 'react-native';
import type { Series } from '@/core/protocol';
import { Button, runTime, Text } from '../parts';
import { SPACE } from '../theme';
import { useSittings } from './sitting';
import { courseAfter } from './totals';
import { playRunPage, seriesPage } from '../device/routes';

interface NextInSeriesProps {
  readonly series: Series;
  /** The course whose goal was reached. */
  readonly slug: string;
}

/** What comes after a course of a series: the next one, or that it was the last. */
export function NextInSeries({ series, slug }: NextInSeriesProps) {
  const next = courseAfter(series.courses, slug);
  const { now, best, end } = useSittings();
  const sitting = now?.series === series.id ? now : null;
  const isOver = !next && sitting !== null;
  useEffect(() => {
    if (isOver) end(series.courses.filter((one) => one.shown).map((one) => one.slug));
  }, [isOver, end, series.courses]);
  const place = series.courses.findIndex((course) => course.slug === slug) + 1;
  return (
    <View style={{ gap: SPACE.s }} testID="next-in-series">
      <Text as="small" tint="slate">
        {series.name}, {place} of {series.courses.length}
        {sitting && ` · ${runTime(sitting.spent)} on the clock`}
        {!next && series.sitting && best[series.id] !== undefined
          ? ` · best sitting ${runTime(best[series.id])}`
          : ''}
      </Text>
      {next ? (
        <Button
          kind="main"
          title={`Next: ${next.name}`}
          icon="skip-forward"
          onPress={() => router.replace(playRunPage(next.slug, series.id))}
          testID="series-next"
        />
      ) : (
        <Button
          kind="main"
          title="That was the last: to the series"
          icon="flag"
          onPress={() => router.dismissTo(seriesPage(series.id))}
          testID="series-done"
        />
      )}
    </View>
  );
}
