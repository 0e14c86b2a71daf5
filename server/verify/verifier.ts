import { Piscina } from 'piscina';
import type { Run, Score } from '@/core/run';
import { HttpError } from '../http';
import type { Task, Verdict } from './worker';

/** Seconds after which whoever was turned away may ask again. */
const RETRY_AFTER = '5';

/** Replays runs in worker threads, a bounded number at a time. */
export class Verifier {
  private readonly pool: Piscina<Task, Verdict>;

  /**
   * @param budget seconds that one run may take
   * @param memory MB that one thread may take
   */
  constructor(
    workerFile: string,
    threads: number,
    queue: number,
    private readonly budget: number,
    memory: number,
  ) {
    this.pool = new Piscina({
      filename: workerFile,
      minThreads: Math.min(1, threads),
      maxThreads: Math.max(1, threads),
      maxQueue: queue,
      idleTimeout: 30_000,
      resourceLimits: { maxOldGenerationSizeMb: memory },
    });
  }

  /**
   * What a run is really worth: its time and strokes.
   * @param document the course's JSON
   * @throws HttpError 503 when too many runs are waiting, 409 or 422 when the run does not hold
   */
  async verify(document: string, run: Run): Promise<Score> {
    let verdict: Verdict;
    try {
      verdict = await this.pool.run({ document, run, budget: this.budget });
    } catch (error) {
      if (/queue/i.test((error as Error).message)) {
        throw new HttpError(
          503,
          'busy',
          'Many runs are being checked just now. Send it again in a moment.',
          {},
          { 'Retry-After': RETRY_AFTER },
        );
      }
      if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') {
        throw new HttpError(422, 'too-heavy', 'The course is too heavy to be checked here.');
      }
      throw error;
    }
    if ('time' in verdict) return verdict;
    const status =
      verdict.refused === 'other-course' || verdict.refused === 'other-core' ? 409 : 422;
    throw new HttpError(status, verdict.refused, verdict.message);
  }

  close(): Promise<void> {
    return this.pool.destroy();
  }
}
