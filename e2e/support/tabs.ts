import { expect, type Page } from '@playwright/test';

/** Gives the open course a name. */
export async function rename(page: Page, name: string): Promise<void> {
  await page.getByTestId('phase-plan').click();
  await page.getByTestId('course-name').fill(name);
}

/** One course in two tabs that disagree: the first has saved a name, the second another since. */
export async function disagreeing(open: (path: string, device: 'wide') => Promise<Page>) {
  const first = await open('/', 'wide');
  await first.getByTestId('demo-copy-salt-pan-hop').click();
  await expect(first.getByTestId('save-state')).toContainText('Saved');
  const second = await first.context().newPage();
  await second.goto(first.url());
  await expect(second.getByTestId('save-state')).toContainText('Saved');
  await rename(first, 'Renamed in the first');
  await expect(first.getByTestId('save-state')).toContainText('Saved');
  await rename(second, 'Renamed in the second');
  return { first, second };
}
