import { createStore, del, get, set } from 'idb-keyval';
import type { Course } from '@/core/course';

/** A course as last edited on this device and not yet known to be on the server. */
export interface Draft {
  readonly revision: number;
  readonly course: Course;
}

let store: ReturnType<typeof createStore> | undefined;
const drafts = () => (store ??= createStore('stonehop', 'drafts'));

/** Keeping a draft fails only where the browser forbids storage; editing goes on all the same. */
const quietly = async <T>(work: Promise<T>): Promise<T | undefined> => work.catch(() => undefined);

/** Where the draft goes that is still being written when the page is left: it has no time for more. */
const LEAVING = 'stonehop-leaving';

/** The draft of a course on this device, if there is one. */
export async function readDraft(id: string): Promise<Draft | undefined> {
  const left = readLeft(id);
  if (!left) return quietly(get<Draft>(id, drafts()));
  await keepDraft(id, left);
  return left;
}

export function keepDraft(id: string, draft: Draft) {
  forgetLeft(id);
  return quietly(set(id, draft, drafts()));
}

export function dropDraft(id: string) {
  forgetLeft(id);
  return quietly(del(id, drafts()));
}

/** Keeps a draft at once, for a page that is being left. One too large for that has been kept already. */
export function leaveDraft(id: string, draft: Draft): void {
  try {
    localStorage.setItem(LEAVING, JSON.stringify({ id, draft }));
  } catch {
    // No room, or storage is forbidden: what was kept before has to do.
  }
}

function readLeft(id: string): Draft | undefined {
  try {
    const left = JSON.parse(localStorage.getItem(LEAVING) ?? 'null') as LeftDraft | null;
    return left?.id === id ? left.draft : undefined;
  } catch {
    return undefined;
  }
}
interface LeftDraft {
  readonly id: string;
  readonly draft: Draft;
}

function forgetLeft(id: string): void {
  if (readLeft(id)) localStorage.removeItem(LEAVING);
}
