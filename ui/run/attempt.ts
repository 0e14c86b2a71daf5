import type { Finished } from './finish/finished';
import type { Ended } from './PauseSheet';

/** How far the player is with an attempt at a course. */
export interface Attempt {
  /** How many there were before it. */
  readonly number: number;
  /** Which start it begins at. */
  readonly start: number;
  /** The start is being chosen. */
  readonly choosing: boolean;
  /** It is being counted in. */
  readonly counting: boolean;
  readonly paused: boolean;
  /** The clock stands for going tick by tick. */
  readonly stepping: boolean;
  /** Where the next begins is being chosen. */
  readonly placing: boolean;
  /** Why it is over without the goal. */
  readonly ended: Ended | null;
  /** What it came to at the goal. */
  readonly done: Finished | null;
}

/** What a course asks before an attempt. */
export interface AttemptRules {
  /** Each attempt is counted in. */
  readonly counted: boolean;
  /** The player says where it begins. */
  readonly choice: boolean;
}

/** What happens to an attempt. */
export type AttemptEvent =
  | {
      readonly do:
        | 'toggle-pause'
        | 'pause'
        | 'go-on'
        | 'again'
        | 'counted'
        | 'ask-start'
        | 'step'
        | 'ask-place'
        | 'place-kept';
    }
  | { readonly do: 'start'; readonly start: number }
  /** The start is chosen; what had begun already begins again. */
  | { readonly do: 'begin'; readonly begun: boolean }
  | { readonly do: 'ended'; readonly why: Ended }
  | { readonly do: 'done'; readonly finished: Finished };

/** Nothing holds the clock. */
const UNHELD = { paused: false, stepping: false, placing: false, ended: null, done: null };

/** The first attempt, before anything is chosen. */
export const firstAttempt = ({ counted, choice }: AttemptRules): Attempt => ({
  number: 0,
  start: 0,
  choosing: choice,
  counting: counted,
  ...UNHELD,
});

/** How an attempt goes on from something that happens. */
export const attemptStep =
  ({ counted }: AttemptRules) =>
  (attempt: Attempt, event: AttemptEvent): Attempt => {
    const again = (): Attempt => ({
      ...attempt,
      number: attempt.number + 1,
      choosing: false,
      counting: counted,
      ...UNHELD,
    });
    switch (event.do) {
      case 'toggle-pause':
        if (attempt.done) return attempt;
        // Out of the choice of a place one comes back to the pause it was asked for in.
        if (attempt.placing) return { ...attempt, placing: false };
        return { ...attempt, paused: !attempt.paused, stepping: false };
      case 'pause':
        return { ...attempt, paused: true };
      case 'go-on':
        return { ...attempt, paused: false, stepping: false };
      case 'step':
        return { ...attempt, stepping: true };
      case 'ask-place':
        return { ...attempt, placing: true };
      case 'place-kept':
        return { ...attempt, placing: false };
      case 'counted':
        return { ...attempt, counting: false };
      case 'ask-start':
        return { ...attempt, choosing: true };
      case 'start':
        return { ...attempt, start: event.start };
      case 'begin':
        return event.begun ? again() : { ...attempt, choosing: false };
      case 'ended':
        return { ...attempt, ended: event.why };
      case 'done':
        return { ...attempt, done: event.finished };
      case 'again':
        return again();
    }
  };

/** Whether the clock stands. */
export const isHeld = ({
  paused,
  stepping,
  placing,
  choosing,
  counting,
  ended,
  done,
}: Attempt): boolean =>
  paused || stepping || placing || choosing || counting || ended !== null || done !== null;
