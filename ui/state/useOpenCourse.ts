import { useEffect, useState } from 'react';
import type { ApiError } from './api';
import { useCourse } from './courseStore';
import { dropDraft, readDraft } from './drafts';
import { isOutOfReach } from './keptAnswers';
import { useLastRun } from './lastRun';
import { takePast } from './pastKept';
import { useCourseOnServer } from './queries';
import { atRest, queueOf } from './saving';
import { standingOf } from './standing';

/**
 * Opens a course: what the server has, or what this device still holds of it that the server has
 * not. Returns what stands in the way, or null once it is open.
 */
export function useOpenCourse(id: string): {
  ready: boolean;
  error: ApiError | null;
  retry: () => void;
} {
  const onServer = useCourseOnServer(id);
  const [drafted, setDrafted] = useState(false);
  const { data, error } = onServer;
  // Open already, unless it was saved from somewhere else while nothing here waited to be saved.
  const open = useCourse(
    (s) => s.id === id && !(s.save.kind === 'saved' && data && data.revision > s.revision),
  );

  useEffect(() => {
    if (open) return;
    let gone = false;
    // What was left a moment ago may still be on its way: only then is it known what the server has.
    const ready = atRest(id).then(() => readDraft(id));
    void ready.then((draft) => {
      if (gone || (data && data.revision < (queueOf(id)?.revision ?? 0))) return;
      if (data) {
        const save = standingOf(draft, data);
        if (draft && save.kind === 'saved') void dropDraft(id);
        useCourse.getState().open(id, data.revision, draft?.course ?? data.course, save);
        takePast();
        useLastRun.getState().forget();
      } else if (error && draft && (isOutOfReach(error) || draft.revision === 0)) {
        // Without the server the draft is enough to go on with, and of what was begun here there is nothing else.
        const save = { kind: isOutOfReach(error) ? 'offline' : 'unsaved' } as const;
        useCourse.getState().open(id, draft.revision, draft.course, save);
        takePast();
        setDrafted(true);
      }
    });
    return () => {
      gone = true;
    };
  }, [open, id, data, error]);

  return {
    ready: open || drafted,
    error: open ? null : (error as ApiError | null),
    retry: () => void onServer.refetch(),
  };
}

/** Waits until the server has every edit; false when it cannot be reached or refuses. */
export function whenSaved(timeout = 8000): Promise<boolean> {
  return new Promise((resolve) => {
    const settled = () => useCourse.getState().save.kind === 'saved';
    if (settled()) return resolve(true);
    const stop = useCourse.subscribe(() => settled() && finish(true));
    const timer = setTimeout(() => finish(false), timeout);
    const finish = (saved: boolean) => {
      stop();
      clearTimeout(timer);
      resolve(saved);
    };
  });
}
