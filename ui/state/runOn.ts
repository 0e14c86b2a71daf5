/** The lock that every tab with a run on has a share of. */
const LOCK = 'stonehop-run';

/** Where a browser has no locks, nobody waits. */
const locks = (): LockManager | undefined => globalThis.navigator?.locks;

/** Says in all tabs that a run is on in this one, until it is told to end. */
export function holdRun(): () => void {
  let end = () => {};
  const over = new Promise<void>((resolve) => (end = resolve));
  void locks()?.request(LOCK, { mode: 'shared' }, () => over);
  return end;
}

/** True while a run is on in any tab. */
export async function isRunOn(): Promise<boolean> {
  const state = await locks()?.query();
  return !!state?.held?.some(({ name }) => name === LOCK);
}

/** Does something once no tab has a run on. */
export async function afterRuns(act: () => void): Promise<void> {
  const all = locks();
  if (all) await all.request(LOCK, { mode: 'exclusive' }, act);
  else act();
}
