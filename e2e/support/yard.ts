import type { Page } from '@playwright/test';
import type { Course } from '@/core/course';
import { starterCourse } from '@/ui/courses/starters';
import { SceneHands } from './scene';
import { expect } from './test';

/** What the top bar says of the course: how many pieces, and how it is kept. */
export const pieces = (page: Page) => page.getByTestId('save-state');

/**
 * A free-roaming course on a phone, looked straight down on so that places are touched where they are: a slab, a
 * start at its left and a lantern 4.5 m to the right of that.
 */
export async function yard(
  openMade: (course: Course, device: 'phone') => Promise<Page>,
  name: string,
) {
  const page = await openMade(
    starterCourse(name, { kind: 'point', runner: 'hopper', space: 'free' }),
    'phone',
  );
  await expect(pieces(page)).toContainText('3 pieces');
  await page.getByTestId('view-mode').tap();
  await page.getByTestId('view-mode').tap();
  await expect(page.getByTestId('view-mode')).toHaveText(/Above/);
  return { page, hands: new SceneHands(page) };
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
