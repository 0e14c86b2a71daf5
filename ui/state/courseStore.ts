import { create } from 'zustand';
import { chosenOf, keepSymmetry, type PieceInHand } from '@/core/assemble';
import type { Course } from '@/core/course';
import { registerModels } from '@/core/pieces';

/** Whether what is on the screen is on the server. */
export type SaveState =
  | { readonly kind: 'saved'; readonly at: number }
  | { readonly kind: 'unsaved' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'offline' }
  | { readonly kind: 'refused'; readonly message: string }
  | { readonly kind: 'conflict'; readonly theirs: { revision: number; course: Course } };

interface OpenCourse {
  readonly id: string;
  readonly revision: number;
  readonly course: Course;
  /**
   * Earlier and undone versions. Whole courses, not patches: edits share what they do not change, so
   * a version costs no more than its difference.
   */
  readonly past: readonly Course[];
  readonly future: readonly Course[];
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
  undo: () => void;
  redo: () => void;
  /** What is done to others is another step to undo, unless they are chosen `amid` an edit that goes on. */
  choose: (ids: Iterable<string>, amid?: boolean) => void;
  take: (piece: PieceInHand | null) => void;
  setSave: (save: SaveState, revision?: number) => void;
}

const NOBODY: ReadonlySet<string> = new Set();
const UNSAVED: SaveState = { kind: 'unsaved' };
let merging: string | undefined;

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
    const { course, past, choice } = get();
    const base = from ?? course;
    const next = keepSymmetry(base, change(base));
    if (next === course) return;
    if (next.models !== course.models) registerModels(next);
    const goesOn = merge !== undefined && merge === merging;
    merging = merge;
    set({
      course: next,
      past: goesOn ? past : [...past, course],
      future: [],
      choice: stillThere(next, choice),
      save: UNSAVED,
    });
  },
  undo: () => step(get, set, 'past', 'future'),
  redo: () => step(get, set, 'future', 'past'),
  choose: (ids, amid) => {
    if (!amid) merging = undefined;
    set({ choice: new Set(ids) });
  },
  take: (inHand) => set(inHand ? { inHand, choice: NOBODY } : { inHand }),
  setSave: (save, revision) => set(revision === undefined ? { save } : { save, revision }),
}));

function step(
  get: () => CourseStore,
  set: (change: Partial<CourseStore>) => void,
  from: 'past' | 'future',
  to: 'past' | 'future',
): void {
  const state = get();
  const next = state[from][state[from].length - 1];
  if (!next) return;
  merging = undefined;
  set({
    course: next,
    [from]: state[from].slice(0, -1),
    [to]: [...state[to], state.course],
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
