import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import type { Course } from '@/core/course';
import { readRunFile } from '@/core/formats';
import type { Run } from '@/core/run';
import { beginDigest } from '@/workers/timing';
import { Button, showToast, useFileChoice } from '../../parts';
import { attemptsAt, keepAttempt } from '../../state/attempts';
import { KEYS } from '../../state/keys';

/** Most bytes of a run's file that are read. */
const MOST = 4 * 1024 * 1024;

/** Opens a run of this course from a file: it is played again and kept among those of this device. */
export function OpenRun({ id, course }: { readonly id: string; readonly course: Course }) {
  const client = useQueryClient();
  const job = useRef<ReturnType<typeof beginDigest> | null>(null);
  const open = useMutation({
    mutationFn: async (file: File) => {
      if (file.size > MOST) throw new Error('A run has at most 4 MB.');
      const run = readRunFile(await file.text());
      if ((await attemptsAt(id)).some((kept) => isSame(kept.run, run))) {
        return 'That run is among those of this device already.';
      }
      job.current = beginDigest(course, run);
      const digest = await job.current.result;
      return (await keepAttempt(id, { run, digest, begun: {} }))
        ? 'The run is among those of this device.'
        : 'The run holds, but this browser lets nothing be kept.';
    },
    onSuccess: (words) => {
      void client.invalidateQueries({ queryKey: KEYS.attempts(id) });
      showToast(words);
    },
    onError: (error: Error) => {
      if (!job.current?.cancelled()) showToast(error.message);
    },
    onSettled: () => (job.current = null),
  });
  const files = useFileChoice({
    accept: '.json,application/json',
    onFile: open.mutate,
    testID: 'run-file',
  });
  return (
    <>
      {open.isPending ? (
        <Button title="Stop opening" icon="x" onPress={() => job.current?.cancel()} />
      ) : (
        <Button title="Open a run" icon="folder" onPress={files.choose} />
      )}
      {files.input}
    </>
  );
}

/** Whether two runs are one, press by press. */
const isSame = (a: Run, b: Run): boolean =>
  a.course === b.course &&
  a.core === b.core &&
  a.seed === b.seed &&
  (a.start ?? 0) === (b.start ?? 0) &&
  JSON.stringify(a.inputs) === JSON.stringify(b.inputs);
