/** Whether whoever is here asked for no motion that is not needed. */
export const motionReduced = (): boolean =>
  typeof window !== 'undefined' &&
  window.matchMedia?.('(prefers-reduced-motion: reduce)').matches === true;
