import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { publish } from './support/publish';
import { disagreeing } from './support/tabs';
import { expect, test } from './support/test';

const short = layPieces(emptyCourse('Short Quay'), [
  { family: 'slab', at: [0, -0.5, 0], size: [8, 0.5, 2] },
  { family: 'start', at: [-3, 0, 0] },
  { family: 'lantern', at: [3, 0, 0] },
]);

test('what is deleted waits in the bin and comes back by a tap', async ({ open }) => {
  const page = await open('/', 'phone');
  await page.getByTestId('demo-copy-salt-pan-hop').tap();
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await page.getByLabel('Back to my courses').tap();
  await page.getByTestId('open-bin').tap();
  await expect(page.getByTestId('bin-empty')).toBeVisible();
  await page.getByLabel('Close').tap();
  await page.getByLabel('More for Salt Pan Hop').tap();
  await page.getByText('Delete', { exact: true }).tap();
  await expect(page.getByTestId('open-Salt Pan Hop')).toHaveCount(0);
  await page.reload();
  await page.getByTestId('open-bin').tap();
  await page.getByLabel('Bring back Salt Pan Hop').tap();
  await expect(page.getByTestId('bin-empty')).toBeVisible();
  await page.getByLabel('Close').tap();
  await expect(page.getByTestId('open-Salt Pan Hop')).toBeVisible();
  // For good only after being asked again.
  await page.getByLabel('More for Salt Pan Hop').tap();
  await page.getByText('Delete', { exact: true }).tap();
  await page.getByTestId('open-bin').tap();
  await page.getByTestId('bin-clear').tap();
  await page.getByText('Keep them', { exact: true }).tap();
  await page.getByTestId('bin-clear').tap();
  await page.getByTestId('bin-sure').tap();
  await expect(page.getByTestId('bin-empty')).toBeVisible();
});

test('a version is named, gone back to as a new one, and come forward from', async ({ open }) => {
  const page = await open('/', 'wide');
  await page.getByTestId('demo-copy-low-tide-steps').click();
  await page.getByTestId('phase-plan').click();
  const name = page.getByTestId('course-name');
  await name.fill('Second thoughts');
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await page.getByText('Earlier versions', { exact: true }).click();
  await page.getByLabel('Name version 1').click();
  await page.getByTestId('version-name').fill('As it was found');
  await page.getByTestId('version-name-it').click();
  await expect(page.getByText('As it was found', { exact: true })).toBeVisible();
  // Nothing but the name differs from it.
  await page.getByLabel('Compare with version 1').click();
  await expect(page.getByText('The course’s own figures or words differ too.')).toBeVisible();
  await page.getByText('All versions', { exact: true }).click();
  await page.getByTestId('version-1').click();
  await expect(name).toHaveValue('Low Tide Steps');
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await page.getByText('Earlier versions', { exact: true }).click();
  await expect(page.getByTestId('version-3')).toBeVisible();
  await page.getByTestId('version-2').click();
  await expect(name).toHaveValue('Second thoughts');
});

test('what differs from a version is told piece by piece, and some of it brought back', async ({
  openMade,
}) => {
  const page = await openMade(short, 'phone');
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  const course = {
    ...short,
    pieces: [
      { ...short.pieces[0], at: [1, -0.5, 0] },
      short.pieces[1],
      { id: 'p9', family: 'crate', at: [0, 0, 0] },
    ],
  };
  const [id] = page.url().split('/').slice(-1);
  await page.request.put(`${new URL(page.url()).origin}/api/courses/${id}`, {
    data: { revision: 1, course },
  });
  await page.reload();
  await page.getByTestId('phase-plan').tap();
  await page.getByText('Earlier versions', { exact: true }).tap();
  await page.getByLabel('Compare with version 1').tap();
  await expect(
    page.getByText('Of the pieces since then 1 came, 1 is gone, 1 was moved.'),
  ).toBeVisible();
  await expect(page.getByText('moved since by 1.00 m')).toBeVisible();
  // The same in the scene, and back to the list.
  await page.getByTestId('compare-in-scene').tap();
  await expect(page.getByTestId('compared-key')).toContainText('Since version 1');
  for (const words of ['1 came', '1 gone', '1 moved']) {
    await expect(page.getByTestId('compared-key')).toContainText(words);
  }
  await page.getByTestId('phase-lay').tap();
  await page.getByTestId('compared-list').tap();
  await page.getByTestId(`differs-${short.pieces[2].id}`).tap();
  await page.getByTestId('bring-chosen').tap();
  await expect(page.getByTestId('save-state')).toContainText('4 pieces');
  await page.getByText('Undo', { exact: true }).tap();
  await expect(page.getByTestId('save-state')).toContainText('3 pieces');
  await page.getByLabel('Leave the comparison').tap();
  await expect(page.getByTestId('compared-key')).toHaveCount(0);
});

test('the sheet of two versions put off changes nothing; asked for again it is there', async ({
  open,
}) => {
  const { second } = await disagreeing(open);
  const sheet = second.getByText('Keep what is here', { exact: true });
  await expect(sheet).toBeVisible();
  await second.getByLabel('Close').click();
  await expect(sheet).toHaveCount(0);
  await expect(second.getByTestId('save-state')).toContainText('Saved elsewhere too');
  await expect(second.getByTestId('course-name')).toHaveValue('Renamed in the second');
  await second.getByTestId('save-state').click();
  await sheet.click();
  await expect(second.getByTestId('save-state')).toContainText(/Saved (·|just)/);
  await second.reload();
  await second.getByTestId('phase-plan').click();
  await expect(second.getByTestId('course-name')).toHaveValue('Renamed in the second');
});

test('a player’s run waits on the device over a reload, and is sent when the server is back', async ({
  open,
  server,
  request,
}) => {
  const { slug } = await publish(request, server.url, short);
  const player = await open(`/play/${slug}`, 'wide');
  await player.getByTestId('play-run').click();
  await expect(player.getByTestId('run-clock')).toBeVisible();
  await player.keyboard.down('ArrowRight');
  await expect(player.getByTestId('finish-time')).toBeVisible();
  await player.keyboard.up('ArrowRight');
  await server.kill();
  await player.getByTestId('send-run').click();
  await expect(player.getByText(/It is kept here, and sent again by itself/)).toBeVisible();
  await server.start();
  await player.goto(`${server.url}/play/${slug}`);
  await expect(player.getByText(/A run that waited here is sent: .* place 1/)).toBeVisible();
  await player.reload();
  await expect(player.getByTestId('best-times')).toContainText('Somebody (you)');
});
