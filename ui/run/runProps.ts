import type { ReactNode } from 'react';
import type { Course } from '@/core/course';
import type { Run, RunResult } from '@/core/run';
import type { Begun } from '../state/attempts';
import type { Best, Finished } from './finish/finished';
import type { Beginning, LiveRun } from './liveRun';
import type { PaleRun } from './pale/paleRun';
import type { Placed } from './stones/threeStones';

/** A place an attempt may begin at. */
export interface BeginPlace {
  readonly key: string;
  readonly name: string;
  /** More about it, or why one cannot begin there. */
  readonly note?: string;
  /** How one begins there; none where one cannot. */
  readonly beginning?: Beginning;
  /** Lets go of it. */
  readonly onDrop?: () => void;
}

/** What a maker can do in a run that no player can. */
export interface Trying {
  /** Where an attempt may begin besides the start; worked out when it is asked for. */
  readonly places: () => readonly BeginPlace[];
  /** Begins there from the next attempt on; at the start where nothing is told. */
  readonly onBegin: (beginning: Beginning | undefined) => void;
  /** Keeps the moment the run is at. */
  readonly onKeep: (live: LiveRun) => void;
}

export interface RunProps {
  readonly course: Course;
  /** Where attempts begin, when not at a start. */
  readonly beginning?: Beginning;
  /** What splits are held against. */
  readonly best?: Best;
  /**
   * What all chance of an attempt comes from, of the first, the second and so on; always the same for the
   * same one. Left out, each makes up its own.
   */
  readonly seedOf?: (attempt: number) => number | undefined;
  /** Recorded runs shown beside it, where it begins at the start. */
  readonly pales?: readonly PaleRun[];
  /** What can be tried; left out for players. */
  readonly trying?: Trying;
  /** What is on the clock when an attempt begins, s: of a sitting over several courses. */
  readonly before?: number;
  /** What leaving is called. */
  readonly leaveLabel: string;
  readonly onLeave: (live: LiveRun) => void;
  /** An attempt is over, by whatever: the goal, an end, another attempt, leaving. */
  readonly onEnd?: (ended: EndedRun) => void;
  /** The first of the course, who stand by its lantern once the goal is reached. */
  readonly first?: readonly Placed[];
  /** What is shown over the scene once the goal is reached. */
  readonly finished: (finished: Finished, again: () => void) => ReactNode;
}

/** An attempt that is over. */
export interface EndedRun {
  readonly run: Run;
  readonly result: RunResult;
  readonly begun: Begun;
}
