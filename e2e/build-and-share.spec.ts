import type { Page } from '@playwright/test';
import { SceneHands } from './support/scene';
import { expect, test } from './support/test';

const pieces = (page: Page) => page.getByTestId('save-state');

/** Begins an empty course by name and waits until it is open. */
async function beginCourse(page: Page, name: string): Promise<void> {
  await page.getByTestId('new-course').click();
  await page.getByTestId('new-name').fill(name);
  await page.getByTestId('new-begin').click();
  await expect(pieces(page)).toContainText('3 pieces');
}

test('on a phone: build ten pieces from empty, run them, publish, and somebody else runs the link', async ({
  open,
}) => {
  const page = await open('/', 'phone');
  await beginCourse(page, 'Skerry Walk');
  const hands = new SceneHands(page);
  await hands.pinchOut();
  await hands.pan(6);

  await page.getByTestId('family-slab').tap();
  for (const x of [4, 6, 8, 10, 12]) await hands.tap([x, -0.25, 0]);
  await expect(pieces(page)).toContainText('8 pieces');

  // A closed tab in the middle of it: all of it is there again, saved or not.
  await page.reload();
  await expect(pieces(page)).toContainText('8 pieces');
  await hands.pinchOut();
  await hands.pan(6);

  await page.getByText('Marks', { exact: true }).tap();
  await page.getByTestId('family-shell').tap();
  await hands.tap([6, 0.8, 0]);
  await hands.tap([8, 0.8, 0]);
  await expect(page.getByText('Shell in hand')).toBeVisible();
  await page.getByTestId('hand-done').tap();
  await expect(pieces(page)).toContainText('10 pieces');

  // The lantern is carried to the far end, and that is one step to undo.
  await hands.tap([2.5, 2.2, -0.7]);
  await expect(page.getByTestId('choice-name')).toHaveText('Lantern');
  await hands.drag([2.5, 2.2, -0.7], [11.5, 2.2, -0.7]);
  await expect(page.getByTestId('choice-place')).toHaveText(/^11.5 +0 +0$/);
  await page.getByLabel('Undo').tap();
  await expect(page.getByTestId('choice-place')).toHaveText(/^2.5 +0 +0$/);
  await page.getByLabel('Redo').tap();
  await expect(page.getByTestId('choice-place')).toHaveText(/^11.5 +0 +0$/);
  await expect(pieces(page)).toContainText('Saved');

  await page.getByTestId('phase-share').tap();
  await expect(page.getByTestId('publish')).toHaveCount(0);
  const run = async (player: Page) => {
    await expect(player.getByTestId('run-clock')).toBeVisible();
    const thumbs = new SceneHands(player);
    await thumbs.hold('run-pad', { x: 0.95, y: 0.5 }, () =>
      expect(player.getByTestId('finish-time')).toBeVisible(),
    );
  };
  await page.getByText('Run it', { exact: true }).tap();
  await run(page);
  await expect(page.getByText('2 of 2 shells · no falls')).toBeVisible();
  // The thumb that was still held has pressed nothing by lifting.
  await page.waitForTimeout(400);
  await page.getByTestId('keep-run').click();
  await expect(page.getByTestId('run-kept')).toBeVisible();
  await page.getByTestId('run-leave').tap();
  await expect(page.getByTestId('proof-state')).toContainText('Finished by you');
  await page.getByTestId('publish').tap();
  const link = await page.getByTestId('share-link').innerText();
  expect(link).toMatch(/\/play\/skerry-walk-[a-z0-9]+$/);
  await page.getByTestId('show-qr').tap();
  await expect(page.getByTestId('qr-code')).toBeVisible();
  await page.getByLabel('Close').tap();

  // What is said of it is filled in where it is published, and whether others may take it apart.
  await page.getByTestId('course-description').fill('Ten pieces over the flats');
  await page.getByLabel('Others may take it apart').click();
  await page.getByTestId('publish').tap();
  await expect(page.getByLabel('Published as it is now')).toBeVisible();

  const other = await open(new URL(link).pathname, 'phone');
  await expect(other.getByText('Ten pieces over the flats')).toBeVisible();
  await expect(other.getByTestId('kept-whole')).toBeVisible();
  await expect(other.getByText('Nobody has finished it yet')).toBeVisible();
  await other.getByTestId('play-run').tap();
  await run(other);
  await other.getByTestId('player-name').fill('Wick');
  await other.getByTestId('send-run').tap();
  await expect(other.getByTestId('run-place')).toContainText('place 1');
  await other.getByTestId('run-leave').tap();
  await expect(other.getByTestId('best-times')).toContainText(/Wick \(you\)\s*\d+\.\d{3}/);

  // A change that matters makes the proof stale; painting would not have.
  await page.getByTestId('phase-plan').tap();
  await page.getByTestId('propose-targets-begin').tap();
  await expect(page.getByTestId('proposed')).toContainText('falls to expect', { timeout: 30_000 });
  await expect(page.getByTestId('targets-unmet')).toHaveCount(0);
  await page.getByLabel('Top speed more').tap();
  await page.getByTestId('phase-share').tap();
  await expect(page.getByTestId('proof-state')).toContainText('has changed');
});

test('on a wide screen: build and run with mouse and keys', async ({ open }) => {
  const page = await open('/', 'wide');
  await beginCourse(page, 'Key Walk');
  const hands = new SceneHands(page);
  const moveTo = async (place: [number, number, number]) => {
    const { x, y } = await hands.pixel(place);
    await page.mouse.move(x, y);
  };
  await moveTo([0, 4, 0]);
  await page.mouse.wheel(0, 500);
  await page.getByTestId('family-slab').click();
  for (const x of [4, 6, 8]) {
    await moveTo([x, -0.25, 0]);
    await page.keyboard.press('Enter');
  }
  await page.keyboard.press('Escape');
  await expect(pieces(page)).toContainText('6 pieces');

  // The last slab is turned, copied, deleted, and all of it taken back.
  const { x, y } = await hands.pixel([8, -0.05, 0.5]);
  await page.mouse.click(x, y);
  await page.keyboard.press('t');
  await expect(page.getByTestId('dial-turn1')).toHaveValue('15');
  await page.keyboard.press('c');
  await expect(pieces(page)).toContainText('7 pieces');
  await page.keyboard.press('Delete');
  await expect(pieces(page)).toContainText('6 pieces');
  for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
  await expect(pieces(page)).toContainText('6 pieces');

  // Exact figures: what is no number is said so and changes nothing.
  await page.mouse.click(x, y);
  const width = page.getByTestId('dial-size0');
  await width.fill('6');
  await width.press('Enter');
  await expect(width).toHaveValue('6');
  await width.fill('-4');
  await width.press('Enter');
  await expect(page.getByText('Width goes from 0.05 to 200 m.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await width.fill('6');
  await width.press('Enter');

  // The lantern stands at 2.5; with keys alone it is run to.
  await page.getByTestId('phase-lay').click();
  await page.mouse.click(5 + (await hands.pixel([0, 6, 0])).x, (await hands.pixel([0, 6, 0])).y);
  await page.keyboard.press('4');
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await page.keyboard.press('p');
  await expect(page.getByText('Paused')).toBeVisible();
  await page.keyboard.press('p');
  await page.keyboard.down('Space');
  await page.keyboard.up('Space');
  await page.keyboard.down('ArrowRight');
  await expect(page.getByTestId('finish-time')).toBeVisible();
  await page.keyboard.up('ArrowRight');
  // Back by the browser's own button, to the same place.
  await page.goBack();
  await expect(page.getByTestId('ribbon')).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Keys and touch' })).toBeVisible();
});
