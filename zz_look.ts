import { chromium, type Page } from '@playwright/test';
import config from './playwright.config';
import { TestServer } from './e2e/support/server';
const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
const wide = { viewport: { width: 1280, height: 800 } };
export async function look(device: 'phone' | 'wide', fn: (page: Page, url: string, shot: (n: string) => Promise<void>) => Promise<void>) {
  const server = new TestServer();
  await server.start();
  const browser = await chromium.launch(config.use?.launchOptions);
  try {
    const context = await browser.newContext(device === 'phone' ? phone : wide);
    await context.addInitScript(() => {
      const state = { light: 'day', drawing: 'full', player: 'Brice' };
      localStorage.setItem('stonehop-settings', JSON.stringify({ state, version: 0 }));
    });
    const page = await context.newPage();
    page.on('pageerror', (e) => console.log('pageerror', e.message));
    page.setDefaultTimeout(15000);
    await fn(page, server.url, async (n) => { await page.waitForTimeout(900); await page.screenshot({ path: `/tmp/shots/${n}.png` }); }).catch(async (e) => { console.log(String(e).slice(0, 600)); await page.screenshot({ path: '/tmp/shots/fail.png' }); });
  } finally { await browser.close(); await server.remove(); }
}
export async function demo(page: Page, url: string, slug: string) {
  await page.goto(url);
  await page.getByTestId(`demo-copy-${slug}`).click();
  await page.getByTestId('phase-lay').waitFor();
  await page.waitForTimeout(600);
}
