import { valibotResolver } from '@hookform/resolvers/valibot';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { ReportBody } from '@/core/protocol';
import { Button, FormField, Sheet, showToast, Text } from '../parts';
import { api } from '../state/api';

/** Tells whoever runs the server what is wrong with a course. */
export function Report({ slug, name }: { readonly slug: string; readonly name: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        title="Report"
        icon="flag"
        onPress={() => setOpen(true)}
        style={{ alignSelf: 'flex-start' }}
        testID="report"
      />
      <Sheet title={`Report ${name}`} open={open} onClose={() => setOpen(false)}>
        {open && <ReportForm slug={slug} onDone={() => setOpen(false)} />}
      </Sheet>
    </>
  );
}

function ReportForm({ slug, onDone }: { readonly slug: string; readonly onDone: () => void }) {
  const form = useForm({ resolver: valibotResolver(ReportBody), defaultValues: { words: '' } });
  const report = useMutation({
    mutationFn: (words: string) => api.report(slug, words),
    onSuccess: () => {
      onDone();
      showToast('Reported. Whoever runs this place looks at it.');
    },
    onError: (error) => form.setError('words', { message: error.message }),
  });
  return (
    <>
      <Text tint="slate">
        Say what is wrong with its name, words or picture. A course that is only too hard is no case
        for a report.
      </Text>
      <FormField
        control={form.control}
        of="words"
        label="What is wrong"
        multiline
        maxLength={500}
        testID="report-words"
      />
      <Button
        kind="main"
        title="Send the report"
        busy={report.isPending}
        onPress={form.handleSubmit(({ words }) => report.mutate(words))}
        testID="report-send"
      />
    </>
  );
}
