import { expect, test } from './support/test';

test('my courses: rename, duplicate, delete and take back, search, and go on building', async ({
  open,
}) => {
  const page = await open('/', 'phone');
  await page.getByTestId('demo-copy-salt-pan-hop').tap();
  await expect(page.getByTestId('save-state')).toContainText('Saved');
  await page.getByLabel('Back to my courses').tap();

  await page.getByLabel('More for Salt Pan Hop').tap();
  await page.getByLabel('Name', { exact: true }).fill('Pan Walk');
  await page.getByText('Rename', { exact: true }).tap();
  await expect(page.getByTestId('open-Pan Walk')).toBeVisible();
  await page.getByLabel('More for Pan Walk').tap();
  await page.getByText('Duplicate', { exact: true }).tap();
  await expect(page.getByTestId('open-Pan Walk copy')).toBeVisible();

  await page.getByLabel('More for Pan Walk copy').tap();
  await page.getByText('Delete', { exact: true }).tap();
  await expect(page.getByTestId('open-Pan Walk copy')).toHaveCount(0);
  await page.getByLabel('Undo', { exact: true }).tap();
  await expect(page.getByTestId('open-Pan Walk copy')).toBeVisible();
  // In a folder and under a tag it is found by either.
  await expect(page.getByTestId('folders')).toHaveCount(0);
  await page.getByLabel('More for Pan Walk copy').tap();
  await page.getByTestId('shelf-folder').fill('Salt pans');
  await page.getByTestId('shelf-tags').fill('wet, short');
  await page.getByTestId('shelf-keep').tap();
  await page.getByRole('tab', { name: 'Salt pans · 1' }).tap();
  await expect(page.getByTestId('open-Pan Walk')).toHaveCount(0);
  await page.getByRole('tab', { name: '# short · 1' }).tap();
  await expect(page.getByTestId('open-Pan Walk copy')).toBeVisible();
  await page.getByRole('tab', { name: 'All · 2' }).tap();
  await page.getByLabel('Search my courses').fill('no such thing');
  await expect(page.getByText('No course by that name.')).toBeVisible();
  await page.getByLabel('Search my courses').fill('walk');

  // Renamed from here, it opens as it is now and saves without a conflict.
  await page.getByTestId('open-Pan Walk').tap();
  await page.getByTestId('phase-plan').tap();
  await expect(page.getByTestId('course-name')).toHaveValue('Pan Walk');
  // Typed in front, key by key: what is typed stays where the caret is.
  await page.getByTestId('course-name').press('Home');
  await page.getByTestId('course-name').pressSequentially('Old ');
  await expect(page.getByTestId('course-name')).toHaveValue('Old Pan Walk');
  await expect(page.getByTestId('save-state')).toContainText('Saved');

  // An earlier version is one tap away.
  await page.getByText('Earlier versions', { exact: true }).tap();
  await page.getByTestId('version-1').tap();
  await expect(page.getByTestId('course-name')).toHaveValue('Salt Pan Hop');
});

test('a name and a passphrase open the courses in another browser', async ({ open }) => {
  const here = await open('/', 'wide');
  await here.getByTestId('demo-copy-low-tide-steps').click();
  await expect(here.getByTestId('save-state')).toContainText('Saved');
  await here.getByLabel('Back to my courses').click();
  const signIn = async (page: typeof here, button: string) => {
    await page.getByTestId('account').click();
    await page.getByTestId('account-name').fill('Senan');
    await page.getByTestId('account-passphrase').fill('kelp and slate');
    await page.getByText(button, { exact: true }).click();
    await expect(page.getByText('Signed in as')).toBeVisible();
  };
  await signIn(here, 'Take this name');
  // What is said stands over the sheet it is said about.
  const said = here.getByRole('alert').filter({ hasText: 'Your courses can now' });
  const isOnTop = await said.evaluate((alert) => {
    const { left, right, top, bottom } = alert.getBoundingClientRect();
    const corners = [top + 6, bottom - 6].map((y) => [(left + right) / 2, y] as const);
    return corners.every(([x, y]) => alert.contains(document.elementFromPoint(x, y)));
  });
  expect(isOnTop).toBe(true);
  const there = await open('/', 'phone');
  await signIn(there, 'Sign in');
  await there.getByLabel('Close').tap();
  await expect(there.getByTestId('open-Low Tide Steps')).toBeVisible();
});
