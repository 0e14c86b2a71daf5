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

for (const device of ['phone', 'wide'] as const) {
  test(`every screen and sheet on a ${device} is open to all`, async ({ open }) => {
    test.setTimeout(180_000);
    const page = await open('/', device);
    await page.getByTestId('demo-copy-low-tide-steps').waitFor();
    await expectOpenToAll(page, 'courses');
    for (const name of ['Open', 'Bin', 'Account']) {
      const button = page.getByRole('button', { name: new RegExp(`^${name}`) }).first();
      await sheet(page, name, () => button.click());
    }
    await sheet(page, 'new', () => page.getByTestId('new-course').click());
    await page.getByTestId('new-course').click();
    await page.getByTestId('new-begin').click();
    await expect(page.getByTestId('save-state')).toContainText('3 pieces');
    await expectOpenToAll(page, 'lay');
    await page.getByTestId('plan-toggle').click();
    await expectOpenToAll(page, 'plan of the course');
    await page.getByTestId('plan-toggle').click();
    await page.getByTestId('family-slab').click();
    await page.getByTestId('hand-more').click();
    await expectOpenToAll(page, 'in hand');
    await page.getByTestId('hand-done').click();
    await page.keyboard.press('Control+a');
    await expectOpenToAll(page, 'chosen');
    for (const id of ['snap-settings', 'act-copies', 'act-swap']) {
      await sheet(page, id, () => page.getByTestId(id).click());
    }
    await sheet(page, 'findings', () => page.getByLabel('Findings').first().click());
    await sheet(page, 'finder', () => page.keyboard.press('Control+k'));
    for (const tool of 'wyurdi') {
      await page.keyboard.press(tool);
      await expectOpenToAll(page, `tool ${tool}`);
    }
    await page.getByTestId('phase-tune').click();
    for (const tab of await page
      .getByRole('tablist', { name: 'Of the piece' })
      .getByRole('tab')
      .all()) {
      await tab.click();
      await expectOpenToAll(page, 'tune the chosen');
    }
    await page.keyboard.press('Escape');
    for (const tab of await page
      .getByRole('tablist', { name: 'Of the course' })
      .getByRole('tab')
      .all()) {
      await tab.click();
      await expectOpenToAll(page, 'tune the course');
    }
    await page.getByTestId('phase-plan').click();
    await expectOpenToAll(page, 'plan');
    await sheet(page, 'versions', () =>
      page.getByRole('button', { name: 'Earlier versions' }).click(),
    );
    await page.getByTestId('phase-share').click();
    await expectOpenToAll(page, 'share');
    await page.getByTestId('phase-run').click();
    await expect(page.getByTestId('run-clock')).toBeVisible();
    await expectOpenToAll(page, 'run');
    await page.keyboard.press('p');
    await expect(page.getByRole('dialog')).toBeVisible();
    await expectOpenToAll(page, 'paused');
    await page.goto(new URL('/help', page.url()).href);
    await expect(page.getByText('Undo', { exact: true }).first()).toBeVisible();
    await expectOpenToAll(page, 'help');
  });
}
