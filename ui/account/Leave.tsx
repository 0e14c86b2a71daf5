import { valibotResolver } from '@hookform/resolvers/valibot';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import * as v from 'valibot';
import { Button, FormField, showToast, Text } from '../parts';
import { ALL_DATA, api } from '../state/api';
import { forgetAnswers } from '../state/keptAnswers';
import { SPACE } from '../theme';

const Sure = v.object({
  passphrase: v.pipe(v.string(), v.minLength(1, 'Give the passphrase you have now.')),
});

/** All that is kept of one as a file, and a way to have it deleted. */
export function Leave() {
  const [asked, setAsked] = useState(false);
  return (
    <View style={{ gap: SPACE.s }}>
      <Button
        title="Take all my data"
        icon="archive"
        onPress={() => window.location.assign(ALL_DATA)}
        testID="all-data"
      />
      {asked ? (
        <AreYouSure onDone={() => setAsked(false)} />
      ) : (
        <Button
          kind="danger"
          title="Delete me"
          icon="user-x"
          onPress={() => setAsked(true)}
          testID="leave"
        />
      )}
    </View>
  );
}

function AreYouSure({ onDone }: { onDone: () => void }) {
  const client = useQueryClient();
  const form = useForm({ resolver: valibotResolver(Sure), defaultValues: { passphrase: '' } });
  const leave = useMutation({
    mutationFn: ({ passphrase }: v.InferOutput<typeof Sure>) => api.leave(passphrase),
    onSuccess: async () => {
      await forgetAnswers();
      void client.resetQueries();
      onDone();
      showToast('You and all that was yours are deleted.');
    },
    onError: (error) => form.setError('passphrase', { message: error.message }),
  });
  return (
    <View style={{ gap: SPACE.s }}>
      <Text>
        Your courses, what is published of them with its times, your runs and recordings are deleted
        at once and for good. What others copied stays theirs.
      </Text>
      <FormField
        control={form.control}
        of="passphrase"
        label="Passphrase you have now"
        secureTextEntry
        testID="leave-passphrase"
      />
      <View style={{ flexDirection: 'row', gap: SPACE.s }}>
        <Button title="Stay" onPress={onDone} style={{ flex: 1 }} />
        <Button
          kind="danger"
          title="Delete me for good"
          busy={leave.isPending}
          onPress={form.handleSubmit((values) => leave.mutate(values))}
          style={{ flex: 1 }}
          testID="leave-sure"
        />
      </View>
    </View>
  );
}
