/** When something is done where no frame comes, as in a page that is hidden, ms. */
const LATEST = 250;

/**
 * Does something once the frame that is being made has been handed over: what is done now shows first.
 * Returns a way to call it off.
 */
export function afterFrame(work: () => void): () => void {
  let timer = setTimeout(work, LATEST);
  const frame = requestAnimationFrame(() => {
    clearTimeout(timer);
    timer = setTimeout(work);
  });
  return () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  };
}
