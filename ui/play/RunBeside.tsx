import { useMutation, useQueryClient } from '@tanstack/react-query';
import { View } from 'react-native';
import { MAKERS_RUN, type PublishedCourse } from '@/core/protocol';
import { useSettings } from '../device/settings';
import { Chip, runTime, showToast, Text, Toggle } from '../parts';
import { api } from '../state/api';
import { SPACE } from '../theme';
import { besideKeys, toggleBesideRun, useBesideRuns } from './besideRuns';
import { BestTimes } from './BestTimes';
import { KEYS } from '../state/keys';

/** The best times, whose runs can be shown beside one's own, and whether others may run beside one's own. */
export function RunBeside({ data }: { readonly data: PublishedCourse }) {
  const of = useBesideRuns((s) => s.of);
  const keys = besideKeys(data, of);
  const toggle = (key: string) => toggleBesideRun(data, key);
  const own = data.best.some((one) => one.own);
  const client = useQueryClient();
  const remove = useMutation({
    mutationFn: (run: string) => api.removeRun(data.slug, run),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: KEYS.published(data.slug) });
      showToast('The run is off the list.');
    },
    onError: (problem) => showToast(problem.message),
  });
  if (data.best.length === 0 && data.makerTime === null) return <BestTimes best={data.best} />;
  return (
    <View style={{ gap: SPACE.m }}>
      <BestTimes
        best={data.best}
        beside={{ keys, toggle }}
        onRemove={data.own ? ({ run }) => remove.mutate(run!) : undefined}
      />
      {data.makerTime !== null && (
        <View
          style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: SPACE.s }}
        >
          <Chip
            role="checkbox"
            label={`Run beside ${data.maker}, who made it: ${runTime(data.makerTime)}`}
            on={keys.includes(MAKERS_RUN)}
            onPress={() => toggle(MAKERS_RUN)}
          />
        </View>
      )}
      <Text as="small" tint="slate" testID="beside-count">
        {besideWords(keys.length)}
      </Text>
      {own && <OpenRuns slug={data.slug} />}
    </View>
  );
}

/** How many go along, in words. */
function besideWords(count: number): string {
  if (count === 0) return 'Touch a run to have it go along as a pale runner when you run.';
  return `${count === 1 ? 'One pale runner goes' : `${count} pale runners go`} along when you run.`;
}

/** Whether others may run beside one's own run, of this course and of those that come. */
function OpenRuns({ slug }: { readonly slug: string }) {
  const client = useQueryClient();
  const { openRuns, set } = useSettings();
  const change = useMutation({
    mutationFn: (open: boolean) => api.openRun(slug, open),
    onSuccess: (_, open) => {
      set({ openRuns: open });
      void client.invalidateQueries({ queryKey: KEYS.published(slug) });
    },
    onError: (problem) => showToast(problem.message),
  });
  return (
    <Toggle
      label="Others may run beside mine"
      value={change.isPending ? change.variables : openRuns}
      onChange={(open) => change.mutate(open)}
    />
  );
}
