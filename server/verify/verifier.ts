import { Piscina } from 'piscina';
import type { Run } from '@/core/run';
import { HttpError } from '../http';
import type { Verdict } from './worker';

/** Seconds after which whoever was turned away may ask again. */
const RETRY_AFTER = '5';

/** Replays runs in worker threads, a bounded number at a time. */
export class Verifier {
  private readonly pool: Piscina<{ document: string; run: Run }, Verdict>;

  constructor(workerFile: string, threads: number, queue: number) {
    this.pool = new Piscina({
      filename: workerFile,
      minThreads: Math.min(1, threads),
      maxThreads: Math.max(1, threads),
      maxQueue: queue,
      idleTimeout: 30_000,
    });
  }

  /**
   * The time a run really takes.
   * @param document the course's JSON
   * @throws HttpError 503 when too many runs are waiting, 409 or 422 when the run does not hold
   */
  async verify(document: string, run: Run): Promise<{ time: number }> {
    let verdict: Verdict;
    try {
      verdict = await this.pool.run({ document, run });
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
