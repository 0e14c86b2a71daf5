import { readFileSync } from 'node:fs';
import { strFromU8, unzipSync } from 'fflate';
import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { publish } from './support/publish';
import { expect, test } from './support/test';

const short = layPieces(emptyCourse('Short Quay'), [
  { family: 'slab', at: [0, -0.5, 0], size: [8, 0.5, 2] },
  { family: 'start', at: [-3, 0, 0] },
  { family: 'lantern', at: [3, 0, 0] },
]);
const PASSPHRASE = 'ten stones and a lantern';

test('a course is saved as a scene, a drawing to scale, a table and a picture', async ({
  openMade,
}) => {
  const page = await openMade(short, 'phone');
  await page.getByTestId('phase-share').tap();
  const saved = async (ending: string) => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByTestId(`save-${ending}`).tap(),
    ]);
    expect(download.suggestedFilename()).toBe(`short-quay.${ending}`);
    return readFileSync(await download.path());
  };
  const scene = await saved('glb');
  expect([scene.toString('latin1', 0, 4), scene.readUInt32LE(8)]).toEqual(['glTF', scene.length]);
  expect((await saved('svg')).toString()).toContain('8.00 m');
  expect((await saved('csv')).toString().split('\r\n')).toHaveLength(5);
  const picture = await saved('png');
  expect([picture.toString('latin1', 1, 4), picture.readUInt32BE(16)]).toEqual(['PNG', 1200]);
  // It is not of one colour alone.
  expect(picture.length).toBeGreaterThan(5000);
});

test('a device elsewhere is signed out, everything is taken along, and who leaves is gone', async ({
  open,
  person,
  server,
}) => {
  const page = await open('/', 'phone');
  const { slug } = await publish(page.request, server.url, short);
  await page.reload();
  await page.getByTestId('account').tap();
  await page.getByTestId('account-name').fill('Sorley');
  await page.getByTestId('account-passphrase').fill(PASSPHRASE);
  await page.getByText('Take this name', { exact: true }).tap();
  await expect(
    page.getByText('Computer, this one').or(page.getByText('Phone, this one')),
  ).toBeVisible();

  const other = await person('wide');
  await other.request.post(`${server.url}/api/session`, {
    data: { name: 'Sorley', passphrase: PASSPHRASE },
  });
  const theirs = await other.newPage();
  await theirs.goto(server.url);
  await expect(theirs.getByTestId('open-Short Quay')).toBeVisible();

  await page.reload();
  await page.getByTestId('account').tap();
  await page.getByTestId('end-others').tap();
  await expect(page.getByText('Signed out everywhere else.')).toBeVisible();
  await theirs.reload();
  await expect(theirs.getByText('Start an empty course')).toBeVisible();

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByTestId('all-data').tap(),
  ]);
  const files = unzipSync(new Uint8Array(readFileSync(await download.path())));
  const [name] = Object.keys(files).filter((file) => file.startsWith('courses/short-quay'));
  expect((JSON.parse(strFromU8(files[name])) as { name: string }).name).toBe('Short Quay');

  await page.getByTestId('leave').tap();
  await page.getByTestId('leave-passphrase').fill(PASSPHRASE);
  await page.getByTestId('leave-sure').tap();
  await expect(page.getByText('You and all that was yours are deleted.')).toBeVisible();
  await page.goto(`${server.url}/play/${slug}`);
  await expect(page.getByText('There is no such course')).toBeVisible();
});

test('a drawing opens as platforms, and what another app hands over as the course it is', async ({
  open,
}) => {
  const page = await open('/', 'phone');
  await page.getByTestId('open-course').tap();
  const drawing = '<svg><rect width="30" height="8"/><circle cx="40" cy="4" r="4"/></svg>';
  const file = { name: 'net-loft.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(drawing) };
  await page.getByTestId('open-file').setInputFiles(file);
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await expect(page).toHaveURL(/course\//);
  await page.goBack();
  await expect(page.getByTestId('open-net loft')).toBeVisible();
  const { origin } = new URL(page.url());
  const hand = (text: string) => page.goto(`${origin}/?text=${encodeURIComponent(text)}`);
  await hand(`Low Tide Steps: ${origin}/play/low-tide-steps`);
  await expect(page.getByTestId('play-run')).toBeVisible();
  await page.goBack();
  await expect(page.getByTestId('open-net loft')).toBeVisible();
  await hand('no course at all');
  await expect(page.getByTestId('open-net loft')).toBeVisible();
  await expect(page).not.toHaveURL(/text=/);
});
