/** Most keys remembered; beyond it all are forgotten at once, which lets through more, never less. */
const MOST_KEYS = 100_000;

/** Counts what each of many does within a stretch of time, up to a limit. */
export class Bucket {
  private spent = new Map<string, number>();
  private until = 0;

  /**
   * @param limit how much each may do in a stretch
   * @param stretch ms
   * @param now the clock, ms
   */
  constructor(
    private readonly limit: number,
    private readonly stretch: number,
    private readonly now: () => number = Date.now,
  ) {}

  /** Whether somebody may do so much more; if so it is counted. */
  take(key: string, amount = 1): boolean {
    const now = this.now();
    if (now >= this.until || this.spent.size > MOST_KEYS) {
      this.spent = new Map();
      this.until = now + this.stretch;
    }
    const before = this.spent.get(key) ?? 0;
    if (before + amount > this.limit) return false;
    this.spent.set(key, before + amount);
    return true;
  }

  /** Whether somebody may do anything more; nothing is counted. */
  has(key: string): boolean {
    return this.now() >= this.until || (this.spent.get(key) ?? 0) < this.limit;
  }

  /** Seconds until all begins anew. */
  get seconds(): number {
    return Math.max(1, Math.ceil((this.until - this.now()) / 1000));
  }
}
