import { endsOf, joinTo, layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { toShareCode } from '@/core/formats';
import type { Page } from '@playwright/test';
import { expect, test } from './support/test';

// What the simulation was found wrong in, seen through the interface.

/** Opens a course by its code, as somebody would who was sent it. */
async function openCode(page: Page, code: string) {
  await page.getByTestId('open-course').click();
  await page.getByTestId('open-text').fill(code);
  await page.getByTestId('open-go').click();
  await expect(page.getByTestId('save-state')).toContainText('pieces');
}

test('a cart drives off from its start on a hill', async ({ open }) => {
  const page = await open('/play/lime-tramway', 'wide');
  await page.getByTestId('play-run').click();
  await expect(page.getByTestId('run-clock')).toBeVisible();
  await page.keyboard.down('KeyW');
  await expect(page.getByText(/at checkpoint 1/)).toBeVisible({ timeout: 90_000 });
  await page.keyboard.up('KeyW');
});

test('a step where track joins is found, shown and mended', async ({ open }) => {
  const at: PieceInHand['at'] = [0, 0, 0];
  const straight: PieceInHand = { family: 'straight', at, params: { length: 12 } };
  const dip = joinTo({ family: 'dip', at }, 0, endsOf({ ...straight, id: 'a' })[1]);
  const last = joinTo(straight, 0, endsOf({ ...dip, id: 'b' })[1]);
  const course = layPieces({ ...emptyCourse('Stepped', 'free'), runner: { kind: 'cart' } }, [
    { family: 'start', at: [1, 0.3, 0] },
    straight,
    dip,
    { ...last, at: [last.at[0], last.at[1] - 0.07, last.at[2]] },
    { family: 'lantern', at: [28, 0.3, 0] },
  ]);
  const page = await open('/', 'phone');
  await openCode(page, toShareCode(course));
  const findings = page.getByRole('button', { name: 'Findings' });
  await findings.tap();
  const step = page.getByText(/stands 7 cm lower than the track it joins/);
  await expect(step).toBeVisible();
  await page.getByText('Bring it level').tap();
  await findings.tap();
  await expect(page.getByText('Nothing wrong found. Nobody has finished it yet.')).toBeVisible();
});

test('run from the spot in view, a course of legs opens the goal of the leg it is in', async ({
  open,
}) => {
  const course = layPieces({ ...emptyCourse('Two Legs'), legs: [{}, {}] }, [
    { family: 'slab', at: [15, -1, 0], size: [50, 1, 4] },
    { family: 'start', at: [0, 0, 0], params: { leg: 1 } },
    { family: 'lantern', at: [8, 0, 0], params: { leg: 1 } },
    { family: 'start', at: [20, 0, 0], params: { leg: 2 } },
    { family: 'cairn', at: [24, 0, 0], params: { leg: 2, number: 1 } },
    { family: 'lantern', at: [34, 0, 0], params: { leg: 2 } },
  ]);
  const page = await open('/', 'wide');
  await openCode(page, toShareCode(course));
  const url = new URL(page.url());
  await page.goto(`${url.origin}${url.pathname}/run?from=27,0,0`);
  await expect(page.getByTestId('run-tally')).toContainText('Leg 2 of 2');
  await page.keyboard.down('KeyD');
  await expect(page.getByTestId('finish-time')).toBeVisible({ timeout: 90_000 });
  await expect(page.getByText(/it is no proof/)).toBeVisible();
});
