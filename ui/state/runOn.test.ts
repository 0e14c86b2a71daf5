import { afterRuns, holdRun, isRunOn } from './runOn';

/** Locks as browsers have them, as far as they are asked for: shared ones side by side, an exclusive one alone. */
function fakeLocks() {
  const held: { name: string }[] = [];
  const waiting: (() => void)[] = [];
  const next = () => {
    if (held.length === 0) waiting.shift()?.();
  };
  return {
    query: async () => ({ held: [...held] }),
    request: async (name: string, { mode }: { mode: string }, act: () => unknown) => {
      if (mode === 'exclusive' && held.length > 0) {
        await new Promise<void>((resolve) => waiting.push(resolve));
      }
      const own = { name };
      held.push(own);
      await act();
      held.splice(held.indexOf(own), 1);
      next();
    },
  };
}

const settled = () => new Promise(setImmediate);
afterEach(() => Object.assign(globalThis, { navigator: undefined }));

test('what waits for runs waits for all of them, in whatever tab', async () => {
  Object.assign(globalThis, { navigator: { locks: fakeLocks() } });
  const ends = [holdRun(), holdRun()];
  expect(await isRunOn()).toBe(true);
  const act = jest.fn();
  const done = afterRuns(act);
  for (const end of ends) {
    await settled();
    expect(act).not.toHaveBeenCalled();
    end();
  }
  await done;
  expect(act).toHaveBeenCalledTimes(1);
  expect(await isRunOn()).toBe(false);
});

test('without a run, and in a browser without locks, nothing is waited for', async () => {
  const act = jest.fn();
  await afterRuns(act);
  holdRun()();
  expect(await isRunOn()).toBe(false);
  Object.assign(globalThis, { navigator: { locks: fakeLocks() } });
  await afterRuns(act);
  expect(act).toHaveBeenCalledTimes(2);
});
