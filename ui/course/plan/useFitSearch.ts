import { useEffect, useRef, useState } from 'react';
import type { Fit, FitWish } from '@/core/edit';
import { beginFit } from '@/workers/fit';
import type { CancellableJob } from '@/workers/job';

/** A search for track: how far it is, what went wrong, and how one is begun and ended. */
export interface FitSearch {
  /** The share that is done, 0 to 1; null while none goes on. */
  readonly part: number | null;
  readonly error: string | null;
  /** Begins one; what it finds is laid. */
  readonly begin: (wish: () => FitWish, lay: (fit: Fit) => void) => Promise<void>;
  readonly cancel: () => void;
}

/** Searches for track in a worker, as long as this is shown. */
export function useFitSearch(): FitSearch {
  const [part, setPart] = useState<number | null>(null);
  const [error, setError] = useState<string | null>(null);
  const work = useRef<CancellableJob<Fit> | null>(null);
  useEffect(() => () => work.current?.cancel(), []);
  return {
    part,
    error,
    begin: async (wish, lay) => {
      setError(null);
      let job: CancellableJob<Fit> | null = null;
      try {
        job = beginFit(wish(), setPart);
        setPart(0);
        work.current = job;
        lay(await job.result);
      } catch (problem) {
        if (!job?.cancelled()) setError((problem as Error).message);
      }
      setPart(null);
    },
    cancel: () => {
      work.current?.cancel();
      setPart(null);
    },
  };
}
