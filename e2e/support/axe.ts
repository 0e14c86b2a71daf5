import axe from 'axe-core';
import { expect, type Page } from '@playwright/test';

/**
 * Checks that nothing on the page bars anyone: no finding of weight, and names as they are seen.
 * @param contrast whether the contrast of every word is looked at as well, which takes by far the longest
 */
export async function expectOpenToAll(page: Page, what: string, contrast = false): Promise<void> {
  // Once a page: putting it there takes longer than what it then does.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  const options: axe.RunOptions = {
    resultTypes: ['violations'],
    rules: {
      'label-content-name-mismatch': { enabled: true },
      'color-contrast': { enabled: contrast },
    },
  };
  const { violations } = await page.evaluate(
    (told) => (window as unknown as { axe: typeof axe }).axe.run(told),
    options,
  );
  const grave = violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .flatMap(({ id, nodes }) => nodes.map(({ html }) => `${what}: ${id}: ${html.slice(0, 200)}`));
  expect(grave).toEqual([]);
}
