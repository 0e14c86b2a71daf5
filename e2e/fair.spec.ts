import { courseHash, CORE_VERSION, type Run } from '@/core/run';
import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import { expectOpenToAll } from './support/axe';
import { expect, test } from './support/test';

/** Hangs over the way of a runner that would pass below its picture, and is touched far lower than it is drawn. */
const HANGING = layPieces(emptyCourse('Low Lintel'), [
  { family: 'slab', at: [10, -0.5, 0], size: [30, 0.5, 2] },
  { family: 'start', at: [-2, 0, 0] },
  {
    ...{ family: 'ashlar', name: 'Lintel', role: 'hazard', at: [6, 1.5, 0], size: [1, 1, 1] },
    allowance: { by: 'cm', value: 80 },
  },
  { family: 'lantern', at: [20, 0, 0] },
]);

test('a hit off its picture is shown and mended by one touch', async ({ openMade }) => {
  const page = await openMade(HANGING, 'wide');
  await page.getByTestId('phase-run').click();
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await page.keyboard.down('ArrowRight');
  await expect(page.getByText('Hurt', { exact: true })).toBeVisible({ timeout: 20_000 });
  await page.keyboard.up('ArrowRight');
  await page.keyboard.press('b');
  await page.getByTestId('phase-plan').click();
  await page.getByTestId('plan-times').click();
  await page.getByTestId('fair-begin').click();
  const hits = page.getByTestId('fair-unfair');
  await expect(hits).toContainText('Hit 1.1 m off its picture.', { timeout: 30_000 });
  await expect(page.getByTestId('fair-found')).toContainText('The runner is hidden for 0 %');
  await expectOpenToAll(page, 'how fair', true);
  await hits.getByRole('button', { name: 'Touch as drawn' }).first().click();
  await expect(page.getByText('Lintel touches as it is drawn now.')).toBeVisible();
  // The runner passes below it now: by a gamepad, as the browser would tell of one.
  await page.getByTestId('phase-run').click();
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await page.evaluate(`
    const button = (held) => ({ pressed: held, value: held ? 1 : 0 });
    const pad = { connected: true, axes: [1, 0], buttons: Array.from({ length: 16 }, () => button(false)) };
    navigator.getGamepads = () => [pad];
    window.dispatchEvent(new Event('gamepadconnected'));
  `);
  await expect(page.getByTestId('finish-time')).toBeVisible({ timeout: 30_000 });
});

/** A floor that goes up from knee height and down again: low it stands in the way. */
const STAMPED = layPieces(emptyCourse('Stamping Stone'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'slab', at: [17.5, -1, 0], size: [45, 1, 6] },
  {
    ...{ family: 'drift', name: 'Stamper', at: [6, 0.5, 0] },
    params: { direction: 'up', span: 3, period: 2.4 },
  },
  { family: 'lantern', at: [30, 0, 0] },
]);

test('the openings of a mover go with its phase while that is changed', async ({
  openMade,
  server,
}) => {
  const page = await openMade(STAMPED, 'wide');
  const id = new URL(page.url()).pathname.split('/')[2];
  const run: Run = {
    ...{ format: 'stone-hop-run', core: CORE_VERSION, course: courseHash(STAMPED), seed: 0 },
    inputs: [
      [30, 0, 0, 0],
      [700, 16, 0, 0],
    ],
    claim: 0,
  };
  await page.request.post(`${server.url}/api/courses/${id}/proof`, { data: { run } });
  await page.reload();
  await page.getByTestId('phase-tune').click();
  await page.getByRole('button', { name: 'Stamper' }).first().click();
  await page
    .getByRole('tablist', { name: 'Of the piece' })
    .getByRole('tab', { name: 'Motion', exact: true })
    .click();
  await page.getByTestId('mover-openings-begin').click();
  const words = page.getByTestId('mover-opening-words');
  await expect(words).toContainText(/^Open \d+ % of 2.4 s/, { timeout: 30_000 });
  const before = (await words.textContent())!;
  const earlier = (text: string) => Number(/come ([\d.]+) s earlier/.exec(text)![1]);
  await page.getByTestId('mover-opening').focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight');
  // Three steps of a fortieth of its clock later: one may come so much earlier no more, or from the other side.
  await expect(words).not.toHaveText(before);
  const share = (text: string) => /^Open (\d+) %/.exec(text)![1];
  const after = (await words.textContent())!;
  expect(share(after)).toBe(share(before));
  expect(Math.abs(earlier(after) - earlier(before))).toBeGreaterThan(0.1);
  await page.keyboard.press('Control+z');
  await expect(words).toHaveText(before);
});
