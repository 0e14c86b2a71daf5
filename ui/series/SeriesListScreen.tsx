import { valibotResolver } from '@hookform/resolvers/valibot';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { router } from 'expo-router';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import * as v from 'valibot';
import { MAX_NAME } from '@/core/course';
import { SeriesBody, type SeriesListed } from '@/core/protocol';
import {
  ago,
  Button,
  Fault,
  Feather,
  FormField,
  ListItem,
  Loading,
  Page,
  Sheet,
  Text,
} from '../parts';
import { api } from '../state/api';
import { useAllSeries } from '../state/queries';
import { useColours } from '../theme';
import { seriesPage, COURSES_PAGE, goBack } from '../device/routes';
import { KEYS } from '../state/keys';

const openSeries = (id: string, change = false) => router.push(seriesPage(id, change));

/** One's own series. */
export function SeriesListScreen() {
  const { data, error, refetch } = useAllSeries();
  const [making, setMaking] = useState(false);
  return (
    <Page
      title="Series"
      width={720}
      onBack={() => goBack(COURSES_PAGE)}
      actions={
        <Button
          kind="main"
          title="New"
          icon="plus"
          onPress={() => setMaking(true)}
          testID="new-series"
        />
      }
    >
      <Text tint="slate">
        Published courses in an order, with one link: at the goal of each the next comes up.
      </Text>
      {error && !data && (
        <Fault
          title="Your series cannot be listed"
          words={error.message}
          action={{ label: 'Try again', act: () => void refetch() }}
        />
      )}
      {!error && !data && <Loading what="Looking for your series" />}
      {data?.length === 0 && <Text testID="no-series">You have none yet.</Text>}
      <SeriesLines series={data ?? []} />
      <Button
        title="Open the one of Lantern Week"
        icon="sunset"
        onPress={() => openSeries('lantern-week')}
        style={{ alignSelf: 'flex-start' }}
        testID="demo-series"
      />
      <Sheet title="A new series" open={making} onClose={() => setMaking(false)}>
        {making && <NewSeries onMade={() => setMaking(false)} />}
      </Sheet>
    </Page>
  );
}

/** Series as lines that open them. */
export function SeriesLines({ series }: { readonly series: readonly SeriesListed[] }) {
  const colours = useColours();
  return (
    <View>
      {series.map(({ id, name, courses, sitting, changed }) => (
        <ListItem key={id} onPress={() => openSeries(id)} testID={`series-${id}`}>
          <Feather name="list" size={20} color={colours.slate} />
          <View style={{ flex: 1, minWidth: 0 }}>
            <Text as="strong" numberOfLines={1}>
              {name}
            </Text>
            <Text as="small" tint="slate" numberOfLines={1}>
              {courses} {courses === 1 ? 'course' : 'courses'}
              {sitting ? ' in one sitting' : ''} · {ago(changed)}
            </Text>
          </View>
        </ListItem>
      ))}
    </View>
  );
}

const NewForm = v.pick(SeriesBody, ['name']);

function NewSeries({ onMade }: { readonly onMade: () => void }) {
  const client = useQueryClient();
  const form = useForm({ resolver: valibotResolver(NewForm), defaultValues: { name: '' } });
  const make = useMutation({
    mutationFn: (name: string) =>
      api.createSeries({ name, words: '', sitting: false, courses: [] }),
    onSuccess: (made) => {
      client.setQueryData(KEYS.series(made.id), made);
      void client.invalidateQueries({ queryKey: KEYS.allSeries, exact: true });
      void client.invalidateQueries({ queryKey: KEYS.me });
      onMade();
      openSeries(made.id, true);
    },
    onError: (error) => form.setError('name', { message: error.message }),
  });
  const submit = form.handleSubmit(({ name }) => make.mutate(name));
  return (
    <>
      <FormField
        control={form.control}
        of="name"
        label="Name"
        maxLength={MAX_NAME}
        onSubmitEditing={submit}
        testID="new-series-name"
      />
      <Button
        kind="main"
        title="Make it"
        busy={make.isPending}
        onPress={submit}
        testID="make-series"
      />
    </>
  );
}
