import { useEffect } from 'react';
import type { Workbox } from 'workbox-window';
import { askToast, showToast } from '../parts';
import { afterRuns, isRunOn } from './runOn';

/** Time between looks whether there is a newer Stone Hop, ms. */
const EVERY = 60 * 60_000;
/** Time after which the page is loaded anew by itself: the newer one waits for what the older still has to answer, ms. */
const PATIENCE = 4_000;

/**
 * Has the pages start without a network from now on, and says when a newer Stone Hop is at hand: it takes over when its
 * user says so and no tab has a run on, or with the next start. What is being edited is kept before the page is loaded anew.
 */
export function useUpdates(): void {
  useEffect(() => {
    if (__DEV__ || !('serviceWorker' in navigator)) return;
    let timer: ReturnType<typeof setInterval> | undefined;
    let gone = false;
    const begin = async () => {
      const { Workbox } = await import('workbox-window');
      if (gone) return;
      const worker = new Workbox('/sw.js');
      worker.addEventListener('waiting', () => offer(worker));
      // All tabs go over together: what an old page has yet to load of its own is gone by then.
      let controlled = navigator.serviceWorker.controller !== null;
      worker.addEventListener('controlling', () => {
        if (controlled) void afterRuns(() => window.location.reload());
        controlled = true;
      });
      await worker.register({ immediate: true });
      timer = setInterval(() => void worker.update(), EVERY);
    };
    // Not before the page itself is there: what is kept for later takes longer than it.
    const wait = setTimeout(() => void begin().catch(() => {}), 1500);
    return () => {
      gone = true;
      clearTimeout(wait);
      clearInterval(timer);
    };
  }, []);
}

const offer = (worker: Workbox): void =>
  askToast('A newer Stone Hop is here.', {
    label: 'Load it',
    act: () => {
      void isRunOn().then((on) => {
        if (on) showToast('It is loaded once no tab has a run on.');
      });
      void afterRuns(() => {
        worker.messageSkipWaiting();
        setTimeout(() => void afterRuns(() => window.location.reload()), PATIENCE);
      });
    },
  });
