import { expose } from 'comlink';
import { fitTrack, type Fit, type FitWish } from '@/core/edit';

/** What can be asked of the worker. */
export interface FitWorkerApi {
  fit: (wish: FitWish, progress: (part: number) => void) => Fit;
}

const labour: FitWorkerApi = {
  fit: (wish, progress) => fitTrack(wish, progress),
};

expose(labour);
