import { proxy, wrap } from 'comlink';
import type { Fit, FitWish } from '@/core/edit';
import type { FitWorkerApi } from './fit.worker';
import { jobIn, type CancellableJob } from './job';

/** Fits a track to a sketch in a worker of its own; cancelling ends the worker. */
export function beginFit(wish: FitWish, progress: (part: number) => void): CancellableJob<Fit> {
  const worker = new Worker(new URL('./fit.worker', window.location.href));
  const labour = wrap<FitWorkerApi>(worker);
  return jobIn(worker, () => labour.fit(wish, proxy(progress)), 'The search could not be begun.');
}
