import { Piscina } from 'piscina';
import { HttpError } from '../base/http';
import { BEHIND } from './behind';
import type { Refusal } from './intake';
import type * as worker from './worker';

export type Tasks = typeof worker;
export type TaskName = keyof Tasks;
export type TaskOf<Name extends TaskName> = Parameters<Tasks[Name]>[0];
export type AnswerTo<Name extends TaskName> = Awaited<ReturnType<Tasks[Name]>>;

/** Threads for the work that would keep all others waiting; a bounded number of tasks at a time. */
export class Pool {
  private made: Piscina | null = null;

  /**
   * @param file what a thread loads
   * @param threads how many there may be; the first is begun when something is first asked
   * @param memory MB that one thread may take
   * @param behind how far its threads stand behind others for a processor, 0 to 19
   */
  constructor(
    private readonly file: string,
    private readonly threads: number,
    private readonly memory: number,
    private readonly behind = 0,
  ) {}

  private get piscina(): Piscina {
    return (this.made ??= new Piscina({
      filename: this.file,
      minThreads: Math.min(1, this.threads),
      maxThreads: Math.max(1, this.threads),
      idleTimeout: 30_000,
      env: { ...(process.env as Record<string, string>), [BEHIND]: String(this.behind) },
      resourceLimits: { maxOldGenerationSizeMb: this.memory },
    }));
  }

  /**
   * Has a thread do something.
   * @param signal ends it when nobody waits for it any more
   * @throws HttpError 422 when it takes more memory than it may, 499 when it was ended
   */
  async run<Name extends TaskName>(
    name: Name,
    task: TaskOf<Name>,
    signal?: AbortSignal,
  ): Promise<AnswerTo<Name>> {
    try {
      return await this.piscina.run(task, { name, signal });
    } catch (error) {
      if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') {
        throw new HttpError(422, 'too-heavy', 'The course is too heavy to be worked on here.');
      }
      if ((error as Error).name === 'AbortError') {
        throw new HttpError(499, 'left', 'Nobody waited for the answer.');
      }
      throw error;
    }
  }

  /** Has a thread be there that has loaded what it works by: that takes long, and is nobody's task. */
  async ready(): Promise<void> {
    await this.piscina.run(undefined, { name: 'ready' });
  }

  async close(): Promise<void> {
    await this.made?.destroy();
  }
}

/** @throws HttpError when what was taken in was refused */
export function taken<T extends object>(result: T | Refusal): T {
  if (!('refused' in result)) return result;
  const { status, code, message, details } = result.refused;
  throw new HttpError(status, code, message, details);
}
