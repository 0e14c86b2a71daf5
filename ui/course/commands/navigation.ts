import { createContext, useContext } from 'react';
import type { Phase } from '../../parts';

/** Where commands of a course can go. */
export interface Navigation {
  readonly to: (phase: Phase) => void;
  readonly help: () => void;
  readonly times: () => void;
  readonly runHere: () => void;
}

const NavigationContext = createContext<Navigation | null>(null);

/** Gives what stands below it the way to other places. */
export const NavigationProvider = NavigationContext.Provider;

/** The way to other places. @throws outside the screen of a course */
export function useNavigation(): Navigation {
  const navigation = useContext(NavigationContext);
  if (!navigation) throw new Error('There is no course screen around this component.');
  return navigation;
}
