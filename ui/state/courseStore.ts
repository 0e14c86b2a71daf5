import { create } from 'zustand';
import { chosenOf, keepSymmetry, type PieceInHand } from '@/core/edit';
import { applyPatch, patchBytes, patchTo, type Course, type CoursePatch } from '@/core/course';
import { registerModels } from '@/core/pieces';
import type { SaveState } from './saveQueue';

interface OpenCourse {
  readonly id: string;
  readonly revision: number;
  readonly course: Course;
  /** What leads back step by step, the last step last, and what leads forth again. */
  readonly past: readonly CoursePatch[];
  readonly future: readonly CoursePatch[];
  readonly choice: ReadonlySet<string>;
  readonly inHand: PieceInHand | null;
  readonly save: SaveState;
}

interface CourseStore extends OpenCourse {
  open: (id: string, revision: number, course: Course, save: SaveState) => void;
  /**
   * Makes an edit. Edits with the same `merge` in a row are one step to undo: a drag, a typed name.
   * `from` is the course a drag began with, where the edit says all of the drag anew each time.
   */
  edit: (change: (course: Course) => Course, merge?: string, from?: Course) => void;
  /** Puts another course in place of this one, as it is: an edit that symmetry adds nothing to. */
  replace: (course: Course) => void;
  undo: () => void;
  redo: () => void;
  /** What is done to others is another step to undo, unless they are chosen `amid` an edit that goes on. */
  choose: (ids: Iterable<string>, amid?: boolean) => void;
  /** Keeps something with the course that is no step of its making: nothing there is to undo. */
  keep: (change: Partial<Course>) => void;
  take: (piece: PieceInHand | null) => void;
  setSave: (save: SaveState, revision?: number) => void;
}

const NOBODY: ReadonlySet<string> = new Set();
const UNSAVED: SaveState = { kind: 'unsaved' };
/** Bytes that may be kept to undo; of more the oldest steps go. */
const UNDO_BYTES = 20 * 1024 * 1024;
let merging: string | undefined;
/** What the run of merged edits under way began with. */
let mergedFrom: Course | undefined;

/** The open course and everything about its editing. */
export const useCourse = create<CourseStore>()((set, get) => ({
  id: '',
  revision: 0,
  course: {
    format: 'stone-hop-course',
    version: 1,
    name: '',
    kind: 'point',
    space: 'side-on',
    runner: { kind: 'hopper' },
    pieces: [],
  },
  past: [],
  future: [],
  choice: NOBODY,
  inHand: null,
  save: { kind: 'saved', at: 0 },

  open: (id, revision, course, save) => {
    merging = undefined;
    registerModels(course);
    set({ id, revision, course, save, past: [], future: [], choice: NOBODY, inHand: null });
  },
  edit: (change, merge, from) => {
    const { course } = get();
    const base = from ?? course;
    put(get, set, keepSymmetry(base, change(base)), merge);
  },
  replace: (course) => put(get, set, course),
  undo: () => step(get, set, 'past', 'future'),
  redo: () => step(get, set, 'future', 'past'),
  choose: (ids, amid) => {
    if (!amid) merging = undefined;
    set({ choice: new Set(ids) });
  },
  keep: (change) => set({ course: { ...get().course, ...change }, save: UNSAVED }),
  take: (inHand) => set(inHand ? { inHand, choice: NOBODY } : { inHand }),
  setSave: (save, revision) => set(revision === undefined ? { save } : { save, revision }),
}));

/** Has a course be the open one, as a step of its own or as part of the one under way. */
function put(
  get: () => CourseStore,
  set: (change: Partial<CourseStore>) => void,
  next: Course,
  merge?: string,
): void {
  const { course, past, choice } = get();
  if (next === course) return;
  if (next.models !== course.models) registerModels(next);
  const goesOn = merge !== undefined && merge === merging && mergedFrom !== undefined;
  if (!goesOn) mergedFrom = course;
  merging = merge;
  set({
    course: next,
    past: withinBytes([...(goesOn ? past.slice(0, -1) : past), patchTo(next, mergedFrom!)]),
    future: [],
    choice: stillThere(next, choice),
    save: UNSAVED,
  });
}

/** The last steps that fit into what may be kept; at least the very last. */
function withinBytes(steps: readonly CoursePatch[]): readonly CoursePatch[] {
  let bytes = 0;
  for (let i = steps.length - 1; i > 0; i--) {
    bytes += patchBytes(steps[i]);
    if (bytes > UNDO_BYTES) return steps.slice(i + 1);
  }
  return steps;
}

function step(
  get: () => CourseStore,
  set: (change: Partial<CourseStore>) => void,
  from: 'past' | 'future',
  to: 'past' | 'future',
): void {
  const state = get();
  const patch = state[from][state[from].length - 1];
  if (!patch) return;
  const next = applyPatch(state.course, patch);
  if (next.models !== state.course.models) registerModels(next);
  merging = undefined;
  set({
    course: next,
    [from]: state[from].slice(0, -1),
    [to]: [...state[to], patchTo(next, state.course)],
    choice: stillThere(next, state.choice),
    save: UNSAVED,
  });
}

function stillThere(course: Course, choice: ReadonlySet<string>): ReadonlySet<string> {
  if (choice.size === 0) return choice;
  const left = chosenOf(course, choice);
  // The same choice is the same set: who follows it has nothing new to show.
  return left.length === choice.size ? choice : new Set(left.map(({ id }) => id));
}

/** Ends a run of merged edits: the next edit is a step of its own. */
export const endMerge = (): void => {
  merging = undefined;
};
