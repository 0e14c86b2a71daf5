import { test as base, type Page } from '@playwright/test';
import { TestServer } from './server';

interface Fixtures {
  /** A page whose drawing is the light one, so that no test depends on how fast this machine draws. */
  readonly open: (path: string, device: 'phone' | 'wide') => Promise<Page>;
}

/** No motion but what is asked for: places stay where they are touched. */
const STILL = { reducedMotion: 'reduce' } as const;

/** Tests against the built application on a server and database of their own. */
export const test = base.extend<Fixtures, { server: TestServer }>({
  server: [
    async ({}, use) => {
      const server = new TestServer();
      await server.start();
      await use(server);
      await server.remove();
    },
    { scope: 'worker' },
  ],
  open: async ({ browser, server }, use) => {
    const contexts: { close: () => Promise<void> }[] = [];
    await use(async (path, device) => {
      const context = await browser.newContext(
        device === 'phone'
          ? { ...STILL, viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }
          : { ...STILL, viewport: { width: 1280, height: 800 } },
      );
      await context.addInitScript(() => {
        if (!localStorage.getItem('stonehop-settings')) {
          const state = { light: 'day', drawing: 'light', player: '' };
          localStorage.setItem('stonehop-settings', JSON.stringify({ state, version: 0 }));
        }
      });
      contexts.push(context);
      const page = await context.newPage();
      await page.goto(server.url + path);
      return page;
    });
    for (const context of contexts) await context.close();
  },
});

export { expect } from '@playwright/test';
