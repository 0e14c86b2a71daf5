import { useMutation, useQueryClient } from '@tanstack/react-query';
import { View } from 'react-native';
import { Button, showToast, Text } from '../parts';
import { api } from '../state/api';
import { forgetAnswers } from '../state/keptAnswers';
import { useMe } from '../state/queries';
import { SPACE } from '../theme';
import { ChangePassphrase } from './ChangePassphrase';
import { Devices } from './Devices';
import { Leave } from './Leave';
import { SignIn } from './SignIn';

/** Who is signed in, or a way to be. */
export function Account() {
  const me = useMe();
  return me.data?.name ? <SignedIn name={me.data.name} /> : <SignIn />;
}

function SignedIn({ name }: { name: string }) {
  const client = useQueryClient();
  const signOut = useMutation({
    mutationFn: api.signOut,
    onSuccess: async () => {
      await forgetAnswers();
      void client.invalidateQueries();
      showToast('Signed out. Your courses are kept under your name.');
    },
    onError: (error) => showToast(error.message),
  });
  return (
    <View style={{ gap: SPACE.s }}>
      <Text>
        Signed in as <Text as="strong">{name}</Text>.
      </Text>
      <ChangePassphrase name={name} />
      <Button
        title="Sign out"
        icon="log-out"
        busy={signOut.isPending}
        onPress={() => signOut.mutate()}
      />
      <Devices />
      <Leave />
    </View>
  );
}
