/** In tests every frame is shown at once. */
export const afterFrame = (work: () => void): (() => void) => {
  work();
  return () => undefined;
};
