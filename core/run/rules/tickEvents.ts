/** What happened within a tick that links wait for: pieces by their places. */
export interface TickEvents {
  readonly touched: number[];
  readonly broken: number[];
  readonly checkpoints: number[];
  gathered: boolean;
}

export const nothingHappened = (): TickEvents => ({
  touched: [],
  broken: [],
  checkpoints: [],
  gathered: false,
});

/** Has nothing have happened any more, for the next tick. */
export function clearEvents(happened: TickEvents): TickEvents {
  // Setting a length costs more than looking at it.
  const { touched, broken, checkpoints } = happened;
  if (touched.length > 0) touched.length = 0;
  if (broken.length > 0) broken.length = 0;
  if (checkpoints.length > 0) checkpoints.length = 0;
  happened.gathered = false;
  return happened;
}
