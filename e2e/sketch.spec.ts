import { layPieces } from '@/core/edit';
import type { Course } from '@/core/course';
import { plannedRoute } from '@/core/route';
import { replay } from '@/core/run';
import { drive } from '@/demo/drive';
import { expect, test } from './support/test';
import { pieces, runAhead, yard } from './support/yard';

test('an oval is drawn, fitted with track that closes, and run on and round', async ({
  openMade,
}) => {
  const { page, hands } = await yard(openMade, 'Oval');
  await page.getByTestId('phase-plan').tap();
  await page.getByText('Draw', { exact: true }).tap();
  // The scene makes room for drawing first.
  await expect
    .poll(async () => (await page.getByTestId('scene').boundingBox())!.height)
    .toBeGreaterThan(480);
  await expect(page.getByTestId('sketch-done')).toBeVisible();
  const box = (await page.getByTestId('scene').boundingBox())!;
  // Round the middle of the picture with one finger, back to where it began.
  const round = Array.from({ length: 41 }, (_, i) => {
    const a = (i * 2 * Math.PI) / 40;
    return {
      x: box.x + box.width * (0.61 + 0.11 * Math.cos(a)),
      y: box.y + box.height * (0.5 + 0.07 * Math.sin(a)),
    };
  });
  await hands.draw(round);
  await expect(page.getByText(/drawn, a round/)).toBeVisible();
  await page.getByText('Banked', { exact: true }).click();
  await page.getByTestId('fit-begin').click();
  await expect(page.getByTestId('fit-result')).toHaveText(
    /closed\. Greatest deviation [0-2]\.\d\d m/,
  );
  await page.getByTestId('fit-keep').tap();
  await page.getByTestId('sketch-done').tap();
  await expect(page.getByTestId('expected')).toContainText('along the');
  await expect(pieces(page)).not.toContainText('3 pieces');
  // From the middle of the view to the track's own ground, and along it.
  await page.getByTestId('phase-lay').tap();
  await page.getByLabel('Undo').tap();
  await expect(pieces(page)).toContainText('3 pieces');
  await page.getByLabel('Redo').tap();
  await runAhead(page, hands, () => page.waitForTimeout(1500));

  // What was built is run all the way round, without a fall, by the simulation the page runs.
  const id = /course\/([^/?]+)/.exec(page.url())![1];
  await expect(async () => {
    const answer = await page.request.get(new URL(`/api/courses/${id}`, page.url()).href);
    const { course } = (await answer.json()) as { course: Course };
    expect(timeRound(course)).toBeGreaterThan(4);
  }).toPass({ timeout: 60_000 });
});

/** Seconds along nearly all of a course's track, with a start and a lantern put on it. */
function timeRound(course: Course): number {
  const { way: whole, from } = plannedRoute(course);
  expect(from).toBe('track');
  const way = whole.slice(0, Math.floor(0.9 * whole.length));
  const track = course.pieces.filter(
    ({ family }) => !['start', 'lantern', 'slab'].includes(family),
  );
  const first = way[0];
  const ahead = (Math.atan2(first[2] - way[1][2], way[1][0] - first[0]) * 180) / Math.PI;
  const round = layPieces({ ...course, pieces: track }, [
    { family: 'start', at: [...first], turn: [0, ahead, 0] },
    { family: 'lantern', at: [...way[way.length - 1]] },
  ]);
  const run = drive(round, way.slice(1), { push: 0.6, beat: 12, breadth: 30 });
  return replay(round, run).time;
}

/** A PNG of two by one pixels. */
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAIAAAABCAIAAAB7QOjdAAAAD0lEQVR4nGOwzw4+EWoLAAgjAlhomsTeAAAAAElFTkSuQmCC',
  'base64',
);

test('a route with a branch, a note that is changed, and a picture laid under it by two fingers', async ({
  openMade,
}) => {
  const { page, hands } = await yard(openMade, 'Branches');
  await page.getByTestId('phase-plan').tap();
  await page.getByText('Draw', { exact: true }).tap();
  await expect(page.getByTestId('sketch-done')).toBeVisible();
  const box = (await page.getByTestId('scene').boundingBox())!;
  const at = (x: number, y: number) => ({ x: box.x + box.width * x, y: box.y + box.height * y });
  // 200 m are in view: what is drawn over half the picture is about 100 m long.
  await hands.draw(Array.from({ length: 21 }, (_, i) => at(0.2 + i * 0.025, 0.5)));
  await expect(page.getByTestId('sketch-length')).toHaveText(/^(9\d|10\d)(\.\d)? m drawn\.$/);
  await hands.draw(Array.from({ length: 11 }, (_, i) => at(0.5, 0.5 - i * 0.02)));
  await expect(page.getByTestId('sketch-length')).toHaveText(/1 branch/);
  await page.getByText('Fit pieces').scrollIntoViewIfNeeded();
  await page.getByText('Branch 1', { exact: true }).tap();
  await page.getByTestId('fit-begin').tap();
  await expect(page.getByTestId('fit-result')).toHaveText(/pieces, \d/, { timeout: 30_000 });

  await page.getByText('Notes', { exact: true }).tap();
  await page.touchscreen.tap(at(0.3, 0.7).x, at(0.3, 0.7).y);
  await page.getByTestId('note-text').fill('Climbs here');
  await page.touchscreen.tap(at(0.7, 0.75).x, at(0.7, 0.75).y);
  await expect(page.getByTestId('note-text')).toHaveValue('Note 2');
  // The first is opened again where it stands, and deleted.
  await page.touchscreen.tap(at(0.3, 0.7).x, at(0.3, 0.7).y);
  await expect(page.getByTestId('note-text')).toHaveValue('Climbs here');
  await page.getByText('Delete the note').tap();
  await expect(page.getByRole('radio', { name: 'Climbs here' })).toBeHidden();
  await expect(page.getByRole('radio', { name: 'Note 2' })).toBeVisible();

  await page.getByText('Picture', { exact: true }).tap();
  await page.getByTestId('picture-file').setInputFiles({
    name: 'plan.png',
    mimeType: 'image/png',
    buffer: PNG,
  });
  await expect(page.getByTestId('picture-width')).toHaveValue('40');
  await hands.pinchOut();
  await expect(async () => {
    const width = Number(await page.getByTestId('picture-width').inputValue());
    expect(width).toBeGreaterThan(15);
    expect(width).toBeLessThan(25);
  }).toPass();
  await page.getByLabel('Undo').tap();
  await expect(page.getByTestId('picture-width')).toHaveValue('40');
});
