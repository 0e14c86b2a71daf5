import { create } from 'zustand';
import type { Course } from '@/core/course';

/** A version that the course is held against in the scene. */
export interface ComparedVersion {
  /** The course's id. */
  readonly id: string;
  readonly revision: number;
  readonly version: Course;
}

interface Versions {
  /** Whether the sheet of versions is open, and the revision it compares with. */
  readonly open: boolean;
  readonly comparing: number | null;
  readonly inScene: ComparedVersion | null;
  readonly set: (change: Partial<Omit<Versions, 'set'>>) => void;
}

/** What of the earlier versions of the open course is looked at. */
export const useVersions = create<Versions>()((set) => ({
  open: false,
  comparing: null,
  inScene: null,
  set,
}));
