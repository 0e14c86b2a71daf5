import type { QueryClient } from '@tanstack/react-query';
import { withoutUnused } from '@/core/course';
import { showToast } from '../parts';
import { ApiError, api, maySendAgain } from './api';
import { useCourse } from './courseStore';
import { dropResting, restingDrafts, type KeptDraft } from './drafts';
import { queueOf } from './saving';
import { KEYS } from './keys';

let sending = false;
/** What the server would not take: its maker decides when the course is opened. */
const refused = new Set<string>();
const nameOf = ({ id, at }: KeptDraft): string => `${id} ${at}`;

/**
 * Sends the edits of courses that were left while the server was out of reach, those begun here among them, for as
 * long as it is in reach. What was changed elsewhere as well stays for its maker to decide on.
 */
export async function sendEdits(client: QueryClient): Promise<void> {
  if (sending) return;
  sending = true;
  try {
    for (const draft of await restingDrafts()) {
      const { id } = draft;
      // What is open, or was a moment ago, goes its own way.
      if (useCourse.getState().id === id || queueOf(id) || refused.has(nameOf(draft))) continue;
      try {
        await sendDraft(draft);
        await dropResting(draft);
        void client.invalidateQueries({ queryKey: KEYS.courses });
        void client.invalidateQueries({ queryKey: KEYS.course(id) });
      } catch (error) {
        if (maySendAgain(error)) return;
        refused.add(nameOf(draft));
        if ((error as ApiError).code !== 'stale') continue;
        showToast(`${draft.course.name} has edits here that are not saved: open it to decide.`);
      }
    }
  } finally {
    sending = false;
  }
}

const sendDraft = ({ id, revision, course }: KeptDraft): Promise<unknown> =>
  revision === 0
    ? api.create(id, withoutUnused(course))
    : api.save(id, revision, withoutUnused(course));
