/** Something under way elsewhere, that can be stopped. */
export interface CancellableJob<T> {
  readonly result: Promise<T>;
  readonly cancel: () => void;
  readonly cancelled: () => boolean;
}

/**
 * One job in a worker of its own, which ends with it or when it is cancelled.
 *
 * @param worker - made for it
 * @param ask - asks for it; what it throws is told with its words alone
 * @param unbegun - words for a worker that cannot be begun
 */
export function jobIn<T>(
  worker: Worker,
  ask: () => Promise<T>,
  unbegun: string,
): CancellableJob<T> {
  let stopped = false;
  let refuse: (problem: Error) => void = () => {};
  const end = () => worker.terminate();
  const result = new Promise<T>((resolve, reject) => {
    refuse = reject;
    worker.addEventListener('error', () => reject(new Error(unbegun)));
    ask().then(resolve, (problem: Error) => reject(new Error(problem.message)));
  });
  result.then(end, end);
  return {
    result,
    cancel: () => {
      stopped = true;
      end();
      refuse(new Error('Cancelled.'));
    },
    cancelled: () => stopped,
  };
}
