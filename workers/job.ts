/** Something under way elsewhere, that can be stopped. */
export interface CancellableJob<T> {
  readonly result: Promise<T>;
  readonly cancel: () => void;
  readonly cancelled: () => boolean;
}

/**
 * One job in a worker that has nothing else to do. The worker ends when the job fails or is cancelled.
 *
 * @param worker - does it
 * @param ask - asks for it; what it throws is told with its words alone
 * @param unbegun - words for a worker that cannot be begun
 * @param done - is given the worker when its answer is told; ends it when left out
 */
export function jobIn<T>(
  worker: Worker,
  ask: () => Promise<T>,
  unbegun: string,
  done: (worker: Worker) => void = (free) => free.terminate(),
): CancellableJob<T> {
  let stopped = false;
  let settled = false;
  let refuse: (problem: Error) => void = () => {};
  const result = new Promise<T>((resolve, reject) => {
    const settle = (then: () => void) => {
      if (settled) return;
      settled = true;
      worker.removeEventListener('error', broken);
      then();
    };
    refuse = (problem) =>
      settle(() => {
        worker.terminate();
        reject(problem);
      });
    const broken = () => refuse(new Error(unbegun));
    worker.addEventListener('error', broken);
    ask().then(
      (answer) =>
        settle(() => {
          done(worker);
          resolve(answer);
        }),
      (problem: Error) => refuse(new Error(problem.message)),
    );
  });
  return {
    result,
    cancel: () => {
      if (settled) return;
      stopped = true;
      refuse(new Error('Cancelled.'));
    },
    cancelled: () => stopped,
  };
}

/**
 * Several jobs as one, some of them at once; when one fails or all are cancelled, none goes on.
 *
 * @param jobs - each begins one
 * @param most - how many are under way at once
 * @param together - what comes of their answers, in their order
 */
export function jobsTogether<A, T>(
  jobs: readonly (() => CancellableJob<A>)[],
  most: number,
  together: (answers: readonly A[]) => T,
): CancellableJob<T> {
  const answers: A[] = [];
  const underWay = new Set<CancellableJob<A>>();
  let next = 0;
  let stopped = false;
  const stopAll = () => {
    next = jobs.length;
    underWay.forEach((job) => job.cancel());
  };
  const work = async (): Promise<void> => {
    while (next < jobs.length) {
      const at = next++;
      const job = jobs[at]();
      underWay.add(job);
      answers[at] = await job.result;
      underWay.delete(job);
    }
  };
  const result = Promise.all(Array.from({ length: Math.min(most, jobs.length) }, work)).then(
    () => together(answers),
    (problem: Error) => {
      stopAll();
      throw problem;
    },
  );
  return {
    result,
    cancel: () => {
      stopped = underWay.size > 0;
      stopAll();
    },
    cancelled: () => stopped,
  };
}
