import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/**
 * Checks that nothing on the page bars anyone: no finding of weight, and names as they are seen.
 * @param contrast whether the contrast of every word is looked at as well, which takes by far the longest
 */
export async function expectOpenToAll(page: Page, what: string, contrast = false): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    // The page has no frames of others: what it finds needs no page of its own to be gathered in.
    .setLegacyMode()
    .options({
      rules: {
        'label-content-name-mismatch': { enabled: true },
        'color-contrast': { enabled: contrast },
      },
    })
    .analyze();
  const grave = violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .flatMap(({ id, nodes }) => nodes.map(({ html }) => `${what}: ${id}: ${html.slice(0, 200)}`));
  expect(grave).toEqual([]);
}
