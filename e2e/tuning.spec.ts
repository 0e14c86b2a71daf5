import { expect, test } from './support/test';
import { finished, run, tune } from './support/tuning';
import { yard } from './support/yard';

test('a lantern given a path comes to the runner that stands still', async ({ openMade }) => {
  const { page, hands } = await yard(openMade, 'Path');
  await tune(page, 'Lantern', 'Motion');
  await page.getByRole('tab', { name: 'Path', exact: true }).tap();
  await page.getByTestId('path-speed').fill('4');
  await page.getByTestId('path-speed').press('Enter');
  // The list looked at the lantern; its path is drawn on to the start.
  await hands.tap([-2, 0, 0]);
  await expect(page.getByText('Touch the scene to add points', { exact: false })).toBeVisible();
  await page.getByTestId('draw-path').tap();
  await expect(page.getByText('3 points.', { exact: false })).toBeVisible();
  // Rounded but for one corner, and with its first leg taking as long as is said.
  await page.getByRole('checkbox', { name: 'Smooth', exact: true }).tap();
  await page.getByRole('checkbox', { name: 'Corner at point 1', exact: true }).tap();
  await page.getByTestId('path-time').fill('1.5');
  await page.getByTestId('path-time').press('Enter');
  await expect(page.getByTestId('path-time')).toHaveValue('1.5');
  await page.getByTestId('scrub-play').tap();
  await expect(page.getByTestId('scrub-at')).not.toHaveText('0.0 s');
  await page.getByTestId('scrub-play').tap();
  await run(page);
  await finished(page);
});

test('a pose is taken by dragging it in the scene, and lifted', async ({ openMade }) => {
  const { page, hands } = await yard(openMade, 'Pose');
  await tune(page, 'Lantern', 'Motion');
  await page.getByRole('tab', { name: 'Poses', exact: true }).tap();
  await page.getByTestId('take-pose').tap();
  const off = (axis: string) => page.getByRole('textbox', { name: `Offset ${axis}` });
  const [x, z] = [Number(await off('x').inputValue()), Number(await off('z').inputValue())];
  const y = Number(await off('y').inputValue());
  // The lantern stands at 2.5 m; its pose beside it is dragged two metres nearer.
  await hands.drag([2.5 + x, y, z], [2.5 + x, y, z + 2]);
  await expect(off('z')).toHaveValue(String(z + 2));
  await page.getByTestId('take-pose').tap();
  await expect(page.getByTestId('take-pose')).toHaveText(/Take it from the scene/);
  await page.getByLabel('Undo').tap();
  await expect(off('z')).toHaveValue(String(z));
});

test('a link from a region says its words in the run and opens the goal', async ({ openMade }) => {
  const { page, hands } = await yard(openMade, 'Link');
  await page.getByText('Regions', { exact: true }).tap();
  await page.getByTestId('family-touch').tap();
  await hands.tap([0, 0, 0]);
  await page.getByTestId('hand-done').tap();
  await tune(page, 'Lantern', 'Figures');
  await page.getByText('By a link', { exact: true }).tap();
  await page.getByLabel('All pieces').tap();
  await tune(page, 'Touch region', 'Links');
  await page.getByTestId('begin-link').tap();
  await page.getByLabel('Words', { exact: true }).fill('The lamp is lit');
  await page.getByText('One more effect', { exact: true }).tap();
  await page.getByRole('radio', { name: 'Open', exact: true }).last().tap();
  await page.getByTestId('pick-piece').last().tap();
  await hands.tap([2.5, 2.4, -0.7]);
  await expect(page.getByTestId('link-card')).toContainText('open Lantern');
  // Put in order by keys, and back by the finger.
  const done = page.getByTestId('link-card').getByText(/^\d\. /);
  await expect(done).toHaveText(['1. Message', '2. Open']);
  await page.getByTestId('sort-2').focus();
  for (const key of ['Space', 'ArrowUp', 'Space']) {
    await page.keyboard.press(key);
    await page.waitForTimeout(250);
  }
  await expect(done).toHaveText(['1. Open', '2. Message']);
  await page.getByTestId('sort-1').scrollIntoViewIfNeeded();
  const [from, to] = await Promise.all(
    ['sort-1', 'sort-2'].map((row) => page.getByTestId(row).boundingBox()),
  );
  const middle = (box: typeof from) => ({ x: box!.x + 22, y: box!.y + 22 });
  const near = { x: middle(from).x, y: middle(from).y + 12 };
  await hands.draw([middle(from), near, middle(to), middle(to)], 120);
  await expect(done).toHaveText(['1. Message', '2. Open']);
  // Tried without a runner, it acts where it is tried.
  await page.getByTestId('try-link').tap();
  await expect(page.getByTestId('link-acts')).toBeVisible({ timeout: 15_000 });
  await expect(page.getByTestId('firing')).toHaveCount(1);
  await run(page);
  await hands.hold('run-pad', { x: 0.5, y: 0.05 }, async () => {
    await expect(page.getByText('The lamp is lit', { exact: true }).last()).toBeVisible({
      timeout: 20_000,
    });
    await finished(page);
  });
});

test('a role and a drawn shape are felt in the run', async ({ openMade }) => {
  const { page, hands } = await yard(openMade, 'Shape');
  await hands.tap([0, 0, 0.6]);
  await page.getByRole('button', { name: 'Tune', exact: true }).tap();
  await page.getByRole('tab', { name: 'Contact', exact: true }).tap();
  const difference = page.getByTestId('shape-difference');
  await expect(difference).toContainText('0 %');
  await page.getByTestId('draw-shape').tap();
  const board = (await page.getByTestId('shape-board').boundingBox())!;
  // The right end of the slab is drawn in by about two thirds of its length.
  const corner = { x: board.x + board.width * 0.86, y: board.y + board.height / 2 };
  await hands.draw([
    { x: corner.x, y: corner.y + 11 },
    { x: corner.x - 90, y: corner.y + 11 },
    { x: corner.x - 188, y: corner.y + 11 },
  ]);
  await hands.draw([
    { x: corner.x, y: corner.y - 11 },
    { x: corner.x - 90, y: corner.y - 11 },
    { x: corner.x - 188, y: corner.y - 11 },
  ]);
  // A finger that has only just been lifted is not yet the next one's.
  await page.waitForTimeout(800);
  await page.getByTestId('keep-shape').tap();
  await expect(difference).toContainText('Drawn for this piece');
  await expect(difference).not.toContainText(' 0 %');
  await run(page);
  // Where the shape ends the picture goes on, and the runner falls.
  await hands.hold('run-pad', { x: 0.5, y: 0.05 }, () =>
    expect(page.getByText('Into the tide')).toBeVisible({ timeout: 20_000 }),
  );
});

test('the cart is driven, the roller pushed and the flick stone struck by touch, each to the goal', async ({
  openMade,
}) => {
  const { page, hands } = await yard(openMade, 'Runners');
  await page.getByTestId('phase-plan').tap();
  await page.getByRole('radio', { name: 'Cart', exact: true }).tap();
  await run(page);
  await hands.hold('run-drive', { x: 0.5, y: 0.5 }, () => finished(page));
  await page.getByText('Back to building', { exact: true }).tap();
  await page.getByTestId('phase-plan').tap();
  await page.getByRole('radio', { name: 'Roller', exact: true }).tap();
  await run(page);
  await hands.hold('run-pad', { x: 0.5, y: 0.05 }, () => finished(page));
  await page.getByText('Back to building', { exact: true }).tap();
  await page.getByTestId('phase-plan').tap();
  await page.getByRole('radio', { name: 'Flick stone', exact: true }).tap();
  await run(page);
  // Drawn straight back, once the stone lies still.
  await page.waitForTimeout(1500);
  await hands.draw([
    { x: 195, y: 520 },
    { x: 195, y: 570 },
    { x: 195, y: 620 },
  ]);
  await finished(page);
  // Plan behind it tells of strokes too.
  await expect(page.getByText('1 stroke', { exact: true }).last()).toBeVisible();
});

test('time runs out, and the run may be begun again', async ({ openMade }) => {
  const { page } = await yard(openMade, 'Limit');
  await page.getByTestId('phase-tune').tap();
  await page.getByRole('tab', { name: 'Course', exact: true }).tap();
  await page.getByTestId('time-limit').fill('1');
  await page.getByTestId('time-limit').press('Enter');
  await run(page);
  await expect(page.getByText('Time is up')).toBeVisible({ timeout: 20_000 });
  await page.getByText('Start again', { exact: true }).tap();
  await expect(page.getByText('Time is up')).toBeVisible({ timeout: 20_000 });
});
