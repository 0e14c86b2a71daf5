import { create } from 'zustand';

/** Sheets of the building screen that any command may open. */
export type OpenSheet = 'finder' | 'snap' | 'copies' | 'swap' | 'kit' | 'plan';

interface OpenState {
  readonly sheet: OpenSheet | null;
  open: (sheet: OpenSheet) => void;
  toggle: (sheet: OpenSheet) => void;
  close: () => void;
}

/** Which sheet lies open over the course. */
export const useOpen = create<OpenState>()((set, get) => ({
  sheet: null,
  open: (sheet) => set({ sheet }),
  toggle: (sheet) => set({ sheet: get().sheet === sheet ? null : sheet }),
  close: () => set({ sheet: null }),
}));
