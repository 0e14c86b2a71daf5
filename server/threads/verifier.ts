import type { Response } from 'express';
import type { Run, Score } from '@/core/run';
import { HttpError } from '../http';
import type { Pool } from './pool';

/** Replays runs to see what they are worth, one at a time for each maker. */
export class Verifier {
  private readonly waiting = new Set<string>();

  /** @param budget seconds that one run may take */
  constructor(
    private readonly pool: Pool,
    private readonly budget: number,
  ) {}

  /**
   * What a run is really worth: its time and strokes.
   * @param maker who sent it
   * @param document the course's JSON
   * @param res ends the replay when its request is left
   * @throws HttpError 429 while another of the maker's runs waits, 503 when too many wait, 409 or 422 when
   * the run does not hold
   */
  async verify(maker: string, document: string, run: Run, res: Response): Promise<Score> {
    if (this.waiting.has(maker)) {
      const again = { 'Retry-After': '2' };
      throw new HttpError(429, 'one-at-a-time', 'Your last run is still being checked.', {}, again);
    }
    const left = new AbortController();
    const leave = () => left.abort();
    res.once('close', leave);
    this.waiting.add(maker);
    try {
      const task = { document, run, budget: this.budget };
      const verdict = await this.pool.run('verify', task, left.signal);
      if ('time' in verdict) return verdict;
      const status =
        verdict.refused === 'other-course' || verdict.refused === 'other-core' ? 409 : 422;
      throw new HttpError(status, verdict.refused, verdict.message);
    } finally {
      this.waiting.delete(maker);
      res.off('close', leave);
    }
  }
}
