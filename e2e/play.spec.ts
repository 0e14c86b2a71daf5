import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { expectOpenToAll } from './support/axe';
import { publish } from './support/publish';
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

test('a full queue: the page keeps the run and sends it again', async ({
  open,
  server,
  request,
}) => {
  const { slug } = await publish(request, server.url, course);
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
  await expect(page.getByText(/It is kept here, and sent again by itself/)).toBeVisible();
  await page.getByText('Send it again', { exact: true }).click();
  await expect(page.getByTestId('run-place')).toContainText('place 1');
  await expect(page.getByTestId('best-times').last()).toContainText('Somebody (you)');
  // The first stand by the lantern, and nothing lies over them.
  await expect(page.getByTestId('run-clock')).toHaveCount(0);
  await page.getByText('Again', { exact: true }).click();
  await expect(page.getByTestId('run-clock')).toBeVisible();
});

test('a course published anew during a run: the run counts for the edition it began on', async ({
  open,
  server,
  request,
}) => {
  const { slug, change } = await publish(request, server.url, course);
  const page = await open(`/play/${slug}/run`, 'phone');
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await change();
  await page.keyboard.down('ArrowRight');
  await expect(page.getByTestId('finish-time')).toBeVisible();
  await page.keyboard.up('ArrowRight');
  await page.getByTestId('send-run').tap();
  await expect(page.getByTestId('run-place')).toContainText('place 1');
  // On the list of the edition it began on, and not on that of now.
  const told = async (edition: string) =>
    (await (await request.get(`${server.url}/api/published/${slug}${edition}`)).json()) as {
      edition: number;
      best: unknown[];
    };
  expect(await told('')).toMatchObject({ edition: 2, best: [] });
  expect((await told('?edition=1')).best).toHaveLength(1);
});

test('a player has the maker’s run and another’s beside, and may close their own to others', async ({
  person,
  server,
  request,
}) => {
  const { slug, played } = await publish(request, server.url, course);
  const window = await person('wide');
  await played(window.request, 'Orla');
  const second = await (await person('wide')).newPage();
  await second.goto(`${server.url}/play/${slug}`);
  await expect(second.getByTestId('play-race')).toHaveText('Race Orla');
  await second.getByLabel('Run beside Orla').click();
  await second.getByText(/^Run beside .*, who made it/).click();
  await expect(second.getByTestId('beside-count')).toContainText('2 pale runners');
  await expectOpenToAll(second, 'run beside', true);
  await second.getByTestId('play-run').click();
  await expect(second.getByTestId('run-clock')).toBeVisible();
  // It is there for less than a second: looked for in every frame.
  const gap = second.waitForFunction(
    () =>
      /ahead of|behind/.test(document.querySelector('[data-testid=pale-gap]')?.textContent ?? ''),
    null,
    { polling: 'raf' },
  );
  await second.keyboard.down('d');
  await gap;
  await expect(second.getByTestId('finish-time')).toBeVisible();
  await expect(second.getByTestId('held-against')).toHaveText('Held against Orla.');
  await second.keyboard.up('d');

  const first = await window.newPage();
  await first.goto(`${server.url}/play/${slug}`);
  await first.getByRole('switch', { name: 'Others may run beside mine' }).click();
  await expect(first.getByRole('switch', { name: 'Others may run beside mine' })).not.toBeChecked();
  await second.goto(`${server.url}/play/${slug}`);
  await expect(second.getByTestId('best-times')).toContainText('Orla');
  await expect(second.getByLabel('Run beside Orla')).toHaveCount(0);
});
