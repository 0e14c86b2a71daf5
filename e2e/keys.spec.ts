import type { Page } from '@playwright/test';
import { expect, test } from './support/test';
import { pieces } from './support/yard';

/** Presses Tab until a button of a name has the focus; returns how often. */
async function tabTo(page: Page, name: RegExp, most = 40): Promise<number> {
  const passed: string[] = [];
  for (let presses = 1; presses <= most; presses++) {
    await page.keyboard.press('Tab');
    const focused = await page.evaluate(() => {
      const element = document.activeElement;
      return element?.getAttribute('aria-label') ?? element?.textContent ?? '';
    });
    if (name.test(focused)) return presses;
    passed.push(focused.slice(0, 30));
  }
  throw new Error(`${name} is not found by Tab, which came to: ${passed.join(' | ')}`);
}

test('by keys alone a course of twelve pieces is laid, run and published', async ({ open }) => {
  const page = await open('/', 'wide');
  await page.getByText('Start an empty course').waitFor();
  await tabTo(page, /^Start an empty course/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await tabTo(page, /^Name/);
  await page.keyboard.type('Keys Only');
  await tabTo(page, /^Begin/);
  await page.keyboard.press('Enter');
  await expect(pieces(page)).toContainText('3 pieces');

  // The shelves are one stop, and so are their pieces.
  expect(await tabTo(page, /^Floors/)).toBeLessThan(12);
  expect(await tabTo(page, /^Slab/)).toBeLessThan(4);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('hand-name')).toHaveText(/Slab in hand/);
  const said = page.getByTestId('choice-said');
  await expect(said).toHaveText('In hand: slab');
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowUp');
  for (let laid = 4; laid <= 12; laid++) {
    await page.keyboard.press('Enter');
    await expect(pieces(page)).toContainText(`${laid} pieces`);
  }
  await expect(said).toHaveText(/^Slab laid at /);
  await page.keyboard.press('Escape');

  await page.keyboard.press('4');
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await page.keyboard.down('ArrowRight');
  await expect(page.getByTestId('finish-time')).toBeVisible();
  await page.keyboard.up('ArrowRight');
  await tabTo(page, /^Keep as proof|^Keep/);
  await page.keyboard.press('Enter');
  await tabTo(page, /^Back to building/);
  await page.keyboard.press('Enter');
  await page.keyboard.press('5');
  await tabTo(page, /^Publish/);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('share-link')).toBeVisible();
});
