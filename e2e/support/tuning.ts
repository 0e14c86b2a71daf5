import { expect, type Page } from '@playwright/test';
import type { SceneHands } from './scene';

/** Opens the figures of a piece that acts, under one of their headings. */
export async function tune(page: Page, piece: string, heading: string) {
  await page.getByTestId('phase-tune').tap();
  await page.getByRole('button', { name: piece }).first().tap();
  // The course has a heading of the same name, and stands there until the piece is shown.
  const headings = page.getByRole('tablist', { name: 'Of the piece' });
  await headings.getByRole('tab', { name: heading, exact: true }).tap();
}

export async function run(page: Page) {
  await page.getByTestId('phase-run').tap();
  await expect(page.getByTestId('run-clock')).toBeVisible();
}
/** Waits for the time at the goal. */
export const finished = (page: Page) =>
  expect(page.getByTestId('finish-time')).toBeVisible({ timeout: 40_000 });

/** Sets a figure by its label and confirms it. */
export async function figure(page: Page, label: string, value: number | string) {
  const field = page.getByRole('textbox', { name: label, exact: true });
  await field.fill(String(value));
  await field.press('Enter');
}

/** Lays one piece of a family where a finger points, and puts the rest away. */
export async function lay(
  page: Page,
  hands: SceneHands,
  shelf: string,
  family: string,
  at: readonly [number, number, number],
) {
  await page.getByTestId('phase-lay').tap();
  await page.getByText(shelf, { exact: true }).tap();
  await page.getByTestId(`family-${family}`).tap();
  await hands.tap(at);
  await page.getByTestId('hand-done').tap();
}
