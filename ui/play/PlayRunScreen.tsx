import { useMutation, useQueryClient } from '@tanstack/react-query';
import { router } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { Button, Fault, Field, Loading, runTime, Words } from '../parts';
import { FinishActions } from '../run/FinishActions';
import { effortOf, FinishPanel } from '../run/FinishPanel';
import { RunView, type Finished } from '../run/RunView';
import { api, ApiError } from '../state/api';
import { useMe, usePublished } from '../state/queries';
import { useSettings } from '../state/settings';
import { SPACE } from '../theme';
import { BestTimes } from './BestTimes';

/** A player's run of a published course. */
export function PlayRunScreen({ slug }: { slug: string }) {
  const { data, error, refetch } = usePublished(slug);
  const leave = () =>
    router.canGoBack() ? router.back() : router.replace(`/play/${slug}` as never);
  if (error && !data) {
    return (
      <Fault
        title="The course cannot be opened"
        words={error.message}
        action={{ label: 'Try again', act: () => void refetch() }}
      />
    );
  }
  if (!data) return <Loading what="Opening the course" />;
  return (
    <RunView
      course={data.course}
      leaveLabel="Leave the course"
      onLeave={leave}
      finished={(finished, again) => (
        <FinishPanel
          result={finished.result}
          targets={data.course.targets}
          effort={effortOf(data.course)}
          kind={data.course.kind}
        >
          <SendRun key={finished.run.claim} slug={slug} finished={finished} />
          <FinishActions leaveLabel="Leave" onAgain={again} onLeave={leave} />
        </FinishPanel>
      )}
    />
  );
}

/** Sends a finished run; the server replays it and says the time. A run that cannot be sent waits. */
function SendRun({ slug, finished }: { slug: string; finished: Finished }) {
  const client = useQueryClient();
  const me = useMe();
  const { player, set } = useSettings();
  const [name, setName] = useState(player);
  const send = useMutation({
    mutationFn: () => api.sendRun(slug, finished.run, name.trim()),
    onSuccess: () => {
      if (name.trim()) set({ player: name.trim() });
      void client.invalidateQueries({ queryKey: ['published', slug] });
      void client.invalidateQueries({ queryKey: ['me'] });
    },
  });
  const { mutate } = send;
  // Somebody whose name is known need not be asked again.
  const known = me.data?.name ?? (player || null);
  const sent = useRef(false);
  useEffect(() => {
    if (!known || sent.current || !me.isSuccess) return;
    sent.current = true;
    mutate();
  }, [known, me.isSuccess, mutate]);

  if (send.data) {
    return (
      <View style={{ gap: SPACE.s }}>
        <Words testID="run-place">
          {runTime(send.data.time)} counts: place {send.data.place}.
        </Words>
        <BestTimes best={send.data.best} />
      </View>
    );
  }
  const refused =
    send.error instanceof ApiError &&
    send.error.code !== 'busy' &&
    send.error.status >= 400 &&
    send.error.status < 500;
  return (
    <View style={{ gap: SPACE.s }}>
      {send.error && (
        <Words tint="rust">
          {send.error.message}
          {refused ? '' : ' The run is kept here until it is sent.'}
        </Words>
      )}
      {!me.data?.name && (
        <Field
          label="Name for the list"
          value={name}
          onChangeText={setName}
          maxLength={30}
          placeholder="Somebody"
          testID="player-name"
        />
      )}
      {!refused && (
        <Button
          kind="main"
          title={send.error ? 'Send it again' : 'Send this run'}
          icon="send"
          busy={send.isPending}
          onPress={() => mutate()}
          testID="send-run"
        />
      )}
    </View>
  );
}
