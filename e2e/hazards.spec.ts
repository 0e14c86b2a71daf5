import { expect, test } from './support/test';
import { figure, finished, lay, run, tune } from './support/tuning';
import { yard } from './support/yard';

const AHEAD = { x: 0.5, y: 0.05 };

test('a boost throws the runner as far as it could not get by itself', async ({ openMade }) => {
  const { page, hands } = await yard(openMade, 'Boost');
  await lay(page, hands, 'Regions', 'boost', [0.5, 0, 0]);
  await tune(page, 'Lantern', 'Figures');
  for (const [dial, value] of Object.entries({ at0: '7.2', at1: '-1.2' })) {
    await page.getByTestId(`dial-${dial}`).fill(value);
    await page.getByTestId(`dial-${dial}`).press('Enter');
  }
  await run(page);
  // The pad is put under the other thumb, larger and higher up, and works there.
  await page.getByLabel('Pause').first().tap();
  await page.getByTestId('arrange-open').tap();
  // A run that goes on is worked, not arranged.
  await page.keyboard.press('p');
  await expect(page.getByTestId('arrange-done')).toHaveCount(0);
  await page.keyboard.press('p');
  await page.getByTestId('arrange-open').tap();
  const pad = page.getByTestId('run-pad');
  const before = (await pad.boundingBox())!;
  await page.getByLabel('Left-handed').tap();
  await page.getByRole('slider', { name: 'Size' }).fill('1');
  const place = page.getByRole('button', { name: 'Place of the pad' });
  await place.focus();
  for (let i = 0; i < 5; i++) await place.press('ArrowUp');
  const after = (await pad.boundingBox())!;
  expect(after.x - before.x).toBeGreaterThan(120);
  expect(before.y + before.height - (after.y + after.height)).toBeCloseTo(40, 0);
  expect(after.width / before.width).toBeCloseTo(1.35, 2);
  await page.getByTestId('arrange-done').tap();
  await page.getByRole('button', { name: 'Go on' }).tap();
  await hands.hold('run-pad', AHEAD, () => finished(page));
});

test('an undertow draws in and hurts who only stands there; pushed the other way it does not', async ({
  openMade,
}) => {
  const { page, hands } = await yard(openMade, 'Undertow');
  await lay(page, hands, 'Hazards', 'undertow', [0, 0, 0]);
  await run(page);
  await expect(page.getByText('Hurt', { exact: true })).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: 'Back to building' }).first().tap();
  await tune(page, 'Undertow', 'Figures');
  await figure(page, 'Pulls by', -30);
  await run(page);
  await expect(page.getByText('Into the tide')).toBeVisible({ timeout: 20_000 });
});
