import { useEffect } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { tell } from '../parts';
import { api, ApiError } from './api';
import { useCourse } from './courseStore';
import { dropDraft, keepDraft } from './drafts';
import type { Course } from '@/core/course';

/** Quiet time after an edit before it is sent, ms. */
const PAUSE = 700;
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
        void client.invalidateQueries({ queryKey: ['courses'] });
        void client.invalidateQueries({ queryKey: ['course', id] });
      } catch (error) {
        if (useCourse.getState().id === id) setSave(afterFailure(error));
        const { save: now } = useCourse.getState();
        if (now.kind === 'offline') later(RETRY);
        if (now.kind === 'refused') tell(`Not saved: ${now.message} It is kept on this device.`);
      }
    };

    const unsubscribe = useCourse.subscribe((now, before) => {
      if (now.course !== before.course && now.id === before.id) {
        void keepDraft(now.id, { revision: now.revision, course: now.course });
      }
      if (
        now.save.kind === 'unsaved' &&
        (now.course !== before.course || before.save.kind !== 'unsaved')
      ) {
        later(PAUSE);
      }
    });
    if (useCourse.getState().save.kind === 'unsaved') later(0);
    const online = () => later(0);
    window.addEventListener('online', online);
    return () => {
      // Leaving the course: what waits goes out now.
      clearTimeout(timer);
      void send();
      unsubscribe();
      window.removeEventListener('online', online);
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
