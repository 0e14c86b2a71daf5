import { HttpError } from '../base/http';

/** Who asks for work: an address, and the maker where one is known. */
export interface Party {
  readonly address: string;
  readonly maker?: string;
}

/** What one kind of work may take. */
export interface TurnLimits {
  /** How much is worked on at a time. */
  readonly atOnce: number;
  /** Most that may wait: of all, of one address (a class may be behind it), and of one maker. */
  readonly waiting: number;
  readonly ofAddress: number;
  readonly ofMaker: number;
  /** Seconds of work that one party may have done within a minute. */
  readonly seconds: number;
}

/** Tasks that run, and tasks that wait. */
export interface Load {
  readonly working: number;
  readonly waiting: number;
}

const MINUTE = 60_000;

interface Waiting {
  readonly keys: readonly string[];
  /** How long it is taken to last, ms. */
  readonly estimate: number;
  readonly go: () => void;
  readonly refuse: (error: HttpError) => void;
}

export const busy = (
  message = 'The server is very busy just now. Try again in a moment.',
  seconds = 5,
): HttpError => new HttpError(503, 'busy', message, {}, { 'Retry-After': String(seconds) });

/**
 * Has work of one kind take turns: whoever had least done within the last minute comes first, and of those the one whose
 * work is shortest, so that nobody who asks for much holds up those who ask for little.
 */
export class Turns {
  private running = 0;
  private queue: Waiting[] = [];
  /** How much each had done, ms, and when it is forgotten: some leaks away all the time. */
  private readonly spent = new Map<string, { ms: number; at: number }>();

  constructor(
    private readonly limits: TurnLimits,
    private readonly now: () => number = () => performance.now(),
  ) {}

  /**
   * Does work when its turn comes.
   * @param party who asks for it
   * @param estimate how long it is taken to last, ms
   * @param work what is done
   * @param signal has it leave the queue
   * @throws HttpError 429 when the party has too much waiting or had too much done, 503 when too much waits altogether
   */
  async take<T>(
    party: Party,
    estimate: number,
    work: () => Promise<T>,
    signal?: AbortSignal,
  ): Promise<T> {
    const keys = keysOf(party);
    await this.turn(keys, estimate, signal);
    const from = this.now();
    try {
      return await work();
    } finally {
      for (const key of keys) this.count(key, this.now() - from);
      this.running--;
      this.next();
    }
  }

  get load(): Load {
    return { working: this.running, waiting: this.queue.length };
  }

  private async turn(keys: readonly string[], estimate: number, signal?: AbortSignal) {
    const { atOnce, waiting, seconds } = this.limits;
    const worst = Math.max(...keys.map((key) => this.spentBy(key)));
    if (worst > 1000 * seconds) {
      // So much has leaked away when it may come again.
      const rest = Math.ceil(((worst - 1000 * seconds) / (1000 * seconds)) * (MINUTE / 1000));
      throw tooMuch('The server has worked very long for you just now.', Math.max(1, rest));
    }
    if (this.running < atOnce && this.queue.length === 0) {
      this.running++;
      return;
    }
    const own = (key: string) => this.queue.filter((one) => one.keys.includes(key)).length;
    if (keys.some((key) => own(key) >= this.most(key))) {
      throw tooMuch('What you sent before is still being worked on.', 2);
    }
    await new Promise<void>((resolve, reject) => {
      const one: Waiting = { keys, estimate, go: resolve, refuse: reject };
      if (this.queue.length >= waiting && !this.makeRoom(one)) return reject(busy());
      this.queue.push(one);
      signal?.addEventListener('abort', () => {
        if (!this.queue.includes(one)) return;
        this.queue = this.queue.filter((other) => other !== one);
        reject(new HttpError(499, 'left', 'Nobody waited for the answer.'));
      });
    });
  }

  private most(key: string): number {
    return key.startsWith(BY) ? this.limits.ofMaker : this.limits.ofAddress;
  }

  private next(): void {
    if (this.queue.length === 0 || this.running >= this.limits.atOnce) return;
    const first = this.queue.reduce((best, one) => (this.rank(one) < this.rank(best) ? one : best));
    this.queue = this.queue.filter((one) => one !== first);
    this.running++;
    first.go();
  }

  /** The least comes first: the task's own length, and the recent work for its party, ms. */
  private rank({ keys, estimate }: Waiting): number {
    return estimate + Math.max(...keys.map((key) => this.spentBy(key)));
  }

  /** Where all places are taken, whoever asks least has the one of whoever asked most. Returns whether there is one. */
  private makeRoom(one: Waiting): boolean {
    if (this.queue.length === 0) return false;
    const asked = ({ keys }: Waiting) =>
      Math.max(...keys.map((key) => this.queue.filter((each) => each.keys.includes(key)).length));
    const worse = (a: Waiting, b: Waiting) => asked(a) - asked(b) || this.rank(a) - this.rank(b);
    const last = this.queue.reduce((most, each) => (worse(each, most) >= 0 ? each : most));
    const more = asked(one) + 1 - asked(last);
    // Alike in both, whoever was there first stays.
    if (more > 0 || (more === 0 && this.rank(one) >= this.rank(last))) return false;
    this.queue = this.queue.filter((each) => each !== last);
    last.refuse(busy());
    return true;
  }

  /** What is still held against somebody, ms: all of the budget leaks away within a minute. */
  private spentBy(key: string): number {
    const known = this.spent.get(key);
    if (!known) return 0;
    const leaked = ((this.now() - known.at) / MINUTE) * 1000 * this.limits.seconds;
    return Math.max(0, known.ms - leaked);
  }

  private count(key: string, ms: number): void {
    const all = this.spentBy(key) + ms;
    this.spent.set(key, { ms: all, at: this.now() });
    if (this.spent.size > MOST_KNOWN) this.forget();
  }

  /** Forgets those against whom nothing is held any more. */
  private forget(): void {
    for (const key of this.spent.keys()) if (this.spentBy(key) === 0) this.spent.delete(key);
  }
}

/** Most parties that are known at a time before those with nothing against them are forgotten. */
const MOST_KNOWN = 10_000;

/** Begins the keys of makers. */
const BY = 'by ';
const keysOf = ({ address, maker }: Party): readonly string[] =>
  maker === undefined ? [`at ${address}`] : [`at ${address}`, BY + maker];

const tooMuch = (message: string, seconds: number) =>
  new HttpError(429, 'too-much-at-once', message, {}, { 'Retry-After': String(seconds) });
