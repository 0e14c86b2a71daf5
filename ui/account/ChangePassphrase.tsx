import { valibotResolver } from '@hookform/resolvers/valibot';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import * as v from 'valibot';
import { Passphrase } from '@/core/protocol';
import { Button, FormField, showToast } from '../parts';
import { api } from '../state/api';
import { SPACE } from '../theme';
import { KEYS } from '../state/keys';

const Change = v.object({
  old: v.pipe(v.string(), v.minLength(1, 'Give the passphrase you have now.')),
  fresh: Passphrase,
});

/** Another passphrase, for which the one of now is asked; it ends all sessions elsewhere. */
export function ChangePassphrase({ name }: { name: string }) {
  const [open, setOpen] = useState(false);
  return open ? (
    <ChangeForm name={name} onDone={() => setOpen(false)} />
  ) : (
    <Button title="Change the passphrase" icon="key" onPress={() => setOpen(true)} />
  );
}

function ChangeForm({ name, onDone }: { name: string; onDone: () => void }) {
  const client = useQueryClient();
  const form = useForm({
    resolver: valibotResolver(Change),
    defaultValues: { old: '', fresh: '' },
  });
  const change = useMutation({
    mutationFn: ({ old, fresh }: v.InferOutput<typeof Change>) => api.claimName(name, fresh, old),
    onSuccess: () => {
      onDone();
      void client.invalidateQueries({ queryKey: KEYS.me });
      showToast('The passphrase is changed. Everywhere else you are signed out.');
    },
    onError: (error) => form.setError('fresh', { message: error.message }),
  });
  return (
    <View style={{ gap: SPACE.s }}>
      <FormField
        control={form.control}
        of="old"
        label="Passphrase you have now"
        secureTextEntry
        testID="passphrase-old"
      />
      <FormField
        control={form.control}
        of="fresh"
        label="New passphrase"
        secureTextEntry
        testID="passphrase-new"
      />
      <View style={{ flexDirection: 'row', gap: SPACE.s }}>
        <Button title="Leave it" onPress={onDone} style={{ flex: 1 }} />
        <Button
          kind="main"
          title="Change it"
          busy={change.isPending}
          onPress={form.handleSubmit((values) => change.mutate(values))}
          style={{ flex: 1 }}
        />
      </View>
    </View>
  );
}
