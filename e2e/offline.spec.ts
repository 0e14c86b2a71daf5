import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { layPieces } from '@/core/edit';
import { emptyCourse, type Course } from '@/core/course';
import type { CourseListed } from '@/core/protocol';
import { TestServer } from './support/server';
import { rename } from './support/tabs';
import { expect, test } from './support/test';

const short: Course = layPieces(emptyCourse('Short Quay'), [
  { family: 'slab', at: [0, -0.5, 0], size: [8, 0.5, 2] },
  { family: 'start', at: [-3, 0, 0] },
  { family: 'lantern', at: [3, 0, 0] },
]);

test('without a network courses are listed, opened, built, run and timed; all is sent when it is back', async ({
  openInstalled,
  server,
}) => {
  const page = await openInstalled('wide');
  const window = page.context();
  const made = await window.request.post(`${server.url}/api/courses`, { data: { course: short } });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`${server.url}/course/${id}`);
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await page.goto(server.url);
  await expect(page.getByTestId('open-Short Quay')).toBeVisible();

  await window.setOffline(true);
  await page.reload();
  await page.getByTestId('open-Short Quay').click();
  await rename(page, 'Built at sea');
  await expect(page.getByTestId('save-state')).toContainText('kept here');
  // Run, and timed.
  await page.keyboard.press('Escape');
  await page.getByTestId('phase-run').click();
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await page.keyboard.down('ArrowRight');
  await expect(page.getByTestId('finish-time')).toBeVisible();
  await page.keyboard.up('ArrowRight');
  await page.goto(`${server.url}/course/${id}/times`);
  await expect(page.getByTestId('run-list')).toBeVisible();

  // Another begun out there, which nobody has heard of.
  await page.goto(server.url);
  await expect(page.getByText('On this device, not sent yet')).toHaveCount(1);
  await page.getByTestId('new-course').click();
  await page.getByTestId('new-name').fill('Begun at sea');
  await page.getByTestId('new-begin').click();
  await expect(page.getByTestId('save-state')).toContainText('kept here');
  await page.goto(server.url);
  await expect(page.getByText('On this device, not sent yet')).toHaveCount(2);

  await window.setOffline(false);
  await page.reload();
  await expect
    .poll(async () => {
      const answer = await window.request.get(`${server.url}/api/courses`);
      const { courses } = (await answer.json()) as { courses: CourseListed[] };
      return courses.map(({ name }) => name).sort();
    })
    .toEqual(['Begun at sea', 'Built at sea']);
  await expect(page.getByTestId('open-Built at sea')).toBeVisible();
  await expect(page.getByText('On this device, not sent yet')).toHaveCount(0);
});

test('with the server gone it starts; what was changed elsewhere meanwhile is told apart, and both are kept', async ({
  openInstalled,
  server,
}) => {
  const page = await openInstalled('phone');
  const window = page.context();
  const made = await window.request.post(`${server.url}/api/courses`, { data: { course: short } });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`${server.url}/course/${id}`);
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await server.kill();
  await page.reload();
  await page.getByTestId('phase-plan').click();
  await page.getByTestId('course-name').fill('Named out here');
  await expect(page.getByTestId('save-state')).toContainText('kept here');
  await page.goto('about:blank');
  await server.start();
  await window.request.put(`${server.url}/api/courses/${id}`, {
    data: { revision: 1, course: { ...short, name: 'Named in there' } },
  });
  await page.goto(server.url);
  await expect(page.getByText('open it to decide', { exact: false })).toBeVisible();
  await page.getByTestId('open-Named in there').tap();
  await page.getByText('Keep both', { exact: true }).tap();
  await page.getByLabel('Back to my courses').tap();
  await expect(page.getByTestId('open-Named in there')).toBeVisible();
  await expect(page.getByTestId('open-Named out here (from here)')).toBeVisible();
});

test('a newer Stone Hop is loaded when its user says so, and the course that is open stays as it was', async ({
  openInstalled,
}) => {
  const web = mkdtempSync(path.join(tmpdir(), 'stonehop-web-'));
  cpSync(path.join(__dirname, '../dist/web'), web, { recursive: true });
  const own = new TestServer();
  await own.start({ STONEHOP_WEB: web });
  try {
    const page = await openInstalled('wide', own.url);
    await page.getByTestId('demo-copy-salt-pan-hop').click();
    await expect(page.getByTestId('save-state')).toContainText('Saved');
    const before = await page.evaluate(() => performance.timeOrigin);
    // A newer one: its first page differs, and the worker that tells of it.
    for (const [file, from, to] of [
      ['index.html', '<html ', '<html data-newer="yes" '],
      ['sw.js', /(url:"\/?index\.html",revision:")[^"]*/, '$1newer'],
    ] as const) {
      const name = path.join(web, file);
      const text = readFileSync(name, 'utf8');
      expect(text).toMatch(from);
      const newer = text.replace(from, to);
      writeFileSync(name, newer);
      writeFileSync(`${name}.br`, brotliCompressSync(newer));
    }
    await page.evaluate(async () => (await navigator.serviceWorker.ready).update());
    await expect(page.getByText('A newer Stone Hop is here.')).toBeVisible();
    await rename(page, 'Open meanwhile');
    await page.getByText('Load it', { exact: true }).click();
    await page.waitForFunction((then) => performance.timeOrigin !== then, before);
    await expect(page.locator('html')).toHaveAttribute('data-newer', 'yes');
    await expect(page.getByTestId('save-state')).toContainText('Saved');
    await expect(page.getByText('Open meanwhile').first()).toBeVisible();
  } finally {
    await own.remove();
    rmSync(web, { recursive: true, force: true });
  }
});
