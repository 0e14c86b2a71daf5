import type { Page } from '@playwright/test';
import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import { expectOpenToAll } from './support/axe';
import { expect, test } from './support/test';

/** A walk over two floors and a cairn, thorns on the second. */
const COURSE = layPieces(emptyCourse('Tried Walk'), [
  { family: 'slab', at: [6, -0.5, 0], size: [18, 0.5, 2], name: 'Near floor' },
  { family: 'start', at: [-2, 0, 0] },
  { family: 'cairn', at: [4, 0, 0] },
  { family: 'slab', at: [20, -0.5, 0], size: [10, 0.5, 2], name: 'Far floor' },
  { family: 'lantern', at: [21, 0, 0] },
]);

async function runToTheEnd(page: Page): Promise<void> {
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await page.keyboard.down('ArrowRight');
  await expect(page.getByTestId('finish-time')).toBeVisible({ timeout: 30_000 });
  await page.keyboard.up('ArrowRight');
}

test('a moment is kept and begun from, a run is watched, and a broken way is told', async ({
  openMade,
}) => {
  test.setTimeout(150_000);
  const page = await openMade(COURSE, 'wide');
  await page.getByTestId('phase-run').click();
  await expect(page.getByTestId('run-clock')).toBeVisible();
  // On to past the cairn, and the moment is kept by its key.
  await page.keyboard.down('ArrowRight');
  await expect(page.getByTestId('passed')).toHaveCount(1, { timeout: 20_000 });
  await page.keyboard.press('k');
  await expect(page.getByText(/^Kept: After cairn 1/)).toBeVisible();
  await page.keyboard.up('ArrowRight');
  await page.keyboard.press('r');
  await expect(page.getByTestId('passed')).toHaveCount(0);
  await page.keyboard.press('p');
  await page.getByTestId('begin-elsewhere').click();
  await expectOpenToAll(page, 'begin where');
  await page.getByText(/^After cairn 1/).click();
  await expect(page.getByTestId('passed')).toHaveCount(1);

  // Tick by tick: it proves nothing any more, and says so.
  await page.keyboard.press('p');
  await page.getByText('Tools for trying').click();
  await page.getByRole('button', { name: 'Go on' }).click();
  await page.getByTestId('try-on').click();
  await expect(page.getByTestId('aided')).toBeVisible();
  const clock = page.getByTestId('run-clock');
  await expect(page.getByTestId('try-go-on')).toBeVisible();
  // The words of the clock follow a frame later.
  await page.waitForTimeout(500);
  const before = await clock.textContent();
  await page.getByTestId('try-on').click();
  await expect(clock).not.toHaveText(before!);
  await page.getByTestId('try-back').click();
  await expect(clock).toHaveText(before!);
  await page.getByTestId('try-unhurt').click();
  await page.getByTestId('try-go-on').click();
  // It flies higher for as long as the key is held, which presses nothing else, and comes down again.
  await page.getByTestId('try-fly').click();
  await page.keyboard.down('Space');
  await page.waitForTimeout(400);
  await page.keyboard.up('Space');
  await expect(page.getByTestId('fly-controls')).toBeVisible();
  await page.getByTestId('try-fly').click();
  await expect(page.getByTestId('fly-controls')).toHaveCount(0);
  await runToTheEnd(page);
  await expect(page.getByText(/Something helped this run/)).toBeVisible();

  // A run of its own from the start, kept as the proof and watched.
  await page.keyboard.press('p');
  await page.getByTestId('run-again').click();
  await page.keyboard.press('p');
  await page.getByTestId('begin-elsewhere').click();
  await page.getByTestId('begin-start').click();
  await expect(page.getByTestId('passed')).toHaveCount(0);
  await runToTheEnd(page);
  await page.getByTestId('keep-run').click();
  await expect(page.getByTestId('run-kept')).toBeVisible();
  await page.getByTestId('open-times').click();
  await page.getByText('Line on the course').click();
  await page.getByTestId('times-watch').click();
  const at = page.getByTestId('watch-at');
  await page.getByTestId('watch-play').waitFor();
  await expect(at).not.toHaveText('0.000');
  await page.getByTestId('watch-back').click();
  const held = await at.textContent();
  // A chart that is touched moves the watcher.
  const chart = await page.getByRole('img', { name: /along the way/ }).boundingBox();
  await page.mouse.click(chart!.x + chart!.width * 0.8, chart!.y + chart!.height / 2);
  await expect(at).not.toHaveText(held!);
  // So does its ribbon, by a touch and by keys, to when the run was there.
  const ribbon = (await page.getByLabel('The run along its way').boundingBox())!;
  await page.mouse.click(ribbon.x + ribbon.width * 0.25, ribbon.y + ribbon.height / 2);
  const quarter = Number(await at.textContent());
  await page.mouse.click(ribbon.x + ribbon.width * 0.75, ribbon.y + ribbon.height / 2);
  await expect(async () =>
    expect(Number(await at.textContent())).toBeGreaterThan(quarter),
  ).toPass();
  const late = await at.textContent();
  await page.getByLabel('The run along its way').press('ArrowLeft');
  await expect(at).not.toHaveText(late!);
  // And its line, touched in the scene a little behind the runner.
  const scene = (await page.getByTestId('watch-scene').boundingBox())!;
  const sought = await at.textContent();
  await expect(async () => {
    for (const part of [0.45, 0.5, 0.55, 0.6]) {
      await page.mouse.click(scene.x + scene.width * 0.35, scene.y + scene.height * part);
    }
    expect(await at.textContent()).not.toBe(sought);
  }).toPass({ timeout: 15_000 });
  await page.mouse.click(chart!.x + chart!.width * 0.8, chart!.y + chart!.height / 2);
  await expect(page.getByTestId('watch-pressed')).toHaveAttribute('aria-label', /pad 1\.0/);
  await expectOpenToAll(page, 'watch', true);
  // From any moment of it one may keep that, or run on.
  await page.getByTestId('watch-keep').click();
  await expect(page.getByText(/^Kept: After cairn 1/)).toBeVisible();
  await page.getByTestId('watch-run').click();
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await expect(page.getByTestId('passed')).toHaveCount(1);
  await page.keyboard.press('b');

  // While building the way holds, and ends where a floor is taken from under it.
  await page.getByTestId('phase-lay').click();
  const said = page.getByTestId('way-said');
  await expect(said).toContainText('Proof holds as it is', { timeout: 20_000 });
  await page.keyboard.press('Shift+K');
  await page.getByText('Far floor').click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Delete');
  await expect(said).toContainText('Proof ends here: a piece is gone', { timeout: 20_000 });
  await page.keyboard.press('Control+z');
  await expect(said).toContainText('Proof holds as it is', { timeout: 20_000 });
});

test('a run is paused, something is changed, and it goes on from there', async ({ openMade }) => {
  const page = await openMade(COURSE, 'wide');
  await page.getByTestId('phase-run').click();
  await page.keyboard.down('ArrowRight');
  await expect(page.getByTestId('passed')).toHaveCount(1, { timeout: 20_000 });
  await page.keyboard.up('ArrowRight');
  await page.keyboard.press('b');
  await page.getByTestId('phase-lay').click();
  await expect(page.getByTestId('course-glance')).toBeVisible();
  await page.keyboard.press('Shift+K');
  await page.getByText('Far floor').click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Delete');
  await expect(page.getByTestId('save-state')).toContainText('4 pieces');
  await page.getByTestId('phase-run').click();
  await page.getByText('Keep going from here').click();
  // The cairn was passed before the change.
  await expect(page.getByTestId('passed')).toHaveCount(1);
});
