import { TICKS_PER_SECOND } from '@/core/motion';
import type { HazardSheet, Landing, UnfairHit } from '@/core/timing';

/**
 * Seconds one needs to choose what to do about something seen, when nothing else is said: mean choice reaction time
 * to a few alternatives (Teichner and Krebs, Laws of visual choice reaction time, 1974).
 */
export const REACTION = 0.35;
/** The part of a run in which the runner may be hidden before that is told as bad. */
export const MOST_HIDDEN = 0.1;

/** The least time a hazard is seen in either picture before one comes to it, s; what is seen no more counts not. */
export const leastSeen = ({ sight }: HazardSheet): number =>
  Math.min(...Object.values(sight).map(({ seen, blind }) => (blind > seen ? 0 : seen)));

/** Whether there is too little time to react to a hazard. */
export const comesTooSoon = (hazard: HazardSheet, reaction: number): boolean =>
  leastSeen(hazard) < reaction || Object.values(hazard.sight).some(({ blind }) => blind > 1);

/** Hazards with the one that is seen least first. */
export const byLeastSeen = (hazards: readonly HazardSheet[]): HazardSheet[] =>
  [...hazards].sort((a, b) => leastSeen(a) - leastSeen(b));

const seconds = (v: number): string => `${v.toFixed(2)} s`;
const seenWords = ({ seen, blind }: HazardSheet['sight']['phone']): string =>
  seen === 0
    ? 'not at all'
    : blind > 0
      ? `${seconds(seen)}, then not for ${seconds(blind)}`
      : seconds(seen);

/** How long a hazard is seen, in words. */
export const sightWords = ({ sight }: HazardSheet): string =>
  `Seen ${seenWords(sight.phone)} on a phone, ${seenWords(sight.wide)} wide.`;

/** Metres as one says them: what is under a metre in centimetres. */
export const length = (metres: number): string =>
  Math.abs(metres) < 1 ? `${Math.round(metres * 100)} cm` : `${metres.toFixed(1)} m`;

/** How near a hazard was passed, in words; nothing where it was not measured. */
export function passWords({ nearest }: HazardSheet): string {
  if (!nearest) return '';
  const over = nearest.over === null ? '' : ` Jumped over with ${length(nearest.over)} to spare.`;
  if (nearest.shapes <= 0) return `Touched.${over}`;
  const drawn =
    nearest.pictures < 10 ? `, its picture at ${length(Math.max(0, nearest.pictures))}` : '';
  return `Passed at ${length(nearest.shapes)}${drawn}.${over}`;
}

/** Milliseconds of a number of ticks. */
const milliseconds = (ticks: number): string => `${Math.round((ticks * 1000) / TICKS_PER_SECOND)}`;

/** By how much a jump may come early and late, in words. */
export const windowWords = ({ early, late }: Landing): string =>
  `${milliseconds(early)} ms early, ${milliseconds(late)} ms late`;

/** The room on what was landed on, in words. */
export const roomWords = ({ short, long }: Landing): string =>
  short < 0
    ? `Caught its edge by ${length(-short)}`
    : `${length(short)} behind the foot, ${length(Math.max(0, long))} ahead`;

/** Jumps with the narrowest first. */
export const byNarrowest = (landings: readonly Landing[]): Landing[] =>
  [...landings].sort((a, b) => a.early + a.late - (b.early + b.late));

/** What mending a hit does, in words. */
export const mendWords = ({ mend }: UnfairHit): string =>
  mend.allowance.value === 0 ? 'Touch as drawn' : `Allow ${mend.allowance.value} cm`;

/** What a mended hit was made to be, in words. */
export const mendedWords = ({ mend }: UnfairHit, name: string): string =>
  mend.allowance.value === 0
    ? `${name} touches as it is drawn now.`
    : `${name} is allowed ${mend.allowance.value} cm now.`;
