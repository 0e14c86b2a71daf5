import { act, renderHook } from '@testing-library/react-native';
import { useAskedJob } from '../parts/useAskedJob';

/** A job that is ended from here. */
function asked() {
  let tell: (part: number) => void = () => {};
  let finish: (found: object) => void = () => {};
  let fail: (problem: Error) => void = () => {};
  let cancelled = false;
  const { result, unmount } = renderHook(() =>
    useAskedJob((progress) => {
      tell = progress;
      const found = new Promise<object>((resolve, reject) => {
        finish = resolve;
        fail = reject;
      });
      const cancel = () => {
        cancelled = true;
        fail(new Error('Cancelled.'));
      };
      return { result: found, cancel, cancelled: () => cancelled };
    }),
  );
  return {
    result,
    unmount,
    begin: () => act(() => result.current.begin()),
    tell: (part: number) => act(() => tell(part)),
    finish: (found: object) => act(async () => finish(found)),
    fail: (words: string) => act(async () => fail(new Error(words))),
    stopped: () => cancelled,
  };
}

test('how far it is is told until it is found, and not after', async () => {
  const job = asked();
  job.begin();
  expect(job.result.current.part).toBe(0);
  job.tell(0.5);
  expect(job.result.current.part).toBe(0.5);
  await job.finish({ some: 'thing' });
  expect(job.result.current).toMatchObject({ part: null, found: { some: 'thing' }, problem: null });
  job.tell(1);
  expect(job.result.current.part).toBeNull();
});

test('what breaks is told, what is stopped is not', async () => {
  const job = asked();
  job.begin();
  await job.fail('It broke.');
  expect(job.result.current.problem?.message).toBe('It broke.');
  job.begin();
  expect(job.result.current.problem).toBeNull();
  await act(async () => job.result.current.stop());
  expect(job.result.current).toMatchObject({ part: null, found: null, problem: null });
});

test('whoever asked being gone, it ends', () => {
  const job = asked();
  job.begin();
  job.unmount();
  expect(job.stopped()).toBe(true);
});
