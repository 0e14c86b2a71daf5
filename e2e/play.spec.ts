import type { APIRequestContext } from '@playwright/test';
import { layPieces } from '@/core/edit';
import { emptyCourse, type Course } from '@/core/course';
import { courseHash, buildWorld, Recorder, initialState, tick, type Run } from '@/core/run';
import { expect, test } from './support/test';

const course = layPieces(
  { ...emptyCourse('Straight Quay'), targets: { steady: 9, brisk: 6, swift: 0.5 } },
  [
    { family: 'slab', at: [0, -0.5, 0], size: [10, 0.5, 2] },
    { family: 'start', at: [-4, 0, 0] },
    { family: 'cairn', at: [0, 0, 0] },
    { family: 'lantern', at: [4, 0, 0] },
  ],
);

/** A run to the right until the goal. */
function runRight(on: Course): Run {
  const world = buildWorld(on);
  const state = initialState(world);
  const recorder = new Recorder();
  while (state.finish < 0 && state.tick < 1200) {
    recorder.add({ x: 16, z: 0, jump: false });
    tick(world, state, { x: 16, z: 0, jump: false }, () => {});
  }
  return recorder.run(courseHash(on), state.finish);
}

/** Publishes a course as its maker would, and can publish a changed one over it. */
async function publish(request: APIRequestContext, url: string) {
  const made = await request.post(`${url}/api/courses`, { data: { course } });
  const { id } = (await made.json()) as { id: string };
  const prove = (on: Course) =>
    request.post(`${url}/api/courses/${id}/proof`, { data: { run: runRight(on) } });
  const send = async () =>
    (await (await request.post(`${url}/api/courses/${id}/publish`)).json()) as { slug: string };
  await prove(course);
  const { slug } = await send();
  const change = async () => {
    const pieces = course.pieces.map((p) =>
      p.family === 'lantern' ? { ...p, at: [3, 0, 0] as [number, number, number] } : p,
    );
    const changed = { ...course, pieces };
    await request.put(`${url}/api/courses/${id}`, { data: { revision: 1, course: changed } });
    await prove(changed);
    await send();
  };
  return { slug, change };
}

test('a full queue: the page keeps the run and sends it again', async ({
  open,
  server,
  request,
}) => {
  const { slug } = await publish(request, server.url);
  const page = await open(`/play/${slug}`, 'wide');
  await page.route(
    '**/runs',
    (route) =>
      route.fulfill({
        status: 503,
        headers: { 'Retry-After': '5' },
        json: {
          error: {
            code: 'busy',
            message: 'Many runs are being checked just now. Send it again in a moment.',
          },
        },
      }),
    { times: 1 },
  );
  await page.getByTestId('play-run').click();
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await page.keyboard.down('d');
  await expect(page.getByText(/at checkpoint 1/)).toBeVisible();
  await expect(page.getByTestId('finish-time')).toBeVisible();
  await page.keyboard.up('d');
  await expect(page.getByText(/^no falls · (steady|brisk)/)).toBeVisible();
  await page.getByTestId('send-run').click();
  await expect(page.getByText('The run is kept here until it is sent.')).toBeVisible();
  await page.getByText('Send it again', { exact: true }).click();
  await expect(page.getByTestId('run-place')).toContainText('place 1');
  await expect(page.getByTestId('best-times').last()).toContainText('Somebody (you)');
});

test('a course published anew during a run: the run is told it no longer counts', async ({
  open,
  server,
  request,
}) => {
  const { slug, change } = await publish(request, server.url);
  const page = await open(`/play/${slug}/run`, 'phone');
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await change();
  await page.keyboard.down('ArrowRight');
  await expect(page.getByTestId('finish-time')).toBeVisible();
  await page.keyboard.up('ArrowRight');
  await page.getByTestId('send-run').tap();
  await expect(page.getByText('The course has changed since this run began.')).toBeVisible();
  await expect(page.getByTestId('send-run')).toHaveCount(0);
});
