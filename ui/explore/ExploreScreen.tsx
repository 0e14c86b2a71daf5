import { router, useLocalSearchParams } from 'expo-router';
import { useEffect, useState } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import { Button, Page, SearchField, Sheet, Text } from '../parts';
import { SPACE, WIDE } from '../theme';
import { ExploreCard } from './ExploreCard';
import { ExploreFilters } from './ExploreFilters';
import { askedOf, filtersOf, narrowing, ORDER_WORDS, paramsOf, type Filters } from './filters';
import { FoundCourses } from './FoundCourses';
import { useNewThisWeek } from './useExplore';
import { COURSES_PAGE, goBack } from '../device/routes';

/** Rest of the hand after which words are looked for, ms. */
const REST = 250;

/** Shared courses, to find, to run and to take apart. What is looked for stands in the address. */
export function ExploreScreen() {
  const { width } = useWindowDimensions();
  const wide = width >= WIDE;
  const filters = filtersOf(useLocalSearchParams());
  const set = (next: Filters) => router.setParams(paramsOf(next));
  const [sheet, setSheet] = useState(false);
  const count = narrowing(filters);
  return (
    <Page
      title="Explore"
      onBack={() => goBack(COURSES_PAGE)}
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
          <FoundCourses
            asked={askedOf(filters)}
            columns={wide ? 2 : width >= 640 ? 2 : 1}
            none={noneWords(filters)}
          />
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

/** Why nothing is found, and what to do. */
function noneWords(filters: Filters): string {
  if (filters.order === 'close') {
    return 'No course here has been finished by three players yet. Choose another order.';
  }
  if (filters.followed)
    return 'Nothing of makers you follow is like that. Their pages have “Follow”.';
  return narrowing(filters) > 0
    ? 'Nothing is like that. Show more kinds, or look for other words.'
    : 'No course or maker by that name.';
}
