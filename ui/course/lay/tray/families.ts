import Fuse from 'fuse.js';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { familiesThatFit, openEndNear, type PieceInHand } from '@/core/edit';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { FAMILIES, findFamily, type Family, type FamilyGroup } from '@/core/pieces';
import { useCourse } from '../../../state/courseStore';
import { takeTool, useLay } from '../../open/laying';
import { pointedFor } from '../../tools/landing';

export const GROUPS: readonly { readonly id: FamilyGroup; readonly label: string }[] = [
  { id: 'floors', label: 'Floors' },
  { id: 'stones', label: 'Stones' },
  { id: 'timber', label: 'Timber' },
  { id: 'walls', label: 'Walls' },
  { id: 'track', label: 'Track' },
  { id: 'hazards', label: 'Hazards' },
  { id: 'movers', label: 'Movers' },
  { id: 'marks', label: 'Marks' },
  { id: 'regions', label: 'Regions' },
  { id: 'scenery', label: 'Scenery' },
];

/** Everything the tray can show: a group, or one of the lists that follow the maker. */
export type Shelf = FamilyGroup | 'fits' | 'recent' | 'favourite';

const search = new Fuse(FAMILIES, {
  keys: [
    { name: 'label', weight: 3 },
    { name: 'words', weight: 2 },
    { name: 'group', weight: 1 },
  ],
  threshold: 0.32,
  ignoreLocation: true,
});

export const findFamilies = (words: string): Family[] =>
  search.search(words.trim()).map(({ item }) => item);

const MOST_RECENT = 12;

interface Used {
  readonly recent: readonly string[];
  readonly favourites: readonly string[];
  use: (family: string) => void;
  favour: (family: string) => void;
}

/** The pieces a maker used last and likes best, kept on the device. */
export const useUsed = create<Used>()(
  persist(
    (set, get) => ({
      recent: [],
      favourites: [],
      use: (family) =>
        set({
          recent: [family, ...get().recent.filter((id) => id !== family)].slice(0, MOST_RECENT),
        }),
      favour: (family) => {
        const { favourites } = get();
        set({
          favourites: favourites.includes(family)
            ? favourites.filter((id) => id !== family)
            : [...favourites, family],
        });
      },
    }),
    { name: 'stonehop-used' },
  ),
);

/** The families of a shelf; of the open end nearest to where one looks for what fits there. */
export function onShelf(
  shelf: Shelf,
  course: Course | null,
  target: Vec3,
  used: Pick<Used, 'recent' | 'favourites'>,
): Family[] {
  if (shelf === 'fits') {
    const end = course && openEndNear(course, target);
    return end ? familiesThatFit(end) : [];
  }
  if (shelf === 'recent' || shelf === 'favourite') {
    const ids = shelf === 'recent' ? used.recent : used.favourites;
    return ids.map(findFamily).filter((family) => family !== undefined);
  }
  return FAMILIES.filter(({ group }) => group === shelf);
}

/** Takes a family in hand, to be laid by the next tap; what is drawn has a tool of its own. */
export function takeFamily(family: Family): void {
  // From here on Enter lays the piece; it should not press the tray's button again.
  (document.activeElement as HTMLElement | null)?.blur();
  useUsed.getState().use(family.id);
  if (family.drawn) {
    useCourse.getState().take(null);
    takeTool(family.drawn === 'line' ? 'wall' : 'outline');
    return;
  }
  takeTool('pieces');
  const { inHand, take } = useCourse.getState();
  // Turned as the last one was: a row of alike pieces seldom changes its heading.
  const turn = inHand?.turn;
  const taken: PieceInHand = { family: family.id, at: [0, 0, 0], ...(turn ? { turn } : {}) };
  take(taken);
  const { touchedEnd, moveGhost } = useLay.getState();
  moveGhost(touchedEnd && pointedFor(taken, touchedEnd));
}
