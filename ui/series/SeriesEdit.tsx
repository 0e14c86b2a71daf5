import { valibotResolver } from '@hookform/resolvers/valibot';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { router } from 'expo-router';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import * as v from 'valibot';
import { MAX_NAME } from '@/core/course';
import { MOST_IN_SERIES, SeriesBody, type Series } from '@/core/protocol';
import { Button, FormField, showToast, SortableList, Text, Toggle } from '../parts';
import { api } from '../state/api';
import { SPACE } from '../theme';
import { CoursePicker } from './CoursePicker';
import { SERIES_PAGE } from '../device/routes';
import { KEYS } from '../state/keys';

const SeriesForm = v.pick(SeriesBody, ['name', 'words']);

/** A course of the series while it is changed. */
type Kept = Pick<Series['courses'][number], 'slug' | 'name'>;

/** Name, words and courses of one's own series, put in order by hand. */
export function SeriesEdit({ series, onDone }: { series: Series; onDone: () => void }) {
  const form = useForm({
    resolver: valibotResolver(SeriesForm),
    mode: 'onChange',
    defaultValues: { name: series.name, words: series.words },
  });
  const [sitting, setSitting] = useState(series.sitting);
  const [courses, setCourses] = useState<readonly Kept[]>(series.courses);
  const { save, remove } = useSeriesChanges(series, onDone);
  const keep = ({ name, words = '' }: { name: string; words?: string }) =>
    save.mutate(
      { name, words, sitting, courses: courses.map(({ slug }) => slug) },
      { onError: (error) => form.setError('root', { message: error.message }) },
    );
  return (
    <>
      <FormField
        control={form.control}
        of="name"
        label="Name"
        maxLength={MAX_NAME}
        testID="series-name"
      />
      <FormField
        control={form.control}
        of="words"
        label="What it is about"
        multiline
        maxLength={500}
        testID="series-words"
      />
      <Toggle label="In one sitting: the clock goes on" value={sitting} onChange={setSitting} />
      <SeriesCourses courses={courses} onChange={setCourses} />
      {form.formState.errors.root && (
        <Text tint="rust" accessibilityRole="alert">
          {form.formState.errors.root.message}
        </Text>
      )}
      <View style={{ flexDirection: 'row', gap: SPACE.s }}>
        <Button title="Leave it as it was" onPress={onDone} style={{ flex: 1 }} />
        <Button
          kind="main"
          title="Keep"
          busy={save.isPending}
          onPress={form.handleSubmit(keep)}
          style={{ flex: 1 }}
          testID="series-keep"
        />
      </View>
      <Button
        kind="danger"
        title="Remove the series"
        icon="trash-2"
        busy={remove.isPending}
        onPress={() => remove.mutate()}
        style={{ alignSelf: 'flex-start' }}
        testID="series-remove"
      />
    </>
  );
}

interface SeriesCoursesProps {
  readonly courses: readonly Kept[];
  readonly onChange: (courses: readonly Kept[]) => void;
}

/** The courses of a series: put in order, taken out, and added. */
function SeriesCourses({ courses, onChange }: SeriesCoursesProps) {
  const [picking, setPicking] = useState(false);
  const move = (from: number, to: number) => {
    const order = [...courses];
    order.splice(to, 0, ...order.splice(from, 1));
    onChange(order);
  };
  const full = courses.length >= MOST_IN_SERIES;
  return (
    <>
      {courses.length > 0 && (
        <SortableList
          label="Courses, in the order they are run"
          items={courses.map(({ name }) => name)}
          onMove={move}
          onRemove={(removed) => onChange(courses.filter((_, i) => i !== removed))}
        />
      )}
      {full && <Text tint="slate">A series has at most {MOST_IN_SERIES} courses.</Text>}
      <Button
        title="Put a course into it"
        icon="plus"
        disabled={full}
        onPress={() => setPicking(true)}
        style={{ alignSelf: 'flex-start' }}
        testID="series-add"
      />
      <CoursePicker
        open={picking}
        without={courses.map(({ slug }) => slug)}
        onClose={() => setPicking(false)}
        onPick={(course) => onChange([...courses, course])}
      />
    </>
  );
}

/** Saves a series, or moves it to the bin. */
function useSeriesChanges(series: Series, onSaved: () => void) {
  const client = useQueryClient();
  const listAgain = () => {
    void client.invalidateQueries({ queryKey: KEYS.allSeries });
    void client.invalidateQueries({ queryKey: KEYS.makers });
  };
  const save = useMutation({
    mutationFn: (body: v.InferOutput<typeof SeriesBody>) => api.changeSeries(series.id, body),
    onSuccess: (kept) => {
      client.setQueryData(KEYS.series(series.id), kept);
      listAgain();
      onSaved();
    },
  });
  const remove = useMutation({
    mutationFn: () => api.removeSeries(series.id),
    onSuccess: () => {
      listAgain();
      void client.invalidateQueries({ queryKey: KEYS.bin });
      router.dismissTo(SERIES_PAGE);
      showToast(`${series.name} is in the bin.`, {
        label: 'Undo',
        act: () => void api.restore('series', series.id).then(listAgain, sayError),
      });
    },
    onError: sayError,
  });
  return { save, remove };
}

const sayError = (error: Error) => showToast(error.message);
