import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { Course } from '@/core/course';
import { readRunFile } from '@/core/formats';
import { beginDigest } from '@/workers/timing';
import { Button, showToast, useFileChoice } from '../../parts';
import { keepAttempt } from '../../state/attempts';
import { attemptsKey } from '../../state/useKeptAttempts';

/** Most bytes of a run's file that are read. */
const MOST = 4 * 1024 * 1024;

/** Opens a run of this course from a file: it is played again and kept among those of this device. */
export function OpenRun({ id, course }: { readonly id: string; readonly course: Course }) {
  const client = useQueryClient();
  const open = useMutation({
    mutationFn: async (file: File) => {
      if (file.size > MOST) throw new Error('A run has at most 4 MB.');
      const run = readRunFile(await file.text());
      const digest = await beginDigest(course, run).result;
      await keepAttempt(id, { run, digest, begun: {} });
    },
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: attemptsKey(id) });
      showToast('The run is among those of this device.');
    },
    onError: (error: Error) => showToast(error.message),
  });
  const files = useFileChoice({
    accept: '.json,application/json',
    onFile: open.mutate,
    testID: 'run-file',
  });
  return (
    <>
      <Button title="Open a run" icon="folder" busy={open.isPending} onPress={files.choose} />
      {files.input}
    </>
  );
}
