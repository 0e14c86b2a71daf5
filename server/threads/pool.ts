import { Piscina } from 'piscina';
import { HttpError } from '../http';
import type { Refusal } from './intake';
import type * as worker from './worker';

type Tasks = typeof worker;

/** Seconds after which whoever was turned away may ask again. */
const RETRY_AFTER = '5';

export const busy = (message: string): HttpError =>
  new HttpError(503, 'busy', message, {}, { 'Retry-After': RETRY_AFTER });

/** Threads for the work that would keep all others waiting; a bounded number of tasks at a time. */
export class Pool {
  private readonly piscina: Piscina;

  /**
   * @param queue most tasks that may wait
   * @param memory MB that one thread may take
   */
  constructor(file: string, threads: number, queue: number, memory: number) {
    this.piscina = new Piscina({
      filename: file,
      minThreads: Math.min(1, threads),
      maxThreads: Math.max(1, threads),
      maxQueue: queue,
      idleTimeout: 30_000,
      resourceLimits: { maxOldGenerationSizeMb: memory },
    });
  }

  /**
   * Has a thread do something.
   * @param signal ends it when nobody waits for it any more
   * @throws HttpError 503 when too many wait already, 422 when it takes more memory than it may
   */
  async run<Name extends keyof Tasks>(
    name: Name,
    task: Parameters<Tasks[Name]>[0],
    signal?: AbortSignal,
  ): Promise<Awaited<ReturnType<Tasks[Name]>>> {
    try {
      return await this.piscina.run(task, { name, signal });
    } catch (error) {
      if (/queue/i.test((error as Error).message)) {
        throw busy('Very much is going on just now. Send it again in a moment.');
      }
      if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') {
        throw new HttpError(422, 'too-heavy', 'The course is too heavy to be worked on here.');
      }
      if ((error as Error).name === 'AbortError') {
        throw new HttpError(499, 'left', 'Nobody waited for the answer.');
      }
      throw error;
    }
  }

  close(): Promise<void> {
    return this.piscina.destroy();
  }
}

/** @throws HttpError when what was taken in was refused */
export function taken<T extends object>(result: T | Refusal): T {
  if (!('refused' in result)) return result;
  const { status, code, message, details } = result.refused;
  throw new HttpError(status, code, message, details);
}
