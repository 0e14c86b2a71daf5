import type { Page } from '@playwright/test';
import { SceneHands } from './scene';
import { expect } from './test';

/** What the top bar says of the course: how many pieces, and how it is kept. */
export const pieces = (page: Page) => page.getByTestId('save-state');

/** A free-roaming course on a phone, looked straight down on; its start is 2 m to the left. */
export async function yard(open: (path: string, device: 'phone') => Promise<Page>, name: string) {
  const page = await open('/', 'phone');
  await page.getByTestId('new-course').click();
  await page.getByTestId('new-name').fill(name);
  await page.getByText('Free-roaming', { exact: true }).tap();
  await page.getByTestId('new-begin').click();
  await expect(pieces(page)).toContainText('3 pieces');
  await page.getByTestId('view-mode').tap();
  await page.getByTestId('view-mode').tap();
  await expect(page.getByTestId('view-mode')).toHaveText(/Above/);
  const hands = new SceneHands(page);
  return { page, hands };
}

/** Runs straight ahead, along x, until something is seen. */
export async function runAhead(page: Page, hands: SceneHands, until: () => Promise<unknown>) {
  await page.getByTestId('phase-run').tap();
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await hands.hold('run-pad', { x: 0.5, y: 0.05 }, until);
}

/** The run has reached its goal. */
export const finished = (page: Page) => () =>
  expect(page.getByTestId('finish-time')).toBeVisible({ timeout: 30_000 });
