import type { RunEvent } from '../run';

/** Whether something went wrong: a fall, a hit, being crushed, being lost. */
export const isMishap = ({ kind }: RunEvent): boolean =>
  kind === 'fall' || kind === 'hazard' || kind === 'crush' || kind === 'lost';
