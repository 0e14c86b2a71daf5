import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import { expectOpenToAll } from './support/axe';
import { publish } from './support/publish';
import { expect, test } from './support/test';

const course = {
  ...layPieces(emptyCourse('Weir Hop'), [
    { family: 'slab', at: [3, -0.5, 0], size: [12, 0.5, 2] },
    { family: 'start', at: [-2, 0, 0] },
    { family: 'lantern', at: [5, 0, 0] },
  ]),
  description: 'Three leaps over the weir.',
};

test('a course is found by a word of its description, liked, run, and told as finished; taken down it is gone', async ({
  person,
  server,
  request,
}) => {
  const { slug, id } = await publish(request, server.url, course);
  const page = await (await person('phone')).newPage();
  await page.goto(server.url);
  await page.getByTestId('open-explore').tap();
  // All there is, with what came this week before it.
  await expect(page.getByTestId('explore-week').getByTestId(`found-${slug}`)).toBeVisible();
  await expect(page.getByTestId('explore-found').getByTestId('found-low-tide-steps')).toBeVisible();
  await expectOpenToAll(page, 'explore', true);
  await page.getByTestId('explore-words').fill('weir leaps');
  await expect(page.getByTestId('found-low-tide-steps')).toHaveCount(0);
  await expect(page).toHaveURL(/words=weir/);
  await page.getByTestId('explore-filters').tap();
  await page.getByRole('radio', { name: 'Cart' }).tap();
  await expectOpenToAll(page, 'explore’s filters', true);
  await page.keyboard.press('Escape');
  await expect(page.getByText(/Nothing is like that/)).toBeVisible();
  // The address alone says what is looked for.
  await page.reload();
  await expect(page.getByText(/Nothing is like that/)).toBeVisible();
  await page.getByTestId('explore-filters').tap();
  await page.getByText('Show all').tap();
  await page.keyboard.press('Escape');

  await page.getByTestId(`found-${slug}`).tap();
  await expect(page.getByText('Three leaps over the weir.')).toBeVisible();
  await page.getByRole('checkbox', { name: 'Like' }).tap();
  await expect(page.getByRole('checkbox', { name: 'Liked · 1' })).toBeChecked();
  await page.getByTestId('report').tap();
  await page.getByTestId('report-words').fill('Its name is somebody else’s.');
  await page.getByTestId('report-send').tap();
  await expect(page.getByText('Reported. Whoever runs this place looks at it.')).toBeVisible();
  // Where one falls is told by who agrees to it.
  await page.getByRole('switch', { name: 'Tell where mine end' }).tap();
  await page.getByTestId('play-run').tap();
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await page.keyboard.down('a');
  await page.waitForTimeout(1500);
  await page.keyboard.up('a');
  await page.keyboard.down('d');
  await expect(page.getByTestId('finish-time')).toBeVisible();
  await page.keyboard.up('d');
  await page.getByTestId('player-name').fill('Wick');
  await page.getByTestId('send-run').tap();
  await expect(page.getByTestId('run-place')).toContainText('place 1');
  await expect(page.getByTestId('best-times').last()).toContainText('Wick');
  await page.getByTestId('run-leave').tap();
  await expect(page.getByTestId('play-edition')).toContainText('100 % finish · 1 try');
  await expect(page.getByTestId('tries-end-most')).toContainText(/^\d of \d about 0 m/);
  await page.goBack();
  const card = page.getByTestId('explore-found').getByTestId(`found-${slug}`);
  await expect(card).toContainText('Finished');
  await expect(card.getByLabel('1 like it')).toBeVisible();

  await request.put(`${server.url}/api/courses/${id}/published`, { data: { shown: false } });
  await page.goto(`${server.url}/play/${slug}`);
  await expect(page.getByText('The course was taken down')).toBeVisible();
  await page.getByText('Look at other courses').tap();
  await expect(page.getByTestId('explore-found')).not.toContainText('Weir Hop');
});
