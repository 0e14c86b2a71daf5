import { layPieces } from '@/core/edit';
import { DEMO_COURSES } from '@/demo/courses';
import { expect, test } from './support/test';

const demo = DEMO_COURSES.find(({ slug }) => slug === 'low-tide-steps')!.course;
const [first] = demo.pieces.filter(({ family }) => family === 'block');
/** A block laid twice, the second 60 cm further along. */
const doubled = layPieces(demo, [
  { ...first, at: [first.at[0] + 0.6, first.at[1], first.at[2]] as typeof first.at },
]);

test('a notice is put aside, stays so after a reload, and is shown again', async ({ openMade }) => {
  const page = await openMade(doubled, 'phone');
  const findings = page.getByRole('button', { name: 'Findings' });
  await findings.tap();
  const notice = page.getByText(/^Block reaches .* into block\.$/);
  await expect(notice).toBeVisible();
  await page.getByRole('button', { name: 'Not a problem here' }).tap();
  await expect(notice).toBeHidden();
  await expect(page.getByText(/^Nothing else found\./)).toBeVisible();
  await expect(page.getByText('1 put aside')).toBeVisible();
  await expect(page.getByText(/^Saved/)).toBeAttached();
  await page.reload();
  await findings.tap();
  await page.getByRole('button', { name: '1 put aside' }).tap();
  await expect(notice).toBeVisible();
  await page.getByRole('button', { name: 'Show it again' }).tap();
  await expect(page.getByRole('button', { name: 'Not a problem here' })).toBeVisible();
});
