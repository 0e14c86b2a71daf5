import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { Eye } from '@/core/sight';
import type { ViewMode } from '../scene/view';

/** Where one was in a course: how it was looked at, and the work plane. */
export interface Place extends Eye {
  readonly mode: ViewMode;
  readonly level: number;
  readonly depth: number;
}

/** A place that was kept by a name. */
export interface NamedPlace {
  readonly name: string;
  readonly place: Place;
}

/** Courses whose places are kept; of more the ones left longest ago go. */
export const MOST_COURSES = 60;
/** Places kept by name in one course. */
export const MOST_NAMED = 9;

interface CoursePlaces {
  readonly last?: Place;
  readonly named: readonly NamedPlace[];
  /** When it was last left, ms. */
  readonly at: number;
}

interface Places {
  readonly courses: Readonly<Record<string, CoursePlaces>>;
  /** Keeps where one is in a course. */
  leave: (course: string, place: Place, now?: number) => void;
  /** Keeps a place by a name; one of the same name is taken over. Returns whether there was room. */
  name: (course: string, name: string, place: Place) => boolean;
  forget: (course: string, name: string) => void;
}

const NONE: CoursePlaces = { named: [], at: 0 };

/** Where one worked last in each course, and the views kept there; on this device. */
export const usePlaces = create<Places>()(
  persist(
    (set, get) => {
      const put = (course: string, change: Partial<CoursePlaces>) => {
        const courses = { ...get().courses };
        courses[course] = { ...NONE, ...courses[course], ...change };
        const ids = Object.keys(courses).sort((a, b) => courses[b].at - courses[a].at);
        for (const id of ids.slice(MOST_COURSES)) delete courses[id];
        set({ courses });
      };
      return {
        courses: {},
        leave: (course, last, now = Date.now()) => put(course, { last, at: now }),
        name: (course, name, place) => {
          const { named, at } = get().courses[course] ?? NONE;
          const others = named.filter((one) => one.name !== name);
          if (others.length >= MOST_NAMED) return false;
          put(course, { named: [...others, { name, place }], at: at || Date.now() });
          return true;
        },
        forget: (course, name) => {
          const { named } = get().courses[course] ?? NONE;
          put(course, { named: named.filter((one) => one.name !== name) });
        },
      };
    },
    { name: 'stonehop-places' },
  ),
);
