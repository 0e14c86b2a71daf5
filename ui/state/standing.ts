import { canonicalJson, withoutUnused } from '@/core/course';
import type { CourseOnServer } from '@/core/protocol';
import type { Draft } from './drafts';
import type { SaveState } from './saveQueue';

/** Whether a course that is opened with this draft is on the server, of which it has heard this. */
export function standingOf(
  draft: Draft | undefined,
  onServer: Pick<CourseOnServer, 'revision' | 'course' | 'changed'>,
): SaveState {
  const { revision, course, changed } = onServer;
  // A page left between the server's answer and the going of its draft: both have the same.
  if (!draft || canonicalJson(withoutUnused(draft.course)) === canonicalJson(course))
    return { kind: 'saved', at: changed };
  return draft.revision === revision
    ? { kind: 'unsaved' }
    : { kind: 'conflict', theirs: { revision, course } };
}
