import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, Page } from '@playwright/test';
import type { Figure } from './figures';

/**
 * Measures in a page of the application as it is served, on a database of its own. Nothing where there is no browser
 * to look with.
 */
export async function withPage(
  measure: (browser: Browser, page: Page) => Promise<Figure[]>,
): Promise<Figure[]> {
  // Needed for nothing else of the command, and only where packages for working on it are.
  const { chromium } = await import('@playwright/test');
  const { default: config } = await import('@/playwright.config');
  if (!existsSync(config.use?.launchOptions?.executablePath ?? '')) return [];
  const folder = mkdtempSync(path.join(tmpdir(), 'stonehop-bench-'));
  const server = spawn(process.execPath, [path.join(__dirname, 'server.cjs')], {
    env: { ...process.env, PORT: '0', STONEHOP_DATA: folder },
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  const browser = await chromium.launch(config.use?.launchOptions);
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(await addressOf(server));
    return await measure(browser, page);
  } finally {
    await browser.close();
    server.kill('SIGKILL');
    rmSync(folder, { recursive: true, force: true });
  }
}

const addressOf = (server: ChildProcess): Promise<string> =>
  new Promise((resolve, reject) => {
    server.once('exit', () => reject(new Error('The server ended.')));
    server.stdout!.on('data', (data: Buffer) => {
      const found = /http:\/\/localhost:\d+/.exec(String(data));
      if (found) resolve(found[0]);
    });
  });
