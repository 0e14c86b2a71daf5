/** The name by which this tab tells its drafts from those of others; a reload keeps it. */
export const TAB: string = tabName();

function tabName(): string {
  const fresh = Math.random().toString(36).slice(2, 10);
  try {
    const known = sessionStorage.getItem('stonehop-tab');
    if (known) return known;
    sessionStorage.setItem('stonehop-tab', fresh);
  } catch {
    // Without storage a tab is new with each load.
  }
  return fresh;
}

const lockOf = (tab: string): string => `stonehop-tab-${tab}`;

// Held as long as the tab is there, so that others see that its drafts are in its own hands.
if (typeof navigator !== 'undefined' && 'locks' in navigator) {
  void navigator.locks.request(lockOf(TAB), () => new Promise(() => {})).catch(() => {});
}

/** Other tabs that are open just now; none where the browser cannot tell. */
export async function otherTabs(): Promise<ReadonlySet<string>> {
  if (typeof navigator === 'undefined' || !('locks' in navigator)) return new Set();
  const { held = [] } = await navigator.locks.query();
  const begin = lockOf('');
  const names = held.map(({ name = '' }) => name);
  return new Set(
    names
      .filter((name) => name.startsWith(begin))
      .map((name) => name.slice(begin.length))
      .filter((tab) => tab !== TAB),
  );
}
