import { useMutation, useQueryClient } from '@tanstack/react-query';
import { router } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { Button, Fault, Field, Loading, runTime, Text } from '../parts';
import { FinishActions } from '../run/finish/FinishActions';
import { effortOf } from '../run/finish/effort';
import { FinishPanel } from '../run/finish/FinishPanel';
import { RunView } from '../run/RunView';
import type { Finished } from '../run/finish/finished';
import { ApiError, maySendAgain } from '../state/api';
import { useMe, usePublished } from '../state/queries';
import { useSettings } from '../device/settings';
import { SPACE } from '../theme';
import { sendRun } from '../state/waitingRuns';
import { useAttempts } from './attempts';
import { BestTimes } from './BestTimes';

/** A player's run of a published course. */
export function PlayRunScreen({ slug }: { slug: string }) {
  const { data, error, refetch } = usePublished(slug);
  const { attempts, seedOf, ready } = useAttempts(slug);
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
  if (!data || !ready) return <Loading what="Opening the course" />;
  return (
    <RunView
      course={data.course}
      seedOf={seedOf}
      leaveLabel="Leave the course"
      onLeave={leave}
      finished={(finished, again) => (
        <FinishPanel
          result={finished.result}
          targets={data.course.targets}
          effort={effortOf(data.course)}
          kind={data.course.kind}
        >
          <SendRun
            key={finished.run.seed}
            slug={slug}
            finished={finished}
            attempt={attempts.of(finished.run.seed)?.attempt}
          />
          <FinishActions leaveLabel="Leave" onAgain={again} onLeave={leave} />
        </FinishPanel>
      )}
    />
  );
}

interface SendRunProps {
  readonly slug: string;
  readonly finished: Finished;
  /** What it was begun with; nothing where the server was not in reach. */
  readonly attempt: string | undefined;
}

/** A finished run, to be sent in if it was begun with the server in reach. */
function SendRun({ attempt, ...props }: SendRunProps) {
  if (attempt !== undefined) return <Send {...props} attempt={attempt} />;
  return (
    <Text tint="slate" testID="run-unsent">
      The server was not in reach when this run began, so it counts on this device only.
    </Text>
  );
}

/** Sends a finished run; the server replays it and says the time. A run that cannot be sent waits. */
function Send({ slug, finished, attempt }: SendRunProps & { attempt: string }) {
  const client = useQueryClient();
  const me = useMe();
  const { player, set } = useSettings();
  const [name, setName] = useState(player);
  const send = useMutation({
    mutationFn: () =>
      sendRun({ slug, run: finished.run, attempt, player: name.trim() || undefined }),
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
        <Text testID="run-place">
          {runTime(send.data.time)} counts: place {send.data.place}.
        </Text>
        <BestTimes best={send.data.best} />
      </View>
    );
  }
  // A name that somebody has can be changed, and the run sent again.
  const taken = send.error instanceof ApiError && send.error.code === 'name-taken';
  const refused = send.error !== null && !taken && !maySendAgain(send.error);
  return (
    <View style={{ gap: SPACE.s }}>
      {send.error && (
        <Text tint="rust">
          {send.error.message}
          {refused || taken ? '' : ' The run is kept here until it is sent.'}
        </Text>
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
