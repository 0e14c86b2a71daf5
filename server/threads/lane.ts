import { HttpError } from '../base/http';
import type { AnswerTo, Pool, TaskName, TaskOf } from './pool';
import type { Load, Party, Turns } from './turns';

/** Threads for one kind of work, and the turns that it takes. */
export class Lane {
  /**
   * @param pool the threads
   * @param turns who comes when
   * @param budget how long one task may take, ms
   */
  constructor(
    private readonly pool: Pool,
    private readonly turns: Turns,
    readonly budget: number,
  ) {}

  /**
   * Has a thread do something when its turn comes.
   * @param party who asks for it
   * @param name what is done
   * @param task with what
   * @param estimate how long it is taken to last, ms
   * @param signal ends it when nobody waits for it any more
   * @throws HttpError as `Turns.take` and `Pool.run`; TookTooLong when it takes longer than anything may
   */
  run<Name extends TaskName>(
    party: Party,
    name: Name,
    task: TaskOf<Name>,
    { estimate = 0, signal }: { estimate?: number; signal?: AbortSignal } = {},
  ): Promise<AnswerTo<Name>> {
    return this.turns.take(party, estimate, () => this.within(name, task, signal), signal);
  }

  private async within<Name extends TaskName>(
    name: Name,
    task: TaskOf<Name>,
    signal?: AbortSignal,
  ): Promise<AnswerTo<Name>> {
    await this.pool.ready();
    const end = new AbortController();
    const leave = () => end.abort();
    signal?.addEventListener('abort', leave);
    let isLate = false;
    const timer = setTimeout(() => {
      isLate = true;
      end.abort();
    }, this.budget);
    try {
      return await this.pool.run(name, task, end.signal);
    } catch (error) {
      throw isLate ? new TookTooLong() : error;
    } finally {
      clearTimeout(timer);
      signal?.removeEventListener('abort', leave);
    }
  }

  get load(): Load {
    return this.turns.load;
  }

  /** Starts a thread before its first task. */
  ready(): Promise<void> {
    return this.pool.ready();
  }

  close(): Promise<void> {
    return this.pool.close();
  }
}

/** Work that takes longer than anything may. */
export class TookTooLong extends HttpError {
  constructor() {
    super(422, 'too-heavy', 'The course is too heavy: it takes longer to read than may be.');
    this.name = 'TookTooLong';
  }
}

/** A lane for what is short, and one for what is long or turned out to be: the short never waits for the long. */
export class Lanes {
  constructor(
    readonly quick: Lane,
    readonly slow: Lane,
  ) {}

  /**
   * Has a thread do something, in the quick lane where it is taken to be short.
   * @param party who asks for it
   * @param name what is done
   * @param task with what
   * @param estimate how long it is taken to last, ms
   * @throws HttpError as `Lane.run`
   */
  async run<Name extends TaskName>(
    party: Party,
    name: Name,
    task: TaskOf<Name>,
    estimate: number,
  ): Promise<AnswerTo<Name>> {
    if (estimate <= this.quick.budget) {
      try {
        return await this.quick.run(party, name, task, { estimate });
      } catch (error) {
        if (!(error instanceof TookTooLong)) throw error;
      }
    }
    return this.slow.run(party, name, task, { estimate });
  }

  /** Of both together. */
  get load(): Load {
    const [quick, slow] = [this.quick.load, this.slow.load];
    return { working: quick.working + slow.working, waiting: quick.waiting + slow.waiting };
  }

  async close(): Promise<void> {
    await Promise.all([this.quick.close(), this.slow.close()]);
  }
}
