import { valibotResolver } from '@hookform/resolvers/valibot';
import { useMutation } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import type * as v from 'valibot';
import { Button, FormField, showToast, Text } from '../parts';

/** Words to somebody, as a schema has them. */
interface Words {
  words: string;
}

interface WordsFormProps {
  readonly schema: v.GenericSchema<Words, Words>;
  /** What they are for, what the field and the button are called, and what is said when they are sent. */
  readonly about: string;
  readonly label: string;
  readonly button: string;
  readonly said: string;
  readonly send: (words: string) => Promise<unknown>;
  readonly onDone: () => void;
  readonly testID: string;
}

/** A few lines to somebody, sent once. */
export function WordsForm(props: WordsFormProps) {
  const { schema, about, label, button, said, send, onDone, testID } = props;
  const form = useForm({ resolver: valibotResolver(schema), defaultValues: { words: '' } });
  const sending = useMutation({
    mutationFn: send,
    onSuccess: () => {
      onDone();
      showToast(said);
    },
    onError: (error) => form.setError('words', { message: error.message }),
  });
  return (
    <>
      <Text tint="slate">{about}</Text>
      <FormField
        control={form.control}
        of="words"
        label={label}
        multiline
        maxLength={500}
        testID={`${testID}-words`}
      />
      <Button
        kind="main"
        title={button}
        busy={sending.isPending}
        onPress={form.handleSubmit(({ words }) => sending.mutate(words))}
        testID={`${testID}-send`}
      />
    </>
  );
}
