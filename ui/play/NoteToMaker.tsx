import { valibotResolver } from '@hookform/resolvers/valibot';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { NoteBody } from '@/core/protocol';
import { Button, FormField, Sheet, showToast, Text } from '../parts';
import { api } from '../state/api';

interface NoteProps {
  readonly slug: string;
  readonly maker: string;
}

/** A word to the maker of a course. */
export function NoteToMaker({ slug, maker }: NoteProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        title="Write to its maker"
        icon="edit-3"
        onPress={() => setOpen(true)}
        testID="note"
      />
      <Sheet title={`To ${maker}`} open={open} onClose={() => setOpen(false)}>
        {open && <NoteForm slug={slug} maker={maker} onDone={() => setOpen(false)} />}
      </Sheet>
    </>
  );
}

function NoteForm({ slug, maker, onDone }: NoteProps & { readonly onDone: () => void }) {
  const form = useForm({ resolver: valibotResolver(NoteBody), defaultValues: { words: '' } });
  const send = useMutation({
    mutationFn: (words: string) => api.sendNote(slug, words),
    onSuccess: () => {
      onDone();
      showToast(`${maker} finds it beside the course.`);
    },
    onError: (error) => form.setError('words', { message: error.message }),
  });
  return (
    <>
      <Text tint="slate">What went well, what was unfair? Only {maker} reads it.</Text>
      <FormField
        control={form.control}
        of="words"
        label="Your note"
        multiline
        maxLength={500}
        testID="note-words"
      />
      <Button
        kind="main"
        title="Send the note"
        busy={send.isPending}
        onPress={form.handleSubmit(({ words }) => send.mutate(words))}
        testID="note-send"
      />
    </>
  );
}
