import { type CancellableJob, jobIn, jobsTogether } from './job';

/** Stands for a worker: tells whether it was ended, and breaks when told to. */
function worker() {
  const heard = new Set<() => void>();
  const terminate = jest.fn();
  const stands = {
    terminate,
    addEventListener: (_: string, hear: () => void) => heard.add(hear),
    removeEventListener: (_: string, hear: () => void) => heard.delete(hear),
  } as unknown as Worker;
  return { stands, terminate, heard, breaks: () => [...heard].forEach((hear) => hear()) };
}

const answer = () => Promise.resolve(7);
const never = () => new Promise<number>(() => {});

test('a worker ends with its job', async () => {
  const { stands, terminate } = worker();
  await expect(jobIn(stands, answer, 'Broken.').result).resolves.toBe(7);
  expect(terminate).toHaveBeenCalledTimes(1);
});

test('one that is kept goes on, whatever becomes of the job that is done', async () => {
  const { stands, terminate, heard } = worker();
  const done = jest.fn();
  const job = jobIn(stands, answer, 'Broken.', done);
  await expect(job.result).resolves.toBe(7);
  job.cancel();
  expect(done).toHaveBeenCalledWith(stands);
  expect(job.cancelled()).toBe(false);
  expect(terminate).not.toHaveBeenCalled();
  expect(heard.size).toBe(0);
});

test('one whose job is cancelled, fails or breaks is not kept', async () => {
  for (const [ask, act, words] of [
    [never, (job: { cancel: () => void }) => job.cancel(), 'Cancelled.'],
    [() => Promise.reject(new Error('No way.')), () => {}, 'No way.'],
    [never, (_: unknown, breaks: () => void) => breaks(), 'Broken.'],
  ] as const) {
    const { stands, terminate, breaks } = worker();
    const done = jest.fn();
    const job = jobIn<number>(stands, ask, 'Broken.', done);
    act(job, breaks);
    await expect(job.result).rejects.toThrow(words);
    expect(job.cancelled()).toBe(words === 'Cancelled.');
    expect(terminate).toHaveBeenCalledTimes(1);
    expect(done).not.toHaveBeenCalled();
  }
});

/** Jobs that are answered when told to be, and what was begun and ended of them. */
function jobs(count: number) {
  const told: ((answer: number) => void)[] = [];
  const failed: ((problem: Error) => void)[] = [];
  const ended: number[] = [];
  const begin = Array.from({ length: count }, (_, i) => (): CancellableJob<number> => {
    const result = new Promise<number>((resolve, reject) => {
      told[i] = resolve;
      failed[i] = reject;
    });
    const cancel = () => {
      ended.push(i);
      failed[i](new Error('Cancelled.'));
    };
    return { result, cancel, cancelled: () => ended.includes(i) };
  });
  return { begin, told, failed, ended };
}

const join = (answers: readonly number[]) => answers.join(' ');
const soon = () => new Promise((resolve) => setTimeout(resolve, 0));

test('no more jobs than may be are under way at once, and their answers come in their order', async () => {
  const { begin, told } = jobs(3);
  const { result } = jobsTogether(begin, 2, join);
  expect(told.length).toBe(2);
  told[1](11);
  await soon();
  expect(told.length).toBe(3);
  told[2](12);
  told[0](10);
  await expect(result).resolves.toBe('10 11 12');
});

test('one that fails ends the others, and none begins after it', async () => {
  const { begin, told, failed, ended } = jobs(3);
  const job = jobsTogether(begin, 2, join);
  failed[1](new Error('No way.'));
  await expect(job.result).rejects.toThrow('No way.');
  expect([told.length, ended.includes(0), job.cancelled()]).toEqual([2, true, false]);
});

test('all end when they are cancelled, and nothing ends once all are answered', async () => {
  const { begin, ended } = jobs(3);
  const job = jobsTogether(begin, 2, join);
  job.cancel();
  await expect(job.result).rejects.toThrow('Cancelled.');
  expect([ended.slice(0, 2), job.cancelled()]).toEqual([[0, 1], true]);
  const other = jobs(1);
  const done = jobsTogether(other.begin, 2, join);
  other.told[0](1);
  await done.result;
  done.cancel();
  expect([other.ended, done.cancelled()]).toEqual([[], false]);
});
