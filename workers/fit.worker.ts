import { expose } from 'comlink';
import { fitTrack, type Fit, type FitWish } from '@/core/assemble';

/** What can be asked of the worker. */
export interface Labour {
  fit: (wish: FitWish, progress: (part: number) => void) => Fit;
}

const labour: Labour = {
  fit: (wish, progress) => fitTrack(wish, progress),
};

expose(labour);
