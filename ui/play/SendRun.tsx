import { valibotResolver } from '@hookform/resolvers/valibot';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import * as v from 'valibot';
import { PlayerName } from '@/core/protocol';
import { useSettings } from '../device/settings';
import { Button, FormField, runTime, saveFile, Text, Toggle } from '../parts';
import type { Finished } from '../run/finish/finished';
import { ApiError, maySendAgain } from '../state/api';
import { useKeptHere } from '../state/keptHere';
import { useMe } from '../state/queries';
import { sendRun } from '../state/waitingRuns';
import { SPACE } from '../theme';
import { BestTimes } from './BestTimes';
import { KEYS } from '../state/keys';

/** A name, or none. */
const SendForm = v.object({
  player: v.lazy((input) =>
    typeof input === 'string' && input.trim() === '' ? v.pipe(v.string(), v.trim()) : PlayerName,
  ),
});

interface SendRunProps {
  readonly slug: string;
  readonly finished: Finished;
  /** The attempt the run began with; undefined where there was none. */
  readonly attempt: string | undefined;
  /** The reason why there was none. */
  readonly refusal?: Error | null;
}

/** A finished run, to be sent in if it was begun with the server in reach. */
export function SendRun({ attempt, refusal, ...props }: SendRunProps) {
  if (attempt !== undefined) return <Send {...props} attempt={attempt} />;
  const told = refusal instanceof ApiError && refusal.status !== 0 ? refusal.message : null;
  return (
    <Text tint="slate" testID="run-unsent">
      {told === null
        ? 'The server was not in reach when this run began, so it counts on this device only.'
        : `${told} This run was not entered for the list, so it counts on this device only.`}
    </Text>
  );
}

/** Sends a finished run; the server replays it and says the time. A run that cannot be sent waits. */
function Send({ slug, finished, attempt }: SendRunProps & { attempt: string }) {
  const client = useQueryClient();
  const me = useMe();
  const { player, openRuns, set } = useSettings();
  const form = useForm({ resolver: valibotResolver(SendForm), defaultValues: { player } });
  const send = useMutation({
    mutationFn: (name: string) =>
      sendRun({
        ...{ slug, attempt, open: openRuns },
        run: finished.run,
        player: name || undefined,
      }),
    onSuccess: (_, name) => {
      if (name) set({ player: name });
      void client.invalidateQueries({ queryKey: KEYS.published(slug) });
      for (const queryKey of [KEYS.explore, KEYS.allSeries, KEYS.me]) {
        void client.invalidateQueries({ queryKey });
      }
    },
  });
  const { mutate } = send;
  // Somebody whose name is known need not be asked again.
  const known = me.data?.name ?? (player || null);
  const sent = useRef(false);
  useEffect(() => {
    if (!known || sent.current || !me.isSuccess) return;
    sent.current = true;
    mutate(player);
  }, [known, me.isSuccess, mutate, player]);

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
      {send.error && <NotSent error={send.error} {...{ slug, finished, refused, taken }} />}
      {!me.data?.name && (
        <FormField
          control={form.control}
          of="player"
          label="Name for the list"
          maxLength={30}
          placeholder="Somebody"
          testID="player-name"
        />
      )}
      {!known && (
        <Toggle
          label="Others may run beside it"
          value={openRuns}
          onChange={(open) => set({ openRuns: open })}
        />
      )}
      {!refused && (
        <Button
          kind="main"
          title={send.error ? 'Send it again' : 'Send this run'}
          icon="send"
          busy={send.isPending}
          onPress={form.handleSubmit(({ player: name }) => mutate(name))}
          testID="send-run"
        />
      )}
    </View>
  );
}

interface NotSentProps extends Pick<SendRunProps, 'slug' | 'finished'> {
  readonly error: Error;
  /** Sending it again changes nothing. */
  readonly refused: boolean;
  /** The name is somebody else's. */
  readonly taken: boolean;
}

/** Why a run was not sent, what becomes of it, and the run as a file where nothing else keeps it. */
function NotSent({ slug, finished, error, refused, taken }: NotSentProps) {
  const notKept = useKeptHere(({ fails }) => fails);
  const waits = !refused && !taken && !notKept;
  const lost = notKept && !refused;
  return (
    <>
      <Text tint="rust">
        {error.message}
        {waits && ' It is kept here, and sent again by itself.'}
        {lost && ' This browser keeps nothing: save it before you leave.'}
      </Text>
      {lost && (
        <Button
          title="Save the run as a file"
          icon="download"
          onPress={() => saveFile(`${slug}.run.json`, JSON.stringify(finished.run))}
        />
      )}
    </>
  );
}
