import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import type { Attempt } from '@/core/protocol';
import { api } from '../state/api';
import { KEYS } from '../state/keys';

/** Attempts that are ready before they are begun: running again must not wait for the server. */
const AHEAD = 2;
/** The shortest try, ms; the server counts none that is reported sooner. */
const TRY_TIME = 2000;

/** Takes out leave to run for the list before it is needed, and remembers which seed belongs to which. */
export class Attempts {
  private readonly ready: Attempt[] = [];
  private readonly bySeed = new Map<number, Attempt>();
  private readonly begun = new Map<number, number | undefined>();
  private asking = 0;
  private counting: ReturnType<typeof setTimeout> | undefined;
  /** The last refusal. */
  refusal: Error | null = null;

  /**
   * @param ask for an attempt; fails where the server is not in reach
   * @param begin hears of each that lasts long enough to be a try
   */
  constructor(
    private readonly ask: () => Promise<Attempt>,
    private readonly begin: (attempt: string) => void,
  ) {}

  /** Has attempts be ready. The first is waited for; without a server there are none. */
  async prepare(): Promise<void> {
    while (this.ready.length + this.asking < AHEAD) {
      this.asking++;
      try {
        const attempt = await this.ask();
        this.ready.push(attempt);
        this.bySeed.set(attempt.seed, attempt);
        this.refusal = null;
      } catch (error) {
        this.refusal = error as Error;
        return;
      } finally {
        this.asking--;
      }
    }
  }

  /** The seed of the first, the second try and so on; none where no attempt was to be had. */
  seedOf(number: number): number | undefined {
    if (!this.begun.has(number)) {
      const next = this.ready.shift();
      this.begun.set(number, next?.seed);
      clearTimeout(this.counting);
      if (next) this.counting = setTimeout(() => this.begin(next.attempt), TRY_TIME);
      void this.prepare();
    }
    return this.begun.get(number);
  }

  /** The attempt that a run of a seed was made in, if it was made in one. */
  of(seed: number): Attempt | undefined {
    return this.bySeed.get(seed);
  }
}

/** Attempts at a published course; `ready` once it is known whether any are to be had. */
export function useAttempts(slug: string) {
  const attempts = useMemo(
    () =>
      new Attempts(
        () => api.attempt(slug),
        // Only counted: what is finished counts in any case.
        (attempt) => void api.beginAttempt(slug, attempt).catch(() => {}),
      ),
    [slug],
  );
  const { isPending } = useQuery({
    queryKey: KEYS.leave(slug),
    queryFn: async () => {
      await attempts.prepare();
      return true;
    },
    retry: false,
    gcTime: 0,
  });
  const seedOf = useCallback((number: number) => attempts.seedOf(number), [attempts]);
  return { attempts, seedOf, ready: !isPending };
}
