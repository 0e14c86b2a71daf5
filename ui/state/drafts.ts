import { createStore, delMany, entries, get, set } from 'idb-keyval';
import type { Course } from '@/core/course';
import { notedKept } from './keptHere';
import { otherTabs, TAB } from './tabId';

/** A course as last edited on this device and not yet known to be on the server. */
export interface Draft {
  readonly revision: number;
  readonly course: Course;
}

/** A draft as it is kept: whose it is, and when it was written, ms. */
export interface KeptDraft extends Draft {
  readonly id: string;
  readonly tab: string;
  readonly at: number;
}

let store: ReturnType<typeof createStore> | undefined;
const drafts = () => (store ??= createStore('stonehop', 'drafts'));

/** Looking for drafts fails only where the browser forbids storage; editing goes on all the same. */
const quietly = async <T>(work: Promise<T>): Promise<T | undefined> => work.catch(() => undefined);

const keyOf = (id: string, tab: string): string => `${id} ${tab}`;
/** Where the draft goes that is still being written when the page is left: it has no time for more. */
const [LEAVING, HERE] = ['stonehop-leaving ', ` ${TAB}`];
const leavingKey = (id: string): string => `${LEAVING}${id}${HERE}`;

/**
 * The newest draft of a course on this device, if there is one that no other tab has in its hands. From then
 * on it is this tab's; older ones stay until this one is dropped.
 */
export async function readDraft(id: string): Promise<Draft | undefined> {
  const left = readLeft(id);
  if (left) await keepDraft(id, left);
  const open = (await quietly(otherTabs())) ?? new Set();
  const all = (await quietly(entries<string, KeptDraft>(drafts()))) ?? [];
  const own = all
    .map(([, kept]) => kept)
    .filter((kept) => kept?.id === id && !open.has(kept.tab))
    .sort((a, b) => b.at - a.at);
  const newest = own[0];
  if (!newest) return undefined;
  const draft = { revision: newest.revision, course: newest.course };
  if (newest.tab !== TAB) {
    const older = own.find(({ tab }) => tab === TAB);
    // One of this tab's own that is older makes room, and stays.
    if (older) {
      const aside = { ...older, tab: `${TAB}-${older.at}` };
      await quietly(set(keyOf(id, aside.tab), aside, drafts()));
    }
    await keepDraft(id, draft);
    await quietly(delMany([keyOf(id, newest.tab)], drafts()));
  }
  return draft;
}

/** The newest draft of each course on this device that no other tab has in its hands. */
export async function restingDrafts(): Promise<KeptDraft[]> {
  for (const id of idsLeft()) {
    const left = readLeft(id);
    if (left) await keepDraft(id, left);
  }
  const open = (await quietly(otherTabs())) ?? new Set();
  const all = (await quietly(entries<string, KeptDraft>(drafts()))) ?? [];
  const newest = new Map<string, KeptDraft>();
  for (const [, kept] of all) {
    if (!kept || open.has(kept.tab)) continue;
    const known = newest.get(kept.id);
    if (!known || known.at < kept.at) newest.set(kept.id, kept);
  }
  return [...newest.values()].sort((a, b) => b.at - a.at);
}

/** Drops a draft that the server has, unless it was written anew meanwhile. */
export async function dropResting({ id, tab, at }: KeptDraft): Promise<void> {
  const key = keyOf(id, tab);
  const now = await quietly(get<KeptDraft>(key, drafts()));
  if (now?.at === at) await quietly(delMany([key], drafts()));
}

/** Keeps a draft on this device. Says whether it is kept. */
export async function keepDraft(id: string, draft: Draft): Promise<boolean> {
  const kept: KeptDraft = { ...draft, id, tab: TAB, at: Date.now() };
  const isKept = await notedKept(set(keyOf(id, TAB), kept, drafts()));
  if (isKept) forgetLeft(id);
  return isKept;
}

export function dropDraft(id: string) {
  forgetLeft(id);
  return quietly(delMany([keyOf(id, TAB)], drafts()));
}

/** Keeps a draft at once, for a page that is being left. One too large for that has been kept already. */
export function leaveDraft(id: string, draft: Draft): void {
  try {
    localStorage.setItem(leavingKey(id), JSON.stringify(draft));
  } catch {
    // No room, or storage is forbidden: what was kept before has to do.
  }
}

/** The courses of which this tab left a draft on its way out. */
function idsLeft(): string[] {
  try {
    return Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '')
      .filter((key) => key.startsWith(LEAVING) && key.endsWith(HERE))
      .map((key) => key.slice(LEAVING.length, -HERE.length));
  } catch {
    return [];
  }
}

function readLeft(id: string): Draft | undefined {
  try {
    const left = localStorage.getItem(leavingKey(id));
    return left === null ? undefined : (JSON.parse(left) as Draft);
  } catch {
    return undefined;
  }
}

function forgetLeft(id: string): void {
  try {
    localStorage.removeItem(leavingKey(id));
  } catch {
    // Where nothing can be stored there is nothing to forget.
  }
}
