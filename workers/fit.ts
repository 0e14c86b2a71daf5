import { proxy, wrap } from 'comlink';
import type { Fit, FitWish } from '@/core/edit';
import type { FitWorkerApi } from './fit.worker';

/** Something under way elsewhere, that can be stopped. */
export interface CancellableJob<T> {
  readonly result: Promise<T>;
  readonly cancel: () => void;
  readonly cancelled: () => boolean;
}

/** Fits a track to a sketch in a worker of its own; cancelling ends the worker. */
export function beginFit(wish: FitWish, progress: (part: number) => void): CancellableJob<Fit> {
  const worker = new Worker(new URL('./fit.worker', window.location.href));
  const labour = wrap<FitWorkerApi>(worker);
  let stopped = false;
  let refuse: (problem: Error) => void = () => {};
  const end = () => worker.terminate();
  const result = new Promise<Fit>((resolve, reject) => {
    refuse = reject;
    worker.addEventListener('error', () => reject(new Error('The search could not be begun.')));
    labour
      .fit(wish, proxy(progress))
      .then(resolve, (problem: Error) => reject(new Error(problem.message)));
  });
  result.then(end, end);
  return {
    result,
    cancel: () => {
      stopped = true;
      end();
      refuse(new Error('Cancelled.'));
    },
    cancelled: () => stopped,
  };
}
