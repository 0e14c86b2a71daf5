import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, Choices, Field, Sheet, showToast, Text } from '../parts';
import { api } from '../state/api';
import { useMe } from '../state/queries';
import { RecordingsKept } from './RecordingsKept';
import { ChangePassphrase } from './ChangePassphrase';
import { useSettings } from '../device/settings';
import { SPACE } from '../theme';

/** Name and passphrase, to use one's courses elsewhere, and what is set for this device. */
export function AccountSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { light, drawing, set } = useSettings();
  return (
    <Sheet title="Account and settings" open={open} onClose={onClose}>
      <Account />
      <RecordingsKept open={open} />
      <Choices
        label="Light"
        value={light}
        onChange={(value) => set({ light: value })}
        options={[
          { value: 'device', label: 'As the device' },
          { value: 'day', label: 'Day' },
          { value: 'night', label: 'Night' },
        ]}
      />
      <Choices
        label="Drawing"
        value={drawing}
        onChange={(value) => set({ drawing: value })}
        options={[
          { value: 'measured', label: 'As fast as it can' },
          { value: 'light', label: 'Light' },
          { value: 'full', label: 'Full' },
        ]}
      />
    </Sheet>
  );
}

function Account() {
  const client = useQueryClient();
  const me = useMe();
  const [name, setName] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const done = (words: string) => {
    void client.invalidateQueries();
    setPassphrase('');
    showToast(words);
  };
  const claim = useMutation({
    mutationFn: () => api.claimName(name, passphrase),
    onSuccess: () =>
      done('Your courses can now be opened elsewhere with this name and passphrase.'),
  });
  const signIn = useMutation({
    mutationFn: () => api.signIn(name, passphrase),
    onSuccess: () => done('Signed in.'),
  });
  const signOut = useMutation({
    mutationFn: api.signOut,
    onSuccess: () => done('Signed out. Your courses are kept under your name.'),
    onError: (error) => showToast(error.message),
  });
  if (me.data?.name) {
    return (
      <View style={{ gap: SPACE.s }}>
        <Text>
          Signed in as <Text as="strong">{me.data.name}</Text>.
        </Text>
        <ChangePassphrase name={me.data.name} />
        <Button
          title="Sign out"
          icon="log-out"
          busy={signOut.isPending}
          onPress={() => signOut.mutate()}
        />
      </View>
    );
  }
  const error = (claim.error ?? signIn.error)?.message;
  return (
    <View style={{ gap: SPACE.s }}>
      <Text as="small" tint="slate">
        Courses are kept for this browser without any account. With a name and a passphrase they can
        be opened elsewhere.
      </Text>
      <Field
        label="Name"
        value={name}
        onChangeText={setName}
        maxLength={30}
        testID="account-name"
      />
      <Field
        label="Passphrase"
        secureTextEntry
        value={passphrase}
        onChangeText={setPassphrase}
        error={error}
        testID="account-passphrase"
      />
      <View style={{ flexDirection: 'row', gap: SPACE.s }}>
        <Button
          kind="main"
          title="Take this name"
          busy={claim.isPending}
          disabled={!name || !passphrase}
          onPress={() => {
            signIn.reset();
            claim.mutate();
          }}
          style={{ flex: 1 }}
        />
        <Button
          title="Sign in"
          busy={signIn.isPending}
          disabled={!name || !passphrase}
          onPress={() => {
            claim.reset();
            signIn.mutate();
          }}
          style={{ flex: 1 }}
        />
      </View>
    </View>
  );
}
