import type { Targets } from '../course';

/** Tries that a proposal's falls are found by. */
export const PROPOSAL_TRIES = 60;
/** Parts of the proof's time that swift and brisk allow; steady, and what it adds for a fall to expect, up to so many. */
const [SWIFT, BRISK, STEADY, A_FALL, MOST_FALLS] = [1.02, 1.2, 1.5, 0.25, 6];

/**
 * Targets for a course by its proof: swift is the proof and 2 %, brisk and 20 %, steady half as much again and a quarter
 * of the run more for each fall that an unsteady hand has to expect, six at most. Each is rounded up to half a second.
 * @param time the proof's, s
 * @param falls to expect on a run, as `steadinessOf` finds them
 */
export function proposedTargets(time: number, falls: number): Targets {
  const of = (part: number) => Math.ceil(2 * part * time - 1e-9) / 2;
  const steady = STEADY + A_FALL * Math.min(MOST_FALLS, Math.max(0, falls));
  return { steady: of(steady), brisk: of(BRISK), swift: of(SWIFT) };
}

/** The targets that no run so fast meets, the slowest first. */
export const unmetTargets = (targets: Targets, time: number): (keyof Targets)[] =>
  (['steady', 'brisk', 'swift'] as const).filter((key) => targets[key] < time);

/**
 * Pars for the legs of a course by its proof: the strokes it took on each, and one more for every three of them.
 * @param legs the strokes of each leg, as a replay tells them
 */
export const proposedPars = (legs: readonly { readonly strokes: number }[]): number[] =>
  legs.map(({ strokes }) => Math.min(99, Math.max(1, strokes + Math.floor(strokes / 3))));
