import { create } from 'zustand';
import { showToast } from '../../parts';
import { useCourse } from '../../state/courseStore';

/** Sheets of the building screen that any command may open. */
export type OpenSheet =
  'finder' | 'snap' | 'copies' | 'swap' | 'kit' | 'plan' | 'look' | 'hidden' | 'pieces' | 'align';

/** Sheets about what is chosen: without a choice there is nothing for them to say. */
const OF_CHOICE: ReadonlySet<OpenSheet> = new Set(['copies', 'swap', 'kit', 'align']);

interface OpenState {
  readonly sheet: OpenSheet | null;
  open: (sheet: OpenSheet) => void;
  toggle: (sheet: OpenSheet) => void;
  close: () => void;
}

/** Which sheet lies open over the course. */
export const useOpen = create<OpenState>()((set, get) => ({
  sheet: null,
  open: (sheet) => {
    if (OF_CHOICE.has(sheet) && useCourse.getState().choice.size === 0) {
      return showToast('Choose the pieces first.');
    }
    set({ sheet });
  },
  toggle: (sheet) => (get().sheet === sheet ? set({ sheet: null }) : get().open(sheet)),
  close: () => set({ sheet: null }),
}));

// What was chosen may go while its sheet lies open: the sheet goes with it.
useCourse.subscribe(({ choice }) => {
  const { sheet, close } = useOpen.getState();
  if (sheet !== null && OF_CHOICE.has(sheet) && choice.size === 0) close();
});
