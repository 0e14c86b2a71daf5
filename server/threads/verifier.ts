import type { Response } from 'express';
import { TICKS_PER_SECOND } from '@/core/motion';
import type { Run } from '@/core/run';
import { HttpError } from '../base/http';
import { TookTooLong, type Lane, type Lanes } from './lane';
import type { Party } from './turns';
import type { Replayed, Verdict } from './verify';

/** Ticks of simulation a ms that are taken for granted of a course that was never replayed. */
const USUAL_RATE = 50;
/** ms that any replay takes besides. */
const BASE = 20;
/** Most courses of which it is known how long a tick takes. */
const MOST_KNOWN = 2000;

/** Replays runs to see what they are worth, one at a time for each maker. */
export class Verifier {
  private readonly waiting = new Set<string>();
  /** Ticks a ms, by the hash of the course. */
  private readonly rates = new Map<string, number>();

  /**
   * @param lanes for what is short and what is long
   * @param short ms that a replay in the quick lane may take
   * @param long ms that any may
   */
  constructor(
    private readonly lanes: Lanes,
    private readonly short: number,
    private readonly long: number,
  ) {}

  /**
   * What a run is really worth.
   * @param party who sent it
   * @param document the course's JSON
   * @param res ends the replay when its request is left
   * @throws HttpError 429 while another of the maker's runs waits, 503 when too many wait, 409 or 422 when
   * the run does not hold
   */
  async verify(
    party: Party & { readonly maker: string },
    document: string,
    run: Run,
    res: Response,
  ): Promise<Replayed> {
    const { maker } = party;
    if (this.waiting.has(maker)) {
      const again = { 'Retry-After': '2' };
      throw new HttpError(429, 'one-at-a-time', 'Your last run is still being checked.', {}, again);
    }
    const left = new AbortController();
    const leave = () => left.abort();
    res.once('close', leave);
    this.waiting.add(maker);
    try {
      const verdict = await this.replayed(party, document, run, left.signal);
      if ('time' in verdict) return verdict;
      const status =
        verdict.refused === 'other-course' || verdict.refused === 'other-core' ? 409 : 422;
      throw new HttpError(status, verdict.refused, verdict.message);
    } finally {
      this.waiting.delete(maker);
      res.off('close', leave);
    }
  }

  /** Replays in the quick lane what is taken to be short, and in the slow one what is not or was not. */
  private async replayed(
    party: Party,
    document: string,
    run: Run,
    signal: AbortSignal,
  ): Promise<Verdict> {
    const estimate = this.estimateOf(run);
    // Replays look at the clock themselves, before their thread would be ended.
    const by = async (lane: Lane, ms: number) => {
      const task = { document, run, budget: ms / 1000 };
      const verdict = await lane.run(party, 'verify', task, { estimate, signal });
      this.learn(run.course, verdict);
      return verdict;
    };
    const { quick, slow } = this.lanes;
    if (estimate <= this.short) {
      const verdict = await by(quick, Math.min(this.short, this.long)).catch((error: unknown) => {
        if (error instanceof TookTooLong) return null;
        throw error;
      });
      if (verdict && (!('refused' in verdict) || verdict.refused !== 'too-heavy')) return verdict;
    }
    return by(slow, this.long);
  }

  private estimateOf({ course, inputs }: Run): number {
    const ticks = inputs.reduce((sum, [count]) => sum + count, 0);
    return BASE + ticks / (this.rates.get(course) ?? USUAL_RATE);
  }

  /** Remembers how fast a course is replayed: where it took too long, slower than anything short may be. */
  private learn(course: string, verdict: Verdict): void {
    if ('refused' in verdict) {
      if (verdict.refused === 'too-heavy') this.rates.set(course, SLOWEST);
    } else if (verdict.took > BASE) this.rates.set(course, verdict.ticks / verdict.took);
    if (this.rates.size > MOST_KNOWN) this.rates.delete(this.rates.keys().next().value!);
  }
}

/** Ticks a ms of a course whose replay had to be ended: a second of it takes a second. */
const SLOWEST = TICKS_PER_SECOND / 1000;
