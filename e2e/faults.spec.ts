import { writeFileSync } from 'node:fs';
import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { toCourseFile, toShareCode } from '@/core/formats';
import { disagreeing } from './support/tabs';
import { expect, test } from './support/test';

const course = layPieces(emptyCourse('Pasted Walk'), [
  { family: 'slab', at: [0, -0.5, 0], size: [6, 0.5, 2] },
  { family: 'lantern', at: [2.5, 0, 0] },
]);

test('codes, files and links open, and bad ones say why', async ({ open }) => {
  const page = await open('/', 'phone');
  await page.getByTestId('open-course').tap();
  const text = page.getByTestId('open-text');
  const code = toShareCode(course);
  const refused = async (what: string, words: string) => {
    await text.fill(what);
    await page.getByTestId('open-go').tap();
    await expect(page.getByText(words)).toBeVisible();
  };
  await refused(
    `${code.slice(0, 60)}${code[60] === 'A' ? 'B' : 'A'}${code.slice(61)}`,
    'A letter of the code is wrong',
  );
  await refused('good morning', 'The file is cut off or is not JSON.');
  await refused(JSON.stringify({ ...course, version: 8 }), 'made by a newer Stone Hop');
  const file = page.getByTestId('open-file');
  const choose = (body: string) =>
    file.setInputFiles({
      name: 'walk.json',
      mimeType: 'application/json',
      buffer: Buffer.from(body),
    });
  await choose(toCourseFile(course).slice(0, 200));
  await expect(page.getByText('cut off')).toBeVisible();
  const large = test.info().outputPath('walk.json');
  writeFileSync(large, Buffer.alloc(50 * 1024 * 1024, 32));
  await file.setInputFiles(large);
  await expect(page.getByText('walk.json has 50 MB; a course has at most 8 MB.')).toBeVisible();

  await text.fill(code);
  await page.getByTestId('open-go').tap();
  await expect(page.getByTestId('save-state')).toContainText('2 pieces');

  // It has no start: Run says so and offers one.
  await page.getByTestId('phase-run').tap();
  await expect(page.getByText('The course has no start', { exact: true })).toBeVisible();
  await page.getByText('Lay a start', { exact: true }).tap();
  await expect(page.getByTestId('save-state')).toContainText('3 pieces');
  await page.getByTestId('phase-run').tap();
  await expect(page.getByTestId('run-clock')).toBeVisible();
});

test('a link that leads nowhere and a play link pasted', async ({ open }) => {
  const page = await open('/play/no-such-course', 'phone');
  await expect(page.getByText('There is no such course')).toBeVisible();
  await page.getByText('To the courses').tap();
  await page.getByTestId('open-course').tap();
  await page.getByTestId('open-text').fill('http://somewhere.example/play/low-tide-steps');
  await page.getByTestId('open-go').tap();
  await expect(page.getByTestId('play-run')).toBeVisible();
});

test('two tabs on one course: nothing is lost', async ({ open, server }) => {
  const { second } = await disagreeing(open);
  await expect(second.getByText('Saved elsewhere too', { exact: true }).first()).toBeVisible();
  await second.getByText('Keep both', { exact: true }).click();
  await expect(second.getByTestId('course-name')).toHaveValue('Renamed in the first');
  await second.goto(server.url);
  await expect(second.getByText('Renamed in the second (from here)')).toBeVisible();
  await expect(second.getByText('Renamed in the first', { exact: true })).toBeVisible();
});

test('the server stops during building: the page says so, keeps it, and sends it when it is back', async ({
  open,
  server,
}) => {
  const page = await open('/', 'wide');
  await page.getByTestId('demo-copy-low-tide-steps').click();
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await server.kill();
  await page.getByTestId('phase-plan').click();
  await page.getByTestId('course-name').fill('Kept through the storm');
  await expect(page.getByTestId('save-state')).toContainText('Server away, kept here');
  await server.start();
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await page.reload();
  await expect(page.getByText('Kept through the storm').first()).toBeVisible();
});

test('a run that cannot be sent waits until it can', async ({ openMade, server }) => {
  const short = layPieces(emptyCourse('Short'), [
    { family: 'slab', at: [0, -0.5, 0], size: [8, 0.5, 2] },
    { family: 'start', at: [-3, 0, 0] },
    { family: 'lantern', at: [3, 0, 0] },
  ]);
  const page = await openMade(short, 'wide');
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await page.keyboard.press('4');
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await page.keyboard.down('ArrowRight');
  await expect(page.getByTestId('finish-time')).toBeVisible();
  await page.keyboard.up('ArrowRight');
  await server.kill();
  await page.getByTestId('keep-run').click();
  await expect(page.getByText('The server cannot be reached.')).toBeVisible();
  await server.start();
  await page.getByTestId('keep-run').click();
  await expect(page.getByTestId('run-kept')).toBeVisible();
});

test('where the screens of a course cannot be loaded the page says so, and opens when they can', async ({
  person,
  server,
}) => {
  const page = await (await person('phone')).newPage();
  // They are loaded apart from the page that links to them, and may be gone with a newer build.
  await page.route('**/screens-*.js', (route) => route.abort());
  await page.goto(`${server.url}/help`);
  await expect(page.getByText('This page could not be loaded')).toBeVisible();
  await page.unroute('**/screens-*.js');
  await page.getByText('Try again').tap();
  await expect(page.getByRole('heading', { name: 'Keys and touch' })).toBeVisible();
});
