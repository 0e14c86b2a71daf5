import type { Page } from '@playwright/test';
import { expectOpenToAll } from './support/axe';
import { expect, test } from './support/test';

/** Opens a sheet, checks it, and closes it again. */
async function sheet(page: Page, name: string, open: () => Promise<void>) {
  await open();
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectOpenToAll(page, name);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

test('every screen and sheet on a phone is open to all', async ({ open }) => {
  test.setTimeout(180_000);
  const page = await open('/', 'phone');
  await page.getByTestId('demo-copy-low-tide-steps').waitFor();
  await expectOpenToAll(page, 'courses', true);
  for (const name of ['Open', 'Bin', 'Account']) {
    const button = page.getByRole('button', { name: new RegExp(`^${name}`) }).first();
    await sheet(page, name, () => button.click());
  }
  await sheet(page, 'new', () => page.getByTestId('new-course').click());
  await page.getByTestId('new-course').click();
  await page.getByTestId('new-begin').click();
  await expect(page.getByTestId('save-state')).toContainText('3 pieces');
  await page.getByTestId('plan-toggle').click();
  await expectOpenToAll(page, 'lay with the plan');
  await page.getByTestId('plan-toggle').click();
  await page.getByTestId('family-slab').click();
  await page.getByTestId('hand-more').click();
  await expectOpenToAll(page, 'in hand', true);
  await page.getByTestId('hand-done').click();
  await page.keyboard.press('Control+a');
  for (const id of ['snap-settings', 'look-open', 'act-copies', 'act-swap', 'act-align']) {
    await sheet(page, id, () => page.getByTestId(id).click());
  }
  await sheet(page, 'findings', () => page.getByLabel('Findings').first().click());
  await sheet(page, 'finder', () => page.keyboard.press('Control+k'));
  for (const tool of 'wyurdi') {
    await page.keyboard.press(tool);
    await expectOpenToAll(page, `tool ${tool}`);
  }
  await page.getByTestId('phase-tune').click();
  const tabs = (name: string) => page.getByRole('tablist', { name }).getByRole('tab');
  for (const tab of await tabs('Of the piece').all()) {
    await tab.click();
    await expectOpenToAll(page, 'tune the chosen');
  }
  await page.keyboard.press('Escape');
  for (const tab of await tabs('Of the course').all()) {
    await tab.click();
    await expectOpenToAll(page, 'tune the course');
  }
  await page.getByTestId('phase-plan').click();
  await expectOpenToAll(page, 'plan', true);
  await sheet(page, 'versions', () =>
    page.getByRole('button', { name: 'Earlier versions' }).click(),
  );
  await page.getByTestId('phase-share').click();
  await expectOpenToAll(page, 'share', true);
  await page.getByTestId('phase-run').click();
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await page.keyboard.press('p');
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectOpenToAll(page, 'paused', true);
  await page.goto(new URL('/help', page.url()).href);
  await expect(page.getByText('Undo', { exact: true }).first()).toBeVisible();
  await expectOpenToAll(page, 'help', true);
});

test('what stands elsewhere on a wide screen is open to all, and worked by keys alone', async ({
  open,
}) => {
  const page = await open('/', 'wide');
  await page.getByTestId('demo-copy-salt-pan-hop').click();
  await expect(page.getByTestId('course-glance')).toBeVisible();
  await expectOpenToAll(page, 'lay', true);
  // Keys go to a sheet, stay in it, and come back to where they were.
  const look = page.getByTestId('look-open');
  await look.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  for (let i = 0; i < 30; i++) {
    await page.keyboard.press('Tab');
    expect(
      await page.evaluate(() => document.activeElement?.closest('[role=dialog]') !== null),
    ).toBe(true);
  }
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(look).toBeFocused();
  await page.getByTestId('ribbon').focus();
  const eye = await page.getByTestId('scene').getAttribute('data-eye');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('scene')).not.toHaveAttribute('data-eye', eye!);
  await page.keyboard.press('Control+a');
  await expectOpenToAll(page, 'chosen');
  await page.keyboard.press('3');
  await expectOpenToAll(page, 'tune', true);
});
