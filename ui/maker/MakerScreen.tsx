import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns/format';
import { router } from 'expo-router';
import { useWindowDimensions, View } from 'react-native';
import type { MakerPage } from '@/core/protocol';
import { Chip, CannotOpen, Fault, Loading, Page, showToast, Text, triesWords } from '../parts';
import { FoundCourses } from '../explore/FoundCourses';
import { SeriesLines } from '../series/SeriesListScreen';
import { api, isNotThere } from '../state/api';
import { SPACE } from '../theme';
import { EXPLORE_PAGE, goBack } from '../device/routes';
import { KEYS } from '../state/keys';

/** Somebody who makes courses: what they published, their series, and who follows them. */
export function MakerScreen({ name }: { readonly name: string }) {
  const { width } = useWindowDimensions();
  const { data, error, refetch } = useQuery({
    queryKey: KEYS.maker(name),
    queryFn: ({ signal }) => api.makerPage(name, signal),
    retry: 1,
  });
  if (error && !data) {
    return isNotThere(error) ? (
      <Fault
        title="There is no such maker"
        words="They may have left, or be called otherwise now."
        action={{ label: 'Explore', act: () => router.replace(EXPLORE_PAGE) }}
      />
    ) : (
      <CannotOpen what="The maker’s page" error={error} onRetry={() => void refetch()} />
    );
  }
  if (!data) return <Loading what="Looking for the maker" />;
  return (
    <Page title={data.name} onBack={() => goBack(EXPLORE_PAGE)}>
      <Text as="small" tint="slate" testID="maker-about">
        {data.courses} {data.courses === 1 ? 'course' : 'courses'} published · here since{' '}
        {format(data.since, 'MMMM yyyy')}
        {data.courses > 0 && ` · ${triesWords(data)}`}
      </Text>
      <Followed data={data} />
      {data.series.length > 0 && (
        <View>
          <Text as="heading">Series</Text>
          <SeriesLines series={data.series} />
        </View>
      )}
      <View style={{ gap: SPACE.m }}>
        <Text as="heading">Courses</Text>
        <FoundCourses
          asked={{ maker: data.name, order: 'new' }}
          columns={width >= 640 ? 2 : 1}
          none="Nothing is published of theirs just now."
        />
      </View>
    </Page>
  );
}

/** How many follow a maker; whoever is not that maker may. */
function Followed({ data }: { readonly data: MakerPage }) {
  const { name, followers, followed, own } = data;
  const client = useQueryClient();
  const key = KEYS.maker(name);
  const shown = (now: Partial<MakerPage>) =>
    client.setQueryData<MakerPage>(key, (before) => before && { ...before, ...now });
  const follow = useMutation({
    mutationFn: (now: boolean) => api.follow(name, now),
    onMutate: (now) => shown({ followed: now, followers: followers + (now ? 1 : -1) }),
    onSuccess: (answer) => {
      shown(answer);
      void client.invalidateQueries({ queryKey: KEYS.explore });
      void client.invalidateQueries({ queryKey: KEYS.me });
    },
    onError: (error) => {
      shown({ followed, followers });
      showToast(error.message);
    },
  });
  const whom = own ? 'you' : 'them';
  const words =
    followers === 0
      ? `Nobody follows ${whom} yet`
      : `${followers} ${followers === 1 ? 'follows' : 'follow'} ${whom}`;
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.m }}>
      {!own && (
        <Chip
          role="checkbox"
          label={followed ? 'Followed' : 'Follow'}
          on={followed}
          onPress={() => follow.mutate(!followed)}
        />
      )}
      <Text as="small" tint="slate" testID="followers">
        {words}
      </Text>
    </View>
  );
}
