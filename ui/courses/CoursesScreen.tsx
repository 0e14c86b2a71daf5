import { useMutation, useQueryClient } from '@tanstack/react-query';
import Fuse from 'fuse.js';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import type { Course } from '@/core/course';
import type { CourseListed } from '@/core/protocol';
import { Button, Fault, Field, IconButton, Loading, Page, showToast, Text } from '../parts';
import { api } from '../state/api';
import { useCourses, useCreateCourse } from '../state/queries';
import { SPACE, WIDE } from '../theme';
import { AccountSheet } from '../account/AccountSheet';
import { BinSheet } from './BinSheet';
import { CourseCard } from './CourseCard';
import { CourseMenu } from './CourseMenu';
import { NewSheet } from './NewSheet';
import { OpenSheet } from './OpenSheet';
import { Starters } from './Starters';
import { useDroppedFile } from './useDroppedFile';

type Sheets = 'new' | 'open' | 'account' | 'bin' | null;

const openCourse = (id: string) => router.push(`/course/${id}` as never);

/** The maker's own courses. */
export function CoursesScreen() {
  const { width } = useWindowDimensions();
  const client = useQueryClient();
  const courses = useCourses();
  const create = useCreateCourse();
  const [words, setWords] = useState('');
  const [sheet, setSheet] = useState<Sheets>(null);
  const [menu, setMenu] = useState<CourseListed | null>(null);

  const shown = useMemo(() => {
    const all = courses.data ?? [];
    if (!words.trim()) return all;
    return new Fuse(all, { keys: ['name'], threshold: 0.4 }).search(words).map(({ item }) => item);
  }, [courses.data, words]);

  const keep = (course: Course, then: 'open' | 'stay' = 'open') =>
    create.mutate(course, {
      onSuccess: ({ id }) => {
        setSheet(null);
        if (then === 'open') router.push(`/course/${id}` as never);
        else showToast('Duplicated.');
      },
      onError: (error) => showToast(error.message),
    });
  useDroppedFile(keep);

  const remove = useMutation({
    mutationFn: (course: CourseListed) => api.remove(course.id),
    onSuccess: (_, { id, name }) => {
      void client.invalidateQueries({ queryKey: ['courses'] });
      void client.invalidateQueries({ queryKey: ['bin'] });
      showToast(`${name} is in the bin.`, {
        label: 'Undo',
        act: () =>
          void api
            .restore('courses', id)
            .then(() => client.invalidateQueries({ queryKey: ['courses'] }))
            .catch((error: Error) => showToast(error.message)),
      });
    },
    onError: (error) => showToast(error.message),
  });

  const columns = width >= WIDE ? 3 : width >= 640 ? 2 : 1;
  const none = courses.data?.length === 0;
  return (
    <Page
      title="My courses"
      actions={
        <>
          <IconButton
            icon="folder"
            label="Open a code or file"
            onPress={() => setSheet('open')}
            testID="open-course"
          />
          <IconButton icon="trash" label="Bin" onPress={() => setSheet('bin')} testID="open-bin" />
          <IconButton
            icon="help-circle"
            label="Keys and help"
            hint="?"
            onPress={() => router.push('/help')}
          />
          <IconButton
            icon="user"
            label="Account and settings"
            onPress={() => setSheet('account')}
            testID="account"
          />
        </>
      }
    >
      {courses.isPending && <Loading what="Looking for your courses" />}
      {courses.isError && (
        <Fault
          title="Your courses cannot be listed"
          words={courses.error.message}
          action={{ label: 'Try again', act: () => void courses.refetch() }}
        />
      )}
      {courses.data && !none && (
        <View style={{ flexDirection: 'row', gap: SPACE.m, alignItems: 'flex-start' }}>
          <View style={{ flex: 1 }}>
            <Field
              name="Search my courses"
              placeholder="Search"
              value={words}
              onChangeText={setWords}
            />
          </View>
          <Button
            kind="main"
            title="New"
            icon="plus"
            onPress={() => setSheet('new')}
            testID="new-course"
          />
        </View>
      )}
      {courses.data && !none && shown.length === 0 && (
        <Text tint="slate">No course by that name.</Text>
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.l }}>
        {shown.map((item) => (
          <CourseCard
            key={item.id}
            item={item}
            width={`${(100 - (columns - 1) * 1.6) / columns}%`}
            onOpen={openCourse}
            onMenu={setMenu}
          />
        ))}
      </View>
      {none && (
        <View style={{ gap: SPACE.s }}>
          <Text as="text" tint="slate">
            Lay stepping stones over the tide, run them against the clock, and send somebody the
            link.
          </Text>
          <Button
            kind="main"
            title="Start an empty course"
            icon="plus"
            onPress={() => setSheet('new')}
            testID="new-course"
            style={{ alignSelf: 'flex-start' }}
          />
        </View>
      )}
      {courses.data && <Starters onCopy={keep} busy={create.isPending} prominent={none ?? false} />}
      <NewSheet
        open={sheet === 'new'}
        taken={(courses.data ?? []).map(({ name }) => name)}
        busy={create.isPending}
        onClose={() => setSheet(null)}
        onMake={keep}
      />
      <OpenSheet open={sheet === 'open'} onClose={() => setSheet(null)} onCourse={keep} />
      <BinSheet open={sheet === 'bin'} onClose={() => setSheet(null)} />
      <AccountSheet open={sheet === 'account'} onClose={() => setSheet(null)} />
      <CourseMenu
        item={menu}
        onClose={() => setMenu(null)}
        onDuplicate={({ id, name }) =>
          void api
            .course(id)
            .then(({ course }) => keep({ ...course, name: `${name} copy`.slice(0, 60) }, 'stay'))
            .catch((error: Error) => showToast(error.message))
        }
        onDelete={(item) => remove.mutate(item)}
      />
    </Page>
  );
}
