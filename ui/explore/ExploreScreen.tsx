import { router, useLocalSearchParams } from 'expo-router';
import { useEffect, useState } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import type { CourseFound } from '@/core/protocol';
import { Button, Fault, Loading, Page, SearchField, Sheet, Text } from '../parts';
import { SPACE, WIDE } from '../theme';
import { ExploreCard } from './ExploreCard';
import { ExploreFilters } from './ExploreFilters';
import { filtersOf, narrowing, ORDER_WORDS, paramsOf, type Filters } from './filters';
import { useExplore, useNewThisWeek } from './useExplore';

/** Rest of the hand after which words are looked for, ms. */
const REST = 250;

/** Shared courses, to find, to run and to take apart. What is looked for stands in the address. */
export function ExploreScreen() {
  const { width } = useWindowDimensions();
  const wide = width >= WIDE;
  const filters = filtersOf(useLocalSearchParams());
  const set = (next: Filters) => router.setParams(paramsOf(next) as never);
  const [sheet, setSheet] = useState(false);
  const count = narrowing(filters);
  return (
    <Page
      title="Explore"
      onBack={() => (router.canGoBack() ? router.back() : router.replace('/'))}
      actions={
        !wide && (
          <Button
            title={
              count > 0 ? `${ORDER_WORDS[filters.order]} · ${count}` : ORDER_WORDS[filters.order]
            }
            icon="sliders"
            onPress={() => setSheet(true)}
            testID="explore-filters"
          />
        )
      }
    >
      <View style={{ flexDirection: 'row', gap: SPACE.xl, alignItems: 'flex-start' }}>
        {wide && (
          <View style={{ width: 260 }}>
            <ExploreFilters filters={filters} onChange={set} />
          </View>
        )}
        <View style={{ flex: 1, minWidth: 0, gap: SPACE.l }}>
          <Words words={filters.words} onChange={(words) => set({ ...filters, words })} />
          <NewThisWeek wanted={!filters.words && count === 0 && filters.order !== 'new'} />
          <Found filters={filters} columns={wide ? 2 : width >= 640 ? 2 : 1} />
        </View>
      </View>
      <Sheet title="What to show" open={sheet && !wide} onClose={() => setSheet(false)}>
        <ExploreFilters filters={filters} onChange={set} />
      </Sheet>
    </Page>
  );
}

/** Words to look for: taken up when the hand rests. */
function Words({ words, onChange }: { words: string; onChange: (words: string) => void }) {
  const [typed, setTyped] = useState(words);
  useEffect(() => {
    if (typed.trim() === words) return;
    const rested = setTimeout(() => onChange(typed), REST);
    return () => clearTimeout(rested);
  }, [typed, words, onChange]);
  return (
    <SearchField
      name="Find a course or a maker"
      placeholder="Find a course or a maker"
      value={typed}
      onChangeText={setTyped}
      testID="explore-words"
    />
  );
}

/** A shelf of what came in the last seven days. */
function NewThisWeek({ wanted }: { wanted: boolean }) {
  const { data } = useNewThisWeek(wanted);
  if (!wanted || !data || data.length === 0) return null;
  return (
    <View style={{ gap: SPACE.s }} testID="explore-week">
      <Text as="heading">New this week</Text>
      <ScrollView horizontal contentContainerStyle={{ gap: SPACE.m, paddingBottom: SPACE.xs }}>
        {data.map((course) => (
          <ExploreCard key={course.slug} course={course} width={248} />
        ))}
      </ScrollView>
      <Text as="heading" style={{ marginTop: SPACE.m }}>
        All courses
      </Text>
    </View>
  );
}

function Found({ filters, columns }: { filters: Filters; columns: number }) {
  const found = useExplore(filters);
  if (found.isError && !found.data) {
    return (
      <Fault
        title="The courses cannot be listed"
        words={found.error.message}
        action={{ label: 'Try again', act: () => void found.refetch() }}
      />
    );
  }
  if (!found.data) return <Loading what="Looking for courses" />;
  const courses: readonly CourseFound[] = found.data.pages.flatMap((page) => page.courses);
  return (
    <>
      {courses.length === 0 && <Text tint="slate">{noneWords(filters)}</Text>}
      <View
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.l }}
        aria-busy={found.isPlaceholderData}
        testID="explore-found"
      >
        {courses.map((course) => (
          <ExploreCard
            key={course.slug}
            course={course}
            width={`${(100 - (columns - 1) * 2.4) / columns}%`}
          />
        ))}
      </View>
      {found.isError && <Text tint="rust">{found.error.message}</Text>}
      {found.hasNextPage && (
        <Button
          title="Show more"
          busy={found.isFetchingNextPage}
          onPress={() => void found.fetchNextPage()}
          testID="explore-more"
        />
      )}
    </>
  );
}

/** Why nothing is found, and what to do. */
function noneWords(filters: Filters): string {
  if (filters.order === 'close') {
    return 'No course here has been finished by three players yet. Choose another order.';
  }
  return narrowing(filters) > 0
    ? 'Nothing is like that. Show more kinds, or look for other words.'
    : 'No course or maker by that name.';
}
