/** Ticks of a stride. */
const STRIDE = 5;

/**
 * How many ticks something may be moved by and still hold: in strides first, then to the tick. What fails for less
 * than a stride within what holds is passed over.
 * @param most that is tried
 * @param holds whether it holds when moved by so many
 */
export function widest(most: number, holds: (by: number) => boolean): number {
  let by = 0;
  while (by + STRIDE <= most && holds(by + STRIDE)) by += STRIDE;
  while (by < most && holds(by + 1)) by++;
  return by;
}
