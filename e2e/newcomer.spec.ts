import { SceneHands } from './support/scene';
import { expect, test } from './support/test';

/** Presses a newcomer may need for a first course that is shared. */
const MOST_PRESSES = 60;

test('a newcomer lays twelve pieces with a mover and a checkpoint, runs them and shares the link, in few presses', async ({
  open,
}) => {
  const page = await open('/', 'phone');
  await page.evaluate(() => {
    const counted = window as { presses?: number };
    counted.presses = 0;
    window.addEventListener('pointerdown', () => counted.presses!++, true);
  });
  const presses = () => page.evaluate(() => (window as { presses?: number }).presses!);
  await page.getByTestId('new-course').tap();
  await page.getByTestId('new-begin').tap();
  await expect(page.getByTestId('save-state')).toContainText('3 pieces');
  await expect(page.getByTestId('first-hint')).toContainText('Take a piece');
  const hands = new SceneHands(page);
  await hands.pinchOut();
  await hands.pan(6);

  await page.getByTestId('family-slab').tap();
  for (const x of [4, 6, 8, 10]) await hands.tap([x, -0.25, 0]);
  await page.getByText('Movers', { exact: true }).tap();
  await page.getByTestId('family-bob').tap();
  await hands.tap([11.5, -0.4, 0]);
  await page.getByText('Floors', { exact: true }).tap();
  await page.getByTestId('family-slab').tap();
  await hands.tap([14, -0.25, 0]);
  await page.getByText('Marks', { exact: true }).tap();
  await page.getByTestId('family-cairn').tap();
  await hands.tap([8, 1.4, 0]);
  await page.getByTestId('family-shell').tap();
  await hands.tap([5, 0.8, 0]);
  await hands.tap([7, 0.8, 0]);
  await page.getByTestId('hand-done').tap();
  await expect(page.getByTestId('save-state')).toContainText('12 pieces');
  await expect(page.getByTestId('first-hint')).toContainText('Try it');
  await expect(page.getByTestId('save-state')).toContainText('Saved');

  // The goal goes to the far end.
  await hands.tap([2.5, 2.2, -0.7]);
  await hands.drag([2.5, 2.2, -0.7], [14, 2.2, -0.7]);
  await page.getByTestId('phase-run').tap();
  await expect(page.getByTestId('run-clock')).toBeVisible();
  const thumbs = new SceneHands(page);
  await thumbs.hold('run-pad', { x: 0.95, y: 0.5 }, () =>
    expect(page.getByTestId('finish-time')).toBeVisible({ timeout: 30_000 }),
  );
  await page.getByTestId('keep-run').tap();
  await expect(page.getByTestId('run-kept')).toBeVisible();
  await page.getByTestId('run-leave').tap();
  await page.getByTestId('phase-share').tap();
  await page.getByTestId('publish').tap();
  await expect(page.getByText(/\/play\//)).toBeVisible();
  await expect(page.getByTestId('first-hint')).toHaveCount(0);
  expect(await presses()).toBeLessThanOrEqual(MOST_PRESSES);
});
