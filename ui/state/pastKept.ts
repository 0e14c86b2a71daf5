import { canonicalJson, type Course, type CoursePatch } from '@/core/course';
import { useCourse } from './courseStore';

const KEY = 'stonehop-past';
/** Most characters of steps that are kept over a reload; of more the oldest go. */
const MOST = 1_500_000;

/** A step as it is written: fields that a course lacks have no place in JSON, so they stand as a name alone. */
type Written = Pick<CoursePatch, 'without' | 'pieces'> & {
  readonly fields: readonly (readonly [string] | readonly [string, unknown])[];
};

interface Kept {
  readonly id: string;
  /** What tells the course apart that the steps lead from. */
  readonly mark: string;
  readonly past: readonly Written[];
  readonly future: readonly Written[];
}

const written = ({ without, pieces, fields }: CoursePatch): Written => ({
  without,
  pieces,
  fields: Object.entries(fields).map(([key, value]) =>
    value === undefined ? ([key] as const) : ([key, value] as const),
  ),
});
const read = ({ without, pieces, fields }: Written): CoursePatch => ({
  without,
  pieces,
  fields: Object.fromEntries(fields.map(([key, value]) => [key, value])),
});

/** FNV-1a (Fowler, Noll and Vo, 1991) over a course's canonical text. */
function markOf(course: Course): string {
  const text = canonicalJson(course);
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return `${text.length} ${(hash >>> 0).toString(16)}`;
}

/** The last steps that there is room for. */
function withinRoom(steps: readonly CoursePatch[]): Written[] {
  const kept: Written[] = [];
  let length = 0;
  for (let i = steps.length - 1; i >= 0; i--) {
    const step = written(steps[i]);
    length += JSON.stringify(step).length;
    if (length > MOST) break;
    kept.unshift(step);
  }
  return kept;
}

/** Keeps what can be undone of the open course in this tab, for when the page is loaded again. */
export function keepPast(): void {
  const { id, course, past, future } = useCourse.getState();
  if (!id || past.length + future.length === 0) return;
  try {
    const kept: Kept = {
      id,
      mark: markOf(course),
      past: withinRoom(past),
      future: withinRoom(future),
    };
    sessionStorage.setItem(KEY, JSON.stringify(kept));
  } catch {
    // No room, or storage is forbidden: then undo begins anew.
  }
}

/** Has the course just opened be undone as far as before the page was loaded, if it is still the same. */
export function takePast(): void {
  let kept: Kept | null = null;
  try {
    kept = JSON.parse(sessionStorage.getItem(KEY) ?? 'null') as Kept | null;
    sessionStorage.removeItem(KEY);
  } catch {
    return;
  }
  const { id, course, past } = useCourse.getState();
  if (!kept || kept.id !== id || past.length > 0 || kept.mark !== markOf(course)) return;
  useCourse.setState({ past: kept.past.map(read), future: kept.future.map(read) });
}

if (typeof window !== 'undefined') window.addEventListener?.('pagehide', keepPast);
