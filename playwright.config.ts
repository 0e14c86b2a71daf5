import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

// Without its window Chromium takes a third less of the processor, which draws the scene as well.
const SHELL = '/usr/bin/chromium-headless-shell';

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  // The scene is drawn by the processor: two pages at once are hardly quicker in all, and then one or the other is too
  // slow for what is done by the clock.
  workers: 1,
  // A failed test is tried once more only to tell the flaky from the broken; both fail the whole.
  retries: 1,
  timeout: 180_000,
  expect: { timeout: 20_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    actionTimeout: 30_000,
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: existsSync(SHELL) ? SHELL : '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--use-gl=angle',
        '--use-angle=swiftshader',
        '--enable-unsafe-swiftshader',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // Without a graphics card only the scene is worth drawing as if there were one, not the page around it.
        '--disable-gpu-compositing',
      ],
    },
    permissions: ['clipboard-read', 'clipboard-write'],
  },
});
