import { createStore, get, set } from 'idb-keyval';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import {
  buildWorld,
  carryState,
  type CarryProblem,
  courseHash,
  type Run,
  type RunFrom,
  type RunState,
  type StateKeys,
} from '@/core/run';

/** A moment of a run, kept to begin from again. */
export interface KeptMoment {
  /** When it was kept, ms; no two of a course are alike. */
  readonly at: number;
  readonly name: string;
  readonly tick: number;
  /** Where the foot was, m. */
  readonly place: Vec3;
  /** What was pressed up to it, on the course as it was then; none where that cannot be played again. */
  readonly run: Run | null;
  readonly from?: RunFrom;
  /** How it stood, for the course as it may be by then. */
  readonly keys: StateKeys;
  readonly state: RunState;
}

/** Most moments kept of one course. */
export const MOST_MOMENTS = 9;

/** What an attempt that goes on from a moment begins with, or why it cannot. */
export type FromMoment =
  | { readonly kind: 'moment'; readonly run: Run; readonly from?: RunFrom }
  | { readonly kind: 'state'; readonly state: RunState }
  | CarryProblem;

/**
 * How to go on from a moment: on the course it was kept on by playing what was pressed, bit for bit; on another
 * edition of it from how it stood, where that is possible.
 */
export function fromMoment(course: Course, moment: KeptMoment): FromMoment {
  const { run, from, keys, state } = moment;
  if (run && run.course === courseHash(course)) return { kind: 'moment', run, from };
  const carried = carryState(keys, state, buildWorld(course));
  return typeof carried === 'string' ? carried : { kind: 'state', state: carried };
}

/** Why a moment cannot be gone on from, in words. */
export const CARRY_WORDS: Readonly<Record<CarryProblem, string>> = {
  'other-runner': 'The runner, the legs or the lane are others now.',
  loose: 'Loose pieces lay as they did only on the course as it was.',
  'marks-gone': 'A cairn it passed or a shell it gathered is gone.',
  inside: 'It would stand inside a piece now.',
};

let store: ReturnType<typeof createStore> | undefined;
const moments = () => (store ??= createStore('stonehop-moments', 'moments'));

/** The moments kept of a course on this device, in the order they come on the way; none where storage is forbidden. */
export async function momentsOf(course: string): Promise<readonly KeptMoment[]> {
  try {
    const kept = (await get<KeptMoment[]>(course, moments())) ?? [];
    return kept.toSorted((a, b) => a.tick - b.tick);
  } catch {
    return [];
  }
}

/** Keeps a moment; answers whether there was room, as one that is kept is never lost for another. */
export async function keepMoment(course: string, moment: KeptMoment): Promise<boolean> {
  const kept = await momentsOf(course);
  if (kept.length >= MOST_MOMENTS) return false;
  // Bodies are of this page; without them the state goes only where nothing lies loose.
  const { state } = moment;
  const snapshot = state.snapshot?.bodies ? null : state.snapshot;
  await set(
    course,
    [...kept, { ...moment, state: { ...state, bodies: null, snapshot } }],
    moments(),
  );
  return true;
}

/** Lets go of a moment. */
export async function dropMoment(course: string, at: number): Promise<void> {
  const kept = await momentsOf(course);
  await set(
    course,
    kept.filter((moment) => moment.at !== at),
    moments(),
  );
}
