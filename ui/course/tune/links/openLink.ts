import { useTune } from '../../open/tuneStore';

/** Opens a link's card, or goes back to the list. */
export const openLink = (id: string | null): void => useTune.getState().set({ link: id });
