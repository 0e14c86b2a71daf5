import { useEffect } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { tell } from '../parts';
import { api, ApiError } from './api';
import { useCourse } from './courseStore';
import { dropDraft, keepDraft, leaveDraft } from './drafts';
import { useHand } from './hand';
import type { Course } from '@/core/course';
import type { CourseOnServer } from '@/core/protocol';

/** Quiet time after an edit before it is sent, ms. */
const PAUSE = 700;
/** Pieces above which writing the draft takes longer than an edit may. */
const LARGE = 1000;
/** Time in which an edit has been shown even where drawing is slow, ms. */
const SHOWN = 120;
/** Time between tries while the server is away, ms. */
const RETRY = 2500;

/**
 * Keeps the open course: every edit at once as a draft on this device, then on the server. The draft
 * goes only when the server has what it holds.
 */
export function useAutosave(): void {
  const client = useQueryClient();
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const later = (ms: number) => {
      clearTimeout(timer);
      timer = setTimeout(() => void send(), ms);
    };

    const send = async () => {
      const { id, revision, course, save, setSave } = useCourse.getState();
      if (save.kind === 'conflict' || save.kind === 'saving' || save.kind === 'saved') return;
      setSave({ kind: 'saving' });
      try {
        const answer = await api.save(id, revision, course);
        if (useCourse.getState().id !== id) return;
        const unchanged = useCourse.getState().course === course;
        setSave(
          unchanged ? { kind: 'saved', at: answer.changed } : { kind: 'unsaved' },
          answer.revision,
        );
        if (unchanged) await dropDraft(id);
        else
          await keepDraft(id, { revision: answer.revision, course: useCourse.getState().course });
        // What the server makes of it is asked for where it is shown, not after every edit.
        void client.invalidateQueries({ queryKey: ['courses'] });
        client.setQueryData<CourseOnServer>(
          ['course', id],
          (old) =>
            old && {
              ...old,
              course,
              revision: answer.revision,
              changed: answer.changed,
              published: old.published && { ...old.published, current: false },
            },
        );
        void client.invalidateQueries({ queryKey: ['course', id], refetchType: 'none' });
      } catch (error) {
        if (useCourse.getState().id === id) setSave(afterFailure(error));
        const { save: now } = useCourse.getState();
        if (now.kind === 'offline') later(RETRY);
        if (now.kind === 'refused') tell(`Not saved: ${now.message} It is kept on this device.`);
      }
    };

    // A drag is written when the hand lets go; a large course once the edit is shown, for writing it
    // takes longer than that.
    let due = false;
    let keeping: ReturnType<typeof setTimeout> | undefined;
    const keepNow = () => {
      clearTimeout(keeping);
      if (!due) return;
      due = false;
      const { id, revision, course, save } = useCourse.getState();
      if (save.kind !== 'saved') void keepDraft(id, { revision, course });
    };
    const keep = () => {
      due = true;
      clearTimeout(keeping);
      if (useHand.getState().dragging) return;
      if (useCourse.getState().course.pieces.length > LARGE) keeping = setTimeout(keepNow, SHOWN);
      else keepNow();
    };

    const unsubscribe = useCourse.subscribe((now, before) => {
      if (now.course !== before.course && now.id === before.id) keep();
      if (
        now.save.kind === 'unsaved' &&
        (now.course !== before.course || before.save.kind !== 'unsaved')
      ) {
        later(PAUSE);
      }
    });
    const unhand = useHand.subscribe(({ dragging }) => {
      if (!dragging && due) keep();
    });
    if (useCourse.getState().save.kind === 'unsaved') later(0);
    const online = () => later(0);
    window.addEventListener('online', online);
    const leave = () => {
      const { id, revision, course, save } = useCourse.getState();
      if (save.kind !== 'saved') leaveDraft(id, { revision, course });
    };
    window.addEventListener('pagehide', leave);
    return () => {
      // Leaving the course: what waits goes out now.
      keepNow();
      clearTimeout(timer);
      void send();
      unsubscribe();
      unhand();
      window.removeEventListener('online', online);
      window.removeEventListener('pagehide', leave);
    };
  }, [client]);
}

function afterFailure(error: unknown) {
  if (error instanceof ApiError) {
    if (error.status === 409) {
      const theirs = error.details.theirs as { revision: number; course: Course };
      return { kind: 'conflict', theirs } as const;
    }
    if (error.status !== 0 && error.status < 500 && error.status !== 429) {
      return { kind: 'refused', message: error.message } as const;
    }
  }
  return { kind: 'offline' } as const;
}
