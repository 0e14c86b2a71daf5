import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, Field, showToast } from '../parts';
import { api } from '../state/api';
import { SPACE } from '../theme';

/** Another passphrase, for which the one of now is asked; it ends all sessions elsewhere. */
export function ChangePassphrase({ name }: { name: string }) {
  const client = useQueryClient();
  const [open, setOpen] = useState(false);
  const [old, setOld] = useState('');
  const [fresh, setFresh] = useState('');
  const close = () => {
    setOpen(false);
    setOld('');
    setFresh('');
  };
  const change = useMutation({
    mutationFn: () => api.claimName(name, fresh, old),
    onSuccess: () => {
      close();
      void client.invalidateQueries({ queryKey: ['me'] });
      showToast('The passphrase is changed. Everywhere else you are signed out.');
    },
  });
  if (!open) {
    return <Button title="Change the passphrase" icon="key" onPress={() => setOpen(true)} />;
  }
  return (
    <View style={{ gap: SPACE.s }}>
      <Field
        label="Passphrase you have now"
        secureTextEntry
        value={old}
        onChangeText={setOld}
        testID="passphrase-old"
      />
      <Field
        label="New passphrase"
        secureTextEntry
        value={fresh}
        onChangeText={setFresh}
        error={change.error?.message}
        testID="passphrase-new"
      />
      <View style={{ flexDirection: 'row', gap: SPACE.s }}>
        <Button title="Leave it" onPress={close} style={{ flex: 1 }} />
        <Button
          kind="main"
          title="Change it"
          disabled={!old || fresh.length < 10}
          busy={change.isPending}
          onPress={() => change.mutate()}
          style={{ flex: 1 }}
        />
      </View>
    </View>
  );
}
