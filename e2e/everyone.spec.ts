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

test('a course is worked without seeing its scene: found in the list, moved, turned and deleted by keys', async ({
  open,
}) => {
  const page = await open('/', 'wide');
  await page.getByTestId('demo-copy-salt-pan-hop').click();
  await expect(page.getByTestId('course-glance')).toBeVisible();
  const count = Number(/\d+/.exec((await page.getByTestId('save-state').textContent())!)![0]);
  await page.keyboard.press('Shift+K');
  await expectOpenToAll(page, 'pieces');
  await page.getByTestId('pieces-find').focus();
  await page.keyboard.type('lantern');
  // Past what clears the words.
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  const said = page.getByTestId('choice-said');
  await expect(said).toHaveText(/^Lantern chosen, at x /);
  const before = await said.textContent();
  await page.keyboard.press('ArrowRight');
  await expect(said).not.toHaveText(before!);
  await page.keyboard.press('Control+z');
  await expect(said).toHaveText(before!);
  await page.keyboard.press('Delete');
  await expect(said).toHaveText('');
  await expect(page.getByTestId('save-state')).toContainText(`${count - 1} pieces`);
  await expect(page.getByTestId('done-last')).toContainText('Took away lantern');
});

test('twice as large, nothing is lost: of a wide screen half the room is left', async ({
  open,
}) => {
  const page = await open('/', 'wide');
  for (const [width, height] of [
    [640, 400],
    [320, 640],
  ]) {
    await page.setViewportSize({ width, height });
    await page.goto(new URL('/', page.url()).href);
    await expect(page.getByTestId('new-course')).toBeVisible();
    await expectNothingCut(page, `courses at ${width}`);
    await page.getByTestId('new-course').click();
    await page.getByTestId('new-begin').click();
    await expect(page.getByTestId('save-state')).toContainText('3 pieces');
    for (const phase of ['plan', 'lay', 'tune', 'share']) {
      await page.getByTestId(`phase-${phase}`).click();
      await expectNothingCut(page, `${phase} at ${width}`);
    }
  }
});

/** Nothing of the page reaches out of it sideways, and no label is cut where it stands. */
async function expectNothingCut(page: Page, name: string) {
  const cut = await page.evaluate(() => {
    const wide = document.documentElement.clientWidth;
    const scrolls = (element: Element | null): boolean =>
      element !== null &&
      (['auto', 'scroll'].includes(getComputedStyle(element).overflowX) ||
        scrolls(element.parentElement));
    return Array.from(document.querySelectorAll('[dir=auto], input, [role=button]'))
      .filter((element) => {
        const box = element.getBoundingClientRect();
        if (box.width === 0 || scrolls(element.parentElement)) return false;
        const style = getComputedStyle(element);
        const clipped =
          style.overflowX === 'hidden' && element.scrollWidth > element.clientWidth + 1;
        return clipped || box.right > wide + 1 || box.left < -1;
      })
      .map((element) => element.outerHTML.replace(/ (class|style)="[^"]*"/g, '').slice(0, 160));
  });
  expect(cut, name).toEqual([]);
}
