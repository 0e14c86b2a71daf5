import { useEffect } from 'react';
import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { withoutUnused, type Course } from '@/core/course';
import type { CourseOnServer } from '@/core/protocol';
import { showToast } from '../parts';
import { ApiError, api, maySendAgain } from './api';
import { useCourse } from './courseStore';
import { dropDraft, keepDraft, leaveDraft } from './drafts';
import { courseKey, keepAnswer } from './keptAnswers';
import { useKeptHere } from './keptHere';
import { useDragState } from '../device/dragState';
import { SaveQueue, type SaveAnswer, type Theirs } from './saveQueue';
import { KEYS } from './keys';

/** Pieces above which writing the draft takes longer than an edit may. */
const LARGE = 1000;
/** Time in which an edit has been shown even where drawing is slow, ms. */
const SHOWN = 120;

/** The queues of courses that were edited here; one that was left goes on until all is sent. */
const queues = new Map<string, SaveQueue>();

/** The queue of the open course, if it was edited. */
export const queueOf = (id: string): SaveQueue | undefined => queues.get(id);

/** Waits until nothing of a course is on its way to the server. */
export const atRest = (id: string): Promise<void> => queues.get(id)?.atRest() ?? Promise.resolve();

/** What is here of a course does not count any more. */
export async function forgetEdits(id: string): Promise<void> {
  queues.get(id)?.forget();
  queues.delete(id);
  await dropDraft(id);
}

/** The maker says that what is here counts, over what was saved elsewhere. */
export function keepMine(id: string): void {
  queues.get(id)?.keepMine(useCourse.getState().course);
}

async function send(id: string, revision: number, course: Course): Promise<SaveAnswer> {
  try {
    const kept = withoutUnused(course);
    // One that was begun without the server has no revision there yet.
    const { revision: saved, changed } =
      revision === 0 ? await api.create(id, kept) : await api.save(id, revision, kept);
    return { kind: 'saved', revision: saved, changed };
  } catch (error) {
    if (maySendAgain(error)) {
      return { kind: 'unsure', busy: error instanceof ApiError && error.status !== 0 };
    }
    const { code, message, details } = error as ApiError;
    return code === 'stale'
      ? { kind: 'conflict', theirs: details.theirs as Theirs }
      : { kind: 'refused', message };
  }
}

/** The queue of the open course, from the revision it was opened at. */
function openQueue(client: QueryClient): SaveQueue {
  const { id, revision, save } = useCourse.getState();
  const known = queues.get(id);
  if (known) return known;
  let last: Course | null = null;
  const queue = new SaveQueue(revision, {
    send: (from, course) => {
      last = course;
      return send(id, from, course);
    },
    later: (ms, act) => {
      const timer = setTimeout(act, ms);
      return () => clearTimeout(timer);
    },
    told: (now) => {
      const { state } = now;
      if (useCourse.getState().id === id) useCourse.getState().setSave(state, now.revision);
      if (state.kind === 'saved' && last) kept(client, id, now.revision, state.at, last);
      if (state.kind === 'refused')
        showToast(
          useKeptHere.getState().fails
            ? `Not saved: ${state.message}`
            : `Not saved: ${state.message} It is kept on this device.`,
        );
      if (now.idle && state.kind === 'saved') {
        queues.delete(id);
        void dropDraft(id);
      }
    },
  });
  // What was found when it was opened: two that disagree go on doing so.
  if (save.kind === 'conflict') queue.state = save;
  queues.set(id, queue);
  return queue;
}

/** Has everybody here hear that the server has a course. */
function kept(client: QueryClient, id: string, revision: number, changed: number, course: Course) {
  // What the server makes of it is asked for where it is shown, not after every edit.
  void client.invalidateQueries({ queryKey: KEYS.courses });
  const old = client.getQueryData<CourseOnServer>(KEYS.course(id));
  if (!old) return void client.invalidateQueries({ queryKey: KEYS.course(id) });
  const now: CourseOnServer = {
    ...old,
    course,
    revision,
    changed,
    published: old.published && { ...old.published, current: false },
  };
  client.setQueryData(KEYS.course(id), now);
  void keepAnswer(courseKey(id), now);
  void client.invalidateQueries({ queryKey: KEYS.course(id), refetchType: 'none' });
}

/**
 * Keeps the open course: every edit at once as a draft on this device, then on the server. The draft
 * goes only when the server has what it holds.
 */
export function useAutosave(): void {
  const client = useQueryClient();
  useEffect(() => {
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
      if (useDragState.getState().dragging) return;
      if (useCourse.getState().course.pieces.length > LARGE) keeping = setTimeout(keepNow, SHOWN);
      else keepNow();
    };
    const begin = () => {
      const { save, course } = useCourse.getState();
      // Opened with a draft that the server has not.
      if (save.kind === 'unsaved' || save.kind === 'offline') {
        const queue = openQueue(client);
        queue.edit(course);
        queue.flush();
      } else if (save.kind === 'conflict') openQueue(client).edit(course);
    };

    const unsubscribe = useCourse.subscribe((now, before) => {
      if (now.id !== before.id) {
        queues.get(before.id)?.flush();
        begin();
      } else if (now.course !== before.course && now.save.kind !== 'saved') {
        keep();
        openQueue(client).edit(now.course);
      }
    });
    const unhand = useDragState.subscribe(({ dragging }) => {
      if (!dragging && due) keep();
    });
    begin();
    const online = () => queues.forEach((queue) => queue.flush());
    window.addEventListener('online', online);
    const leave = () => {
      const { id, revision, course, save } = useCourse.getState();
      if (save.kind !== 'saved') leaveDraft(id, { revision, course });
    };
    window.addEventListener('pagehide', leave);
    return () => {
      // Leaving the course: what waits goes out now.
      keepNow();
      online();
      unsubscribe();
      unhand();
      window.removeEventListener('online', online);
      window.removeEventListener('pagehide', leave);
    };
  }, [client]);
}
