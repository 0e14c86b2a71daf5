import { create } from 'zustand';

/** Whether this device keeps what it is given: browsers refuse it when they are full or told to. */
export const useKeptHere = create<{ readonly fails: boolean }>(() => ({ fails: false }));

/** Notes whether something was kept on this device, and says so. */
export async function notedKept(work: Promise<unknown>): Promise<boolean> {
  const kept = await work.then(
    () => true,
    () => false,
  );
  if (useKeptHere.getState().fails === kept) useKeptHere.setState({ fails: !kept });
  return kept;
}

let asked = false;

/** Asks the browser not to clear what is kept here, once somebody has made something. */
export function keepForGood(): void {
  if (asked) return;
  asked = true;
  void globalThis.navigator?.storage?.persist?.().catch(() => false);
}
