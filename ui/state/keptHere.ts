import { create } from 'zustand';

/** True in `fails` while the browser refuses to store: it is full, or in private mode. */
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
