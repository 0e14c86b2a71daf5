import type { Page } from '@playwright/test';
import { endIndex } from '@/core/edit';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { tideLine } from '@/core/run';
import { SceneHands } from './support/scene';
import { yard } from './support/yard';
import { expect, test } from './support/test';

const pieces = (page: Page) => page.getByTestId('save-state');

/** Holds a finger on a place of the scene, slides it by pixels, and lifts it. */
async function hold(page: Page, hands: SceneHands, place: Vec3, by: [number, number]) {
  const from = await hands.pixel(place);
  await hands.press(from, { x: from.x + by[0], y: from.y + by[1] });
  await page.waitForTimeout(50);
}

test('placing by touch: held above the finger, slid, laid on letting go, and on the ghost by a tap', async ({
  openMade,
}) => {
  const { page, hands } = await yard(openMade, 'By touch');
  await page.getByText('Timber', { exact: true }).tap();
  await page.getByTestId('family-crate').tap();
  await expect(page.getByTestId('hand-name')).toHaveText('Crate in hand');
  await hold(page, hands, [-1, 0, 3], [40, -10]);
  await expect(pieces(page)).toContainText('4 pieces');
  // The next waits beside it: a tap on that lays it, wherever on it the finger comes down.
  await page.getByTestId('hand-more').tap();
  await page.getByLabel('Raise', { exact: true }).tap();
  await page.getByTestId('hand-more').tap();
  await page.getByTestId('hand-row').tap();
  await hands.drag([-3, 0, -4], [1, 0, -4]);
  await expect(pieces(page)).not.toContainText('4 pieces');
  await page.getByTestId('hand-done').tap();
  await page.getByLabel('Undo').tap();
  await expect(pieces(page)).toContainText('4 pieces');
});

test('choosing by touch: one is picked up by holding it, hidden, and shown again from the list', async ({
  openMade,
}) => {
  const { page, hands } = await yard(openMade, 'Picked');
  await hold(page, hands, [-1, 0, 0.6], [0, 0]);
  await expect(page.getByTestId('hand-name')).toHaveText('Slab in hand');
  await page.getByTestId('hand-done').tap();
  await expect(pieces(page)).toContainText('3 pieces');
  await hands.tap([-1, 0, 0.6]);
  await expect(page.getByTestId('choice-name')).toHaveText('Slab');
  await page.getByText('Hide', { exact: true }).click();
  await page.getByTestId('look-open').tap();
  await page.getByRole('button', { name: 'Hidden and locked' }).tap();
  await page.getByLabel('Show Slab').tap();
  await expect(page.getByText('Nothing is hidden or locked.')).toBeVisible();
  await page.getByLabel('Close').last().tap();

  // A view is kept by name and come back to.
  await page.getByTestId('look-open').tap();
  await page.getByTestId('view-keep').tap();
  await page.getByLabel('Close').last().tap();
  await hands.pinchOut();
  const eye = await page.getByTestId('scene').getAttribute('data-eye');
  await page.getByTestId('look-open').tap();
  await page.getByRole('button', { name: 'View 1', exact: true }).tap();
  await expect(page.getByTestId('scene')).not.toHaveAttribute('data-eye', eye!);
});

test('tuning by touch: a piece becomes a checkpoint, the rules have several starts, and undo outlives a reload', async ({
  openMade,
}) => {
  const { page, hands } = await yard(openMade, 'Tuned');
  await page.getByText('Floors', { exact: true }).tap();
  await page.getByTestId('family-slab').tap();
  await hands.tap([0, 0, 4]);
  await page.getByTestId('hand-done').tap();
  await hands.tap([0, 0.5, 4.6]);
  await expect(page.getByTestId('choice-name')).toHaveText('Slab');
  await page.getByTestId('phase-tune').tap();
  await page
    .getByRole('tablist', { name: 'Of the piece' })
    .getByRole('tab', { name: 'Contact' })
    .tap();
  await page.getByRole('radio', { name: 'Checkpoint', exact: true }).tap();
  await expect(page.getByTestId('mark-number')).toHaveValue('1');
  await expect(pieces(page)).toContainText('Saved');
  await page.reload();
  await expect(pieces(page)).toContainText('4 pieces');
  await page.getByLabel('Undo').tap();
  await page.getByLabel('Undo').tap();
  await expect(pieces(page)).toContainText('3 pieces');
});

test('the open end of a track is touched for what fits there, and the tide line is pulled up by its knob', async ({
  openMade,
}) => {
  const { page, hands } = await yard(openMade, 'Ends');
  await page.getByText('Track', { exact: true }).tap();
  await page.getByTestId('family-straight').tap();
  await hands.tap([0, 0, 5]);
  await page.getByTestId('hand-done').tap();
  await expect(pieces(page)).toContainText('4 pieces');
  await page.getByText('Marks', { exact: true }).tap();
  await expect(page.getByTestId('family-bend')).toHaveCount(0);
  const id = /course\/([^/?]+)/.exec(page.url())![1];
  await expect(pieces(page)).toContainText('Saved');
  const saved = async () => {
    const answer = await page.request.get(new URL(`/api/courses/${id}`, page.url()).href);
    return ((await answer.json()) as { course: Course }).course;
  };
  const end = endIndex(await saved()).open('track')[0].at;
  await hands.tap([...end]);
  await expect(page.getByRole('tab', { name: 'Fits here' })).toBeInViewport();
  // What is taken waits on that end, and is laid there by a touch of it.
  await page.getByTestId('family-bend').tap();
  await hands.tap([...end]);
  await page.getByTestId('hand-done').tap();
  await expect(pieces(page)).toContainText('5 pieces');
  await expect(async () => {
    const course = await saved();
    expect(course.pieces).toHaveLength(5);
    expect(
      endIndex(course)
        .open('track')
        .map(({ at }) => at),
    ).not.toContainEqual(end);
  }).toPass();

  await page.getByText('Tools', { exact: true }).tap();
  await page.getByText('Sky', { exact: true }).tap();
  await page.getByTestId('view-mode').tap();
  await expect(page.getByTestId('view-mode')).not.toHaveText(/Above/);
  await expect(page.getByTestId('tide-mark')).toBeVisible();
  const before = tideLine(await saved());
  const middle = (await page.getByTestId('scene').boundingBox())!;
  const knob = await hands.pixel([(await hands.target())[0], before, (await hands.target())[2]]);
  expect(knob.y).toBeLessThan(middle.y + middle.height);
  await hands.draw([knob, { x: knob.x, y: knob.y - 10 }, { x: knob.x, y: knob.y - 40 }], 40);
  await expect(async () => expect((await saved()).tide).toBeGreaterThan(before + 0.3)).toPass();
});
