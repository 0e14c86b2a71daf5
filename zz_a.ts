import { demo, look } from './zz_look';
void look('phone', async (page, url, shot) => {
  await demo(page, url, 'beacon-stair');
  await page.getByTestId('view-mode').tap();
  await page.getByTestId('view-mode').tap();
  await page.getByLabel('All in view').tap();
  await page.getByTestId('phase-tune').tap();
  await page.getByRole('tab', { name: 'Course', exact: true }).tap();
  await page.getByTestId('take-picture').scrollIntoViewIfNeeded();
  await shot('pic0');
  await page.getByTestId('take-picture').tap();
  await page.getByTestId('picture-field').scrollIntoViewIfNeeded();
  await page.getByTestId('picture-field').fill('22');
  await page.getByTestId('picture-field').press('Enter');
  await page.getByTestId('take-picture').scrollIntoViewIfNeeded();
  await shot('pic1');
  await page.goto(url);
  await shot('pic2');
});
