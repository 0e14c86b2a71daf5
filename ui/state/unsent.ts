import type { Course } from '@/core/course';
import type { CourseListed } from '@/core/protocol';
import { extentOf, plannedRoute } from '@/core/route';
import { api, maySendAgain } from './api';
import { dropResting, keepDraft, restingDrafts, type KeptDraft } from './drafts';
import { keepForGood } from './keptHere';
import { forgetEdits } from './saving';

/** Bytes of chance in a course's id: as many as the server takes. */
const ID_BYTES = 9;

/** An id for a new course, by chance, so that it can be made without the server. */
function newCourseId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(ID_BYTES));
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_');
}

/** One of the maker's own courses in a list; `here` is what only this device has of it. */
export interface CourseInList extends CourseListed {
  readonly here?: Course;
}

/** The courses of a list as they are on this device: with edits the server has not, and those begun here. */
export async function withUnsent(listed: readonly CourseListed[]): Promise<CourseInList[]> {
  const drafts = new Map((await restingDrafts()).map((draft) => [draft.id, draft]));
  const known = listed.map((item): CourseInList => {
    const draft = drafts.get(item.id);
    drafts.delete(item.id);
    return draft && draft.revision >= item.revision ? { ...item, ...toldOf(draft) } : item;
  });
  const begun = [...drafts.values()]
    .filter(({ revision }) => revision === 0)
    .map((draft): CourseInList => ({ ...NOTHING_THERE, ...toldOf(draft), id: draft.id }));
  return [...begun, ...known].sort((a, b) => b.changed - a.changed);
}

const NOTHING_THERE = {
  ...{ revision: 0, proof: null, published: null, folder: null },
  tags: [] as string[],
};

const toldOf = ({ course, at }: KeptDraft) => ({
  name: course.name,
  kind: course.kind,
  runner: course.runner.kind,
  pieces: course.pieces.length,
  length: Math.round(extentOf(plannedRoute(course)).length * 10) / 10,
  changed: at,
  here: course,
});

/** Keeps a course that was begun here until the server has it. Says whether it is kept. */
export const keepUnsent = (id: string, course: Course): Promise<boolean> =>
  keepDraft(id, { revision: 0, course });

/**
 * Keeps a new course on the server, or on this device until that is in reach.
 * @throws Error where neither keeps it
 */
export async function createCourse(course: Course): Promise<{ readonly id: string }> {
  const id = newCourseId();
  try {
    await api.create(id, course);
  } catch (error) {
    if (!maySendAgain(error)) throw error;
    if (!(await keepUnsent(id, course))) {
      const why = 'The server is away and this browser keeps nothing: nothing could be begun.';
      throw new Error(why, { cause: error });
    }
  }
  keepForGood();
  return { id };
}

/** Lets go of a course that was begun here and never sent. */
export async function dropUnsent(id: string): Promise<void> {
  await forgetEdits(id);
  for (const draft of await restingDrafts()) if (draft.id === id) await dropResting(draft);
}
