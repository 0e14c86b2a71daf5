import { test as base, type Browser, type BrowserContext, type Page } from '@playwright/test';
import type { Course } from '@/core/course';
import { TestServer } from './server';

type Device = 'phone' | 'wide';

interface Fixtures {
  /** A page whose drawing is the light one, so that no test depends on how fast this machine draws. */
  readonly open: (path: string, device: Device) => Promise<Page>;
  /** A page on which somebody has opened a course of theirs, made without the pages that make one. */
  readonly openMade: (course: Course, device: Device) => Promise<Page>;
  /** A page in a window of its own, once the pages are kept on its device and start without a network. */
  readonly openInstalled: (device: Device, url?: string) => Promise<Page>;
  /** A window for one more person: the device's own for the first in a test. */
  readonly person: (device: Device) => Promise<BrowserContext>;
}

interface Kept {
  readonly server: TestServer;
  /**
   * One browser window a device, for the first person of each test: what it has read of the application's code
   * stays with it, everything a person leaves does not.
   */
  readonly windows: Map<Device, BrowserContext>;
}

/**
 * No motion but what is asked for: places stay where they are touched. Half as many pixels each way as the page has:
 * what a machine without a graphics card spends its time on is drawing them.
 */
const STILL = { reducedMotion: 'reduce', deviceScaleFactor: 0.5 } as const;

/** What went wrong on the pages of a window so far, as their consoles tell it. */
const faults = new WeakMap<BrowserContext, string[]>();

/** Errors of a page fail its test; that a request was refused or not answered is told by what the page shows. */
function listen(window: BrowserContext): void {
  const told: string[] = [];
  faults.set(window, told);
  window.on('console', (message) => {
    if (message.type() !== 'error' || message.text().startsWith('Failed to load resource')) return;
    told.push(message.text());
  });
  window.on('weberror', (error) => told.push(String(error.error().stack ?? error.error())));
}

/** @throws an error with what was told since this was last asked */
function expectNoFaults(windows: Iterable<BrowserContext>): void {
  const told = [...windows].flatMap((window) => faults.get(window)!.splice(0));
  if (told.length > 0) throw new Error(`On the console of a page:\n${told.join('\n')}`);
}

const newWindow = async (
  browser: Browser,
  device: Device,
  serviceWorkers: 'allow' | 'block' = 'block',
): Promise<BrowserContext> => {
  const window = await browser.newContext({
    ...STILL,
    serviceWorkers,
    ...(device === 'phone'
      ? { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }
      : { viewport: { width: 1280, height: 800 } }),
  });
  listen(window);
  await window.addInitScript(() => {
    // An empty page has no storage.
    if (location.protocol !== 'about:' && !localStorage.getItem('stonehop-settings')) {
      const state = { light: 'day', drawing: 'light', player: '' };
      localStorage.setItem('stonehop-settings', JSON.stringify({ state, version: 0 }));
    }
  });
  return window;
};

/** Closes all pages of a window and forgets whoever used it. */
async function leave(window: BrowserContext, origin: string): Promise<void> {
  for (const page of window.pages()) await page.close();
  const page = await window.newPage();
  const session = await window.newCDPSession(page);
  await session.send('Storage.clearDataForOrigin', { origin, storageTypes: 'all' });
  await page.close();
}

/** Tests against the built application on a server and database of their own. */
export const test = base.extend<Fixtures, Kept>({
  server: [
    async ({}, use) => {
      const server = new TestServer();
      await server.start();
      await use(server);
      await server.remove();
    },
    { scope: 'worker' },
  ],
  windows: [async ({}, use) => use(new Map()), { scope: 'worker' }],
  person: async ({ browser, server, windows }, use) => {
    const used = new Set<BrowserContext>();
    const others: BrowserContext[] = [];
    await use(async (device) => {
      let window = windows.get(device);
      if (!window || used.has(window)) {
        window = await newWindow(browser, device);
        if (windows.has(device)) others.push(window);
        else windows.set(device, window);
      }
      used.add(window);
      return window;
    });
    for (const window of others) await window.close();
    for (const window of used) if (!others.includes(window)) await leave(window, server.url);
    expectNoFaults(used);
  },
  open: async ({ person, server }, use) =>
    use(async (path, device) => {
      const page = await (await person(device)).newPage();
      await page.goto(server.url + path);
      return page;
    }),
  openInstalled: async ({ browser, server }, use) => {
    const windows: BrowserContext[] = [];
    await use(async (device, url = server.url) => {
      const window = await newWindow(browser, device, 'allow');
      windows.push(window);
      const page = await window.newPage();
      await page.goto(url);
      await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
      return page;
    });
    for (const window of windows) await window.close();
    expectNoFaults(windows);
  },
  openMade: async ({ person, server }, use) =>
    use(async (course, device) => {
      const window = await person(device);
      const made = await window.request.post(`${server.url}/api/courses`, { data: { course } });
      const { id } = (await made.json()) as { id: string };
      const page = await window.newPage();
      await page.goto(`${server.url}/course/${id}`);
      return page;
    }),
});

export { expect } from '@playwright/test';
