import { expect, test } from './support/test';
import { finished, lay, run } from './support/tuning';
import { yard } from './support/yard';

test('two legs are run one after the other, each to its own lantern', async ({ openMade }) => {
  const { page, hands } = await yard(openMade, 'Legs');
  await lay(page, hands, 'Marks', 'start', [-2, 0, 1]);
  await expect(page.getByText('Leg 2 begins here', { exact: false })).toBeVisible();
  await lay(page, hands, 'Marks', 'lantern', [2.5, 0, 1.4]);
  await run(page);
  await expect(page.getByText('Leg 1 of 2')).toBeVisible();
  await hands.hold('run-pad', { x: 0.5, y: 0.05 }, async () => {
    await expect(page.getByText('Leg 2 of 2')).toBeVisible({
      timeout: 20_000,
    });
    await finished(page);
  });
});

test('what players see is framed along the way, and the course’s picture is taken from here', async ({
  openMade,
}) => {
  const { page } = await yard(openMade, 'Seen');
  await page.getByTestId('phase-tune').tap();
  await page.getByRole('tab', { name: 'Course', exact: true }).tap();
  await page.getByRole('checkbox', { name: 'Show what players see' }).tap();
  await expect(page.getByTestId('camera-frame')).toBeVisible();
  await page.getByTestId('phase-share').tap();
  const picture = page.getByTestId('course-picture').locator('img');
  const before = await picture.getAttribute('src');
  await page.getByTestId('take-picture').tap();
  await expect(picture).not.toHaveAttribute('src', before!);
  const wide = await picture.getAttribute('src');
  await page.getByTestId('picture-field').fill('16');
  await page.getByTestId('picture-field').press('Enter');
  await expect(picture).not.toHaveAttribute('src', wide!);
  // It stands for the course in the list as well.
  const narrow = await picture.getAttribute('src');
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await page.getByLabel('Back to my courses').tap();
  const listed = page.getByLabel('Picture of Seen').locator('img').first();
  const address = new URL((await listed.getAttribute('src'))!, page.url());
  const drawn = await page.request.get(address.href);
  const fills = (svg: string) => svg.match(/fill="#[0-9a-f]{6}"/g);
  expect(fills(await drawn.text())).toEqual(fills(decodeURIComponent(narrow!)));
});
