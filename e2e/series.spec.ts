import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import { expectOpenToAll } from './support/axe';
import { publish } from './support/publish';
import { expect, test } from './support/test';

const course = (name: string) =>
  layPieces(emptyCourse(name), [
    { family: 'slab', at: [3, -0.5, 0], size: [12, 0.5, 2] },
    { family: 'start', at: [-2, 0, 0] },
    { family: 'lantern', at: [1.5, 0, 0] },
  ]);

test('a series is put together and in order, and another player runs it through in one sitting', async ({
  person,
  server,
  request,
}) => {
  const weir = await publish(request, server.url, course('Weir Hop'));
  const eel = await publish(request, server.url, course('Eel Run'));
  const page = await (await person('phone')).newPage();
  await page.goto(server.url);
  await page.getByTestId('open-series').tap();
  await expect(page.getByTestId('no-series')).toBeVisible();
  await page.getByTestId('new-series').tap();
  await page.getByTestId('new-series-name').fill('Qu');
  await page.getByTestId('make-series').tap();
  await expect(page.getByText('A name needs at least three letters.')).toBeVisible();
  await page.getByTestId('new-series-name').fill('Quay Evening');
  await page.getByTestId('make-series').tap();

  // Courses go into it one after the other, and are put in order by keys.
  await page.getByTestId('series-words').fill('Two of the quay.');
  await page.getByTestId('series-add').tap();
  await page.getByTestId('pick-words').fill('weir');
  await page.getByTestId(`pick-${weir.slug}`).tap();
  await expect(page.getByTestId(`pick-${weir.slug}`)).toHaveCount(0);
  await page.getByTestId('pick-words').fill('eel');
  await page.getByTestId(`pick-${eel.slug}`).tap();
  await page.keyboard.press('Escape');
  await expect(page.getByText('2. Eel Run')).toBeVisible();
  await page.getByTestId('sort-2').focus();
  for (const key of ['Space', 'ArrowUp', 'Space']) {
    await page.keyboard.press(key);
    await page.waitForTimeout(250);
  }
  await expect(page.getByText('1. Eel Run')).toBeVisible();
  await page.getByLabel('In one sitting: the clock goes on').tap();
  await expectOpenToAll(page, 'a series that is changed', true);
  await page.getByTestId('series-keep').tap();
  await expect(page.getByTestId('series-about')).toContainText('in one sitting');
  await expectOpenToAll(page, 'a series', true);
  const link = page.url().split('?')[0];

  const player = await (await person('phone')).newPage();
  await player.goto(link);
  await expect(player.getByText('Two of the quay.')).toBeVisible();
  await expect(player.getByTestId('series-change')).toHaveCount(0);
  const finish = async () => {
    await expect(player.getByTestId('run-clock')).toBeVisible();
    await player.keyboard.down('d');
    await expect(player.getByTestId('finish-time')).toBeVisible();
    await player.keyboard.up('d');
  };
  await player.getByTestId('series-run').tap();
  await finish();
  await expect(player.getByTestId('next-in-series')).toContainText('Quay Evening, 1 of 2');
  await player.getByTestId('player-name').fill('Wick');
  await player.getByTestId('send-run').tap();
  await expect(player.getByTestId('run-place')).toContainText('place 1');
  await player.getByTestId('series-next').tap();
  await expect(player).toHaveURL(new RegExp(`${weir.slug}/run`));
  // The clock goes on from where the first one left it.
  await expect(player.getByTestId('run-clock')).not.toHaveText(/^0\./);
  await finish();
  await expect(player.getByTestId('run-place')).toContainText('place 1');
  await player.getByTestId('series-done').tap();
  await expect(player.getByText(/Your best sitting on this device/)).toBeVisible();
  await expect(player.getByTestId('series-total')).toContainText(/you \d/);

  // Removed, it comes back by the bin’s undo.
  await page.getByTestId('series-change').tap();
  await page.getByTestId('series-remove').tap();
  await expect(page.getByText('Quay Evening is in the bin.')).toBeVisible();
  await page.getByText('Undo').tap();
  await expect(page.getByRole('button', { name: /Quay Evening 2 courses/ })).toBeVisible();
});

test('a maker’s page is followed; a note reaches the maker; an earlier edition is read', async ({
  person,
  server,
  request,
}) => {
  await request.put(`${server.url}/api/me`, {
    data: { name: 'Corrie', passphrase: 'salt on the slipway' },
  });
  const out = await publish(request, server.url, course('Weir Hop'));
  await out.change();
  const page = await (await person('phone')).newPage();
  await page.goto(`${server.url}/play/${out.slug}`);
  await expect(page.getByTestId('editions')).toContainText('1 piece moved');
  await page.getByTestId('edition-1').tap();
  await expect(page.getByTestId('play-earlier')).toBeVisible();
  await expect(page.getByTestId('play-run')).toHaveCount(0);
  await page.getByTestId('edition-2').tap();
  await expect(page.getByTestId('play-run')).toBeVisible();
  await page.getByTestId('note').tap();
  await page.getByTestId('note-words').fill('The lantern is too near now.');
  await page.getByTestId('note-send').tap();
  await expect(page.getByText('Corrie finds it beside the course.')).toBeVisible();
  await page.getByTestId('maker-link').tap();
  await page.getByRole('checkbox', { name: 'Follow' }).tap();
  await expect(page.getByTestId('followers')).toHaveText('1 follows them');
  await expect(page.getByTestId(`found-${out.slug}`)).toBeVisible();
  await expectOpenToAll(page, 'a maker’s page', true);
  const { notes } = (await (
    await request.get(`${server.url}/api/courses/${out.id}/notes`)
  ).json()) as { notes: { words: string }[] };
  expect(notes.map(({ words }) => words)).toEqual(['The lantern is too near now.']);
});
