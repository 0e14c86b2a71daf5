import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { publish } from './support/publish';
import { rename } from './support/tabs';
import { expect, test } from './support/test';

// What the page says is so.

const course = layPieces(emptyCourse('True Quay'), [
  { family: 'slab', at: [0, -0.5, 0], size: [10, 0.5, 2] },
  { family: 'start', at: [-4, 0, 0] },
  { family: 'lantern', at: [4, 0, 0] },
]);

test('a course that is put back is there for whoever looked while it was down', async ({
  open,
  server,
  request,
}) => {
  const { slug, id } = await publish(request, server.url, course);
  const shown = (up: boolean) =>
    request.put(`${server.url}/api/courses/${id}/published`, { data: { shown: up } });
  expect((await shown(false)).ok()).toBe(true);
  const page = await open(`/play/${slug}`, 'phone');
  await expect(page.getByText(/taken the course down/)).toBeVisible();
  await shown(true);
  await page.reload();
  await expect(page.getByTestId('play-run')).toBeVisible();
  // What it shows is asked for by that, and kept by the browser.
  const documents: string[] = [];
  page.on('response', (answer) => {
    if (answer.url().includes('/documents/')) documents.push(answer.headers()['cache-control']);
  });
  await page.reload();
  await expect(page.getByTestId('play-run')).toBeVisible();
  expect(documents).toEqual(['public, max-age=31536000, immutable']);
});

test('edits that neither the server nor the browser keeps are said to be kept nowhere, and given as a file', async ({
  openMade,
}) => {
  const page = await openMade(course, 'phone');
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.context().setOffline(true);
  await rename(page, 'Kept nowhere');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('save-state')).toContainText('not kept');
  await expect(page.getByText(/kept nowhere: the server/)).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByTestId('save-by-hand').tap();
  expect((await saved).suggestedFilename()).toContain('kept-nowhere');
  await page.context().setOffline(false);
  await expect(page.getByTestId('save-state')).toContainText('Saved', { timeout: 20_000 });
  await expect(page.getByTestId('save-by-hand')).toHaveCount(0);
});

test('a run that began without leave for the list says why', async ({ open, server, request }) => {
  const { slug } = await publish(request, server.url, course);
  const page = await open('/', 'phone');
  const message = 'You begin too many attempts; wait a minute.';
  await page.route('**/attempts', (route) =>
    route.fulfill({ status: 429, json: { error: { code: 'too-many', message } } }),
  );
  await page.goto(`${server.url}/play/${slug}/run`);
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await page.keyboard.down('ArrowRight');
  await expect(page.getByTestId('run-unsent')).toContainText(message, { timeout: 40_000 });
  await page.keyboard.up('ArrowRight');
});
