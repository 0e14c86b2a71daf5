import { useEffect, useRef, useState } from 'react';
import type { CancellableJob } from '@/workers/job';

/** Something long that is counted only when asked for, with how far it is. */
export interface AskedJob<T> {
  /** The part that is done while it is under way, else null. */
  readonly part: number | null;
  readonly found: T | null;
  readonly problem: Error | null;
  readonly begin: () => void;
  readonly stop: () => void;
}

/**
 * Asks for something long when told to. It ends when it is stopped and when whoever asked is gone: what would be
 * counted of another run, or another edition of the course, is of no use.
 */
export function useAskedJob<T extends object>(
  ask: (progress: (part: number) => void) => CancellableJob<T>,
): AskedJob<T> {
  const [part, setPart] = useState<number | null>(null);
  const [found, setFound] = useState<T | null>(null);
  const [problem, setProblem] = useState<Error | null>(null);
  const job = useRef<CancellableJob<T> | null>(null);
  useEffect(() => () => job.current?.cancel(), []);
  const begin = () => {
    setPart(0);
    setProblem(null);
    let ended = false as boolean;
    // What it says of how far it is comes by a way of its own, and may come after what it found.
    const asked = ask((now) => !ended && setPart(now));
    job.current = asked;
    asked.result
      .then(setFound, (broken: Error) => {
        if (!asked.cancelled()) setProblem(broken);
      })
      .finally(() => {
        ended = true;
        setPart(null);
      });
  };
  return { part, found, problem, begin, stop: () => job.current?.cancel() };
}
