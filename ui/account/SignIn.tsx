import { valibotResolver } from '@hookform/resolvers/valibot';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { SignInBody } from '@/core/protocol';
import { Button, FormField, showToast, Text } from '../parts';
import { api } from '../state/api';
import { forgetAnswers } from '../state/keptAnswers';
import { SPACE } from '../theme';

interface Credentials {
  readonly name: string;
  readonly passphrase: string;
}

/** Tells a maker whose name got a number, as another maker has the same. */
const greeting = (name: string | null, asked: string): string =>
  name?.toLowerCase().startsWith(`${asked.trim().toLowerCase()} `)
    ? `Signed in. Another maker has the same name, so you are now called ${name}. You can change it here.`
    : 'Signed in.';

/** A name and a passphrase: taken for the courses of this browser, or signed in with. */
export function SignIn() {
  const client = useQueryClient();
  const form = useForm({
    resolver: valibotResolver(SignInBody),
    defaultValues: { name: '', passphrase: '' },
  });
  const done = async (words: string) => {
    await forgetAnswers();
    void client.invalidateQueries();
    showToast(words);
  };
  const refused = (error: Error) => form.setError('passphrase', { message: error.message });
  const claim = useMutation({
    mutationFn: ({ name, passphrase }: Credentials) => api.claimName(name, passphrase),
    onSuccess: () =>
      done('Your courses can now be opened elsewhere with this name and passphrase.'),
    onError: refused,
  });
  const signIn = useMutation({
    mutationFn: ({ name, passphrase }: Credentials) => api.signIn(name, passphrase),
    onSuccess: ({ name }, asked) => done(greeting(name, asked.name)),
    onError: refused,
  });
  const busy = claim.isPending || signIn.isPending;
  return (
    <View style={{ gap: SPACE.s }}>
      <Text as="small" tint="slate">
        Courses are kept for this browser without any account. With a name and a passphrase they can
        be opened elsewhere.
      </Text>
      <FormField
        control={form.control}
        of="name"
        label="Name"
        maxLength={30}
        testID="account-name"
      />
      <FormField
        control={form.control}
        of="passphrase"
        label="Passphrase"
        secureTextEntry
        testID="account-passphrase"
      />
      <View style={{ flexDirection: 'row', gap: SPACE.s }}>
        <Button
          kind="main"
          title="Take this name"
          busy={claim.isPending}
          disabled={busy}
          onPress={form.handleSubmit((values) => claim.mutate(values))}
          style={{ flex: 1 }}
        />
        <Button
          title="Sign in"
          busy={signIn.isPending}
          disabled={busy}
          onPress={form.handleSubmit((values) => signIn.mutate(values))}
          style={{ flex: 1 }}
        />
      </View>
    </View>
  );
}
