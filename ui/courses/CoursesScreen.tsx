import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { Button, Fault, Loading, Page, SearchField, Text } from '../parts';
import { useCourses } from '../state/queries';
import type { CourseInList } from '../state/unsent';
import { SPACE, WIDE } from '../theme';
import { CourseCard } from './CourseCard';
import { CourseMenu } from './CourseMenu';
import { CoursesBar } from './CoursesBar';
import { Folders } from './Folders';
import { ALL_SHOWN, coursesLike, shownOf, type Shown } from './shelves';
import { CourseSheets, type CourseSheet } from './CourseSheets';
import { Starters } from './Starters';
import { useCourseActions } from './useCourseActions';
import { useOpenedFile } from './useOpenedFile';
import { useSharedText } from './useSharedText';
import { coursePage, SERIES_PAGE, EXPLORE_PAGE } from '../device/routes';

const openCourse = (id: string) => router.push(coursePage(id));

/** The maker's own courses. */
export function CoursesScreen() {
  const courses = useCourses();
  const [sheet, setSheet] = useState<CourseSheet | null>(null);
  const [menu, setMenu] = useState<CourseInList | null>(null);
  const { keep, keeping, duplicate, remove } = useCourseActions(() => setSheet(null));
  useOpenedFile(keep);
  useSharedText(keep);
  const none = courses.data?.length === 0;
  const begin = () => setSheet('new');
  return (
    <Page title="My courses" actions={<CoursesBar onOpen={setSheet} />}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        <Button
          title="Explore"
          icon="compass"
          onPress={() => router.push(EXPLORE_PAGE)}
          testID="open-explore"
        />
        <Button
          title="Series"
          icon="list"
          onPress={() => router.push(SERIES_PAGE)}
          testID="open-series"
        />
      </View>
      {courses.isPending && <Loading what="Looking for your courses" />}
      {courses.isError && (
        <Fault
          title="Your courses cannot be listed"
          words={courses.error.message}
          action={{ label: 'Try again', act: () => void courses.refetch() }}
        />
      )}
      {none && <NoCourses onNew={begin} />}
      {courses.data && !none && <CourseList all={courses.data} onNew={begin} onMenu={setMenu} />}
      {courses.data && <Starters onCopy={keep} busy={keeping} prominent={none ?? false} />}
      <CourseSheets
        sheet={sheet}
        taken={(courses.data ?? []).map(({ name }) => name)}
        busy={keeping}
        onClose={() => setSheet(null)}
        onCourse={keep}
      />
      <CourseMenu
        item={menu}
        onClose={() => setMenu(null)}
        onDuplicate={duplicate}
        onDelete={remove}
      />
    </Page>
  );
}

interface CourseListProps {
  readonly all: readonly CourseInList[];
  readonly onNew: () => void;
  readonly onMenu: (course: CourseInList) => void;
}

function CourseList({ all, onNew, onMenu }: CourseListProps) {
  const { width } = useWindowDimensions();
  const [words, setWords] = useState('');
  const [shelf, setShelf] = useState<Shown>(ALL_SHOWN);
  // A folder whose last course has left it is there no longer.
  const on = shownOf(all, shelf).length > 0 ? shelf : ALL_SHOWN;
  const shown = useMemo(() => coursesLike(shownOf(all, on), words), [all, on, words]);
  const wide = width >= WIDE;
  const columns = wide ? 3 : width >= 640 ? 2 : 1;
  const folders = <Folders courses={all} shown={on} onShow={setShelf} upright={wide} />;
  return (
    <>
      <View style={{ flexDirection: 'row', gap: SPACE.m, alignItems: 'flex-start' }}>
        <View style={{ flex: 1 }}>
          <SearchField
            name="Search my courses"
            placeholder="Search"
            value={words}
            onChangeText={setWords}
          />
        </View>
        <Button kind="main" title="New" icon="plus" onPress={onNew} testID="new-course" />
      </View>
      {!wide && folders}
      {shown.length === 0 && <Text tint="slate">No course by that name.</Text>}
      <View style={{ flexDirection: 'row', gap: SPACE.l, alignItems: 'flex-start' }}>
        {wide && folders}
        <View style={{ flex: 1, flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.l }}>
          {shown.map((item) => (
            <CourseCard
              key={item.id}
              item={item}
              width={`${(100 - (columns - 1) * 2) / columns}%`}
              onOpen={openCourse}
              onMenu={onMenu}
            />
          ))}
        </View>
      </View>
    </>
  );
}

function NoCourses({ onNew }: { onNew: () => void }) {
  return (
    <View style={{ gap: SPACE.s }}>
      <Text as="text" tint="slate">
        Lay stepping stones over the tide, run them against the clock, and send somebody the link.
      </Text>
      <Button
        kind="main"
        title="Start an empty course"
        icon="plus"
        onPress={onNew}
        testID="new-course"
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}
