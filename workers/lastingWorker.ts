import { wrap, type Remote } from 'comlink';

interface Running<Api> {
  readonly worker: Worker;
  readonly api: Remote<Api>;
  /** Settles only when the worker breaks. */
  readonly broken: Promise<never>;
}

/** Something asked of a worker, and who waits for the answer. */
interface Question<Api, T> {
  readonly ask: (api: Remote<Api>) => Promise<T>;
  readonly told: (answer: T) => void;
  readonly failed: () => void;
}

/**
 * A worker that lasts from question to question. Of several asked while it is busy only the last is answered:
 * what those before asked about is no more.
 */
export class LastingWorker<Api> {
  private running: Running<Api> | null = null;
  private busy = false;
  private waiting: Question<Api, never> | null = null;

  /**
   * @param make begins the worker
   * @param brokenWords what is said when it breaks
   */
  constructor(
    private readonly make: () => Worker,
    private readonly brokenWords: string,
  ) {}

  /** Asks for something; whoever waited before and was not answered yet never will be. */
  latest<T>(
    ask: Question<Api, T>['ask'],
    told: Question<Api, T>['told'],
    failed: () => void,
  ): void {
    this.waiting = { ask, told, failed } as unknown as Question<Api, never>;
    if (!this.busy) void this.next();
  }

  /**
   * Asks for something beside all that, after what is under way.
   * @throws when the worker cannot be begun or breaks
   */
  async also<T>(ask: (api: Remote<Api>) => Promise<T>): Promise<T> {
    const running = (this.running ??= this.begin());
    try {
      return await Promise.race([ask(running.api), running.broken]);
    } catch (problem) {
      running.worker.terminate();
      // Another may have been begun since.
      if (this.running === running) this.running = null;
      throw problem;
    }
  }

  private async next(): Promise<void> {
    this.busy = true;
    while (this.waiting) {
      const { ask, told, failed } = this.waiting;
      this.waiting = null;
      try {
        told(await this.also(ask));
      } catch {
        failed();
      }
    }
    this.busy = false;
  }

  private begin(): Running<Api> {
    const worker = this.make();
    const broken = new Promise<never>((_, reject) => {
      worker.addEventListener('error', () => reject(new Error(this.brokenWords)));
    });
    broken.catch(() => {});
    return { worker, api: wrap<Api>(worker), broken };
  }
}

/** A course as workers need it: pictures under its sketch weigh much and tell them nothing. */
export const withoutPicture = <C extends { readonly sketch?: object }>({
  sketch,
  ...course
}: C): C => (sketch ? { ...course, sketch: { ...sketch, picture: undefined } } : course) as C;
