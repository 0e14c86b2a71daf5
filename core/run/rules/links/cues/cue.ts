import type { ReadyLink, World } from '../../../world';
import { LINK_SIZE, type RunState } from '../../../state';

// Places within a link's numbers: how often it acted and when it last did, when it will, for how many ticks
// it was stood in, and the last of them.
export const [ACTED, LAST, DUE, STOOD, STOOD_LAST] = [0, 1, 2, 3, 4];

/**
 * Whether the cue of a link is given in this tick: of one noticed by the clock asked in every tick, else when
 * something happened that may give it.
 * @param i place of the link among the course's
 */
export type IsGiven = (world: World, s: RunState, link: ReadyLink, i: number) => boolean;

/** Whether a link never acted in this run. */
export const neverActed = (s: RunState, i: number): boolean => s.links[i * LINK_SIZE + ACTED] === 0;

/** Given, once, as soon as a count of the run has come so far. */
export const counts =
  (countOf: (s: RunState) => number): IsGiven =>
  (_, s, { link }, i) =>
    neverActed(s, i) && countOf(s) >= (link.cue.count ?? 1);

/** Given when it happens to any of the link's pieces; or, waiting for all, when it has happened to each. */
export const happens =
  (wasEver: (world: World, s: RunState, piece: number) => boolean): IsGiven =>
  (world, s, { link, pieces }) =>
    !link.cue.all || pieces.every((piece) => wasEver(world, s, piece));
