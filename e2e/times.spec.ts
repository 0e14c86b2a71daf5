import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import { expectOpenToAll } from './support/axe';
import { expect, test } from './support/test';

/** A walk of some seconds with a cairn half way. */
const COURSE = layPieces(emptyCourse('Timed Walk'), [
  { family: 'slab', at: [6, -0.5, 0], size: [18, 0.5, 2] },
  { family: 'start', at: [-2, 0, 0] },
  { family: 'cairn', at: [5, 0, 0] },
  { family: 'lantern', at: [12, 0, 0] },
]);

/** Runs to the right until the lantern is touched. */
async function runRight(page: Page): Promise<void> {
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await page.keyboard.down('ArrowRight');
  await expect(page.getByTestId('finish-time')).toBeVisible({ timeout: 30_000 });
  await page.keyboard.up('ArrowRight');
}

test('runs are kept and read: parts, where the time went, gained and lost, one that did not get there', async ({
  openMade,
}) => {
  const page = await openMade(COURSE, 'wide');
  await page.getByTestId('phase-plan').click();
  await page.getByTestId('plan-times').click();
  await expect(page.getByTestId('no-times')).toBeVisible();
  await page.getByRole('button', { name: 'Run it' }).click();

  await runRight(page);
  const first = await page.getByTestId('finish-time').textContent();
  await page.getByTestId('open-times').click();
  await expect(page.getByTestId('times-time')).toHaveText(first!);
  const parts = page.getByTestId('parts-table');
  await expect(parts.getByRole('row')).toHaveCount(3);
  await expect(parts).toContainText('Cairn 1');
  await expect(parts).toContainText('Lantern');
  await expect(page.getByTestId('sum-of-best')).toContainText(first!);
  await expect(page.getByTestId('time-spent')).toContainText('on foot');
  await expect(page.getByTestId('mishaps')).toContainText('None in this run.');
  // Alone it is held against nothing.
  await expect(page.getByTestId('chart-speed')).toBeVisible();
  await page.getByRole('tab', { name: 'Height' }).click();
  await expect(page.getByTestId('chart-height')).toBeVisible();
  await expectOpenToAll(page, 'times', true);

  // Another that stands about first, so that it is the slower one.
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await page.getByTestId('run-again').click();
  await page.waitForTimeout(1200);
  await runRight(page);
  await page.getByTestId('open-times').click();
  const list = page.getByTestId('run-list');
  await expect(list.getByTestId(/^run-/)).toHaveCount(2);
  await expect(page.getByTestId('chart-gap')).toBeVisible();
  await expect(page.getByTestId('time-spent')).toContainText('waiting');
  await expect(list).toContainText('the best');

  // One that is left on the way is kept as well.
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await page.getByTestId('run-again').click();
  await page.waitForTimeout(1500);
  await page.keyboard.press('b');
  await page.getByTestId('phase-plan').click();
  await page.getByTestId('plan-times').click();
  await expect(page.getByTestId('run-list').getByTestId(/^run-/)).toHaveCount(3);
  await expect(page.getByTestId('run-list')).toContainText('did not get there');
  // Of those that ended on the way only; one of the others is held against it besides the best.
  await page.getByRole('radio', { name: 'Ended on the way' }).click();
  await expect(page.getByTestId('run-list').getByTestId(/^run-/)).toHaveCount(1);
  await page.getByRole('radio', { name: 'All', exact: true }).click();
  await page.getByLabel('Hold against Run 2').click();
  await expect(page.getByTestId('beside-key')).toContainText('Run 2');
  await expect(page.getByTestId('side-by-side').getByRole('columnheader')).toHaveCount(4);
  await expectOpenToAll(page, 'side by side', true);
  await page.reload();
  await expect(page.getByTestId('run-list').getByTestId(/^run-/)).toHaveCount(3);

  // A run is saved as a file, and opened from one; what is no run of this course is refused in words.
  await page.getByTestId('run-list').getByText('Run 2').click();
  const saving = page.waitForEvent('download');
  await page.getByTestId('save-run').click();
  const file = await (await saving).path();
  const run = JSON.parse(readFileSync(file, 'utf8')) as { seed: number };
  const fromOther = JSON.stringify({ ...run, seed: run.seed + 1 });
  const ofOther = JSON.stringify({ ...run, course: 'f'.repeat(64) });
  for (const [text, words] of [
    [JSON.stringify(run), 'among those of this device already'],
    [fromOther, 'The run is among those of this device.'],
    [ofOther, 'another version of the course'],
    ['{"inputs": [', 'cut off'],
  ]) {
    const buffer = Buffer.from(text);
    await page
      .getByTestId('run-file')
      .setInputFiles({ name: 'a.run.json', mimeType: 'application/json', buffer });
    await expect(page.getByText(words)).toBeVisible();
  }
  await expect(page.getByTestId('run-list').getByTestId(/^run-/)).toHaveCount(4);
});
