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

export const readDraft = (id: string) => quietly(get<Draft>(id, drafts()));
export const keepDraft = (id: string, draft: Draft) => quietly(set(id, draft, drafts()));
export const dropDraft = (id: string) => quietly(del(id, drafts()));
