import type { Browser, Page } from '@playwright/test';
import { layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { toCourseFile } from '@/core/formats';
import { median, worst, type Figure } from './figures';
import { timeScript, type ScriptTime } from './script';
import { withPage } from './served';

const PIECES = 5000;
/** A piece in view when the course has been opened, in pixels of the page, and others. */
const HELD = [740, 300] as const;
/** From further off: an outline about some two hundred, and one of them. */
const AROUND: readonly (readonly [number, number])[] = [
  [480, 150],
  [880, 150],
  [880, 480],
  [480, 480],
  [480, 155],
];
const ONE_OF_MANY = [672, 381] as const;
const OTHERS: readonly (readonly [number, number])[] = [[655, 390], HELD, [600, 250], [840, 440]];

/** Made when it is measured with, not whenever the command is begun. */
const manyPieces = () =>
  layPieces(
    emptyCourse('Five Thousand', 'free'),
    Array.from({ length: PIECES }, (_, i): PieceInHand => {
      const at: [number, number, number] = [(i % 70) * 3, 0, -Math.floor(i / 70) * 3];
      if (i === 0) return { family: 'start', at };
      if (i % 9 === 4) return { family: 'shell', at };
      const family = ['slab', 'block', 'ramp', 'post', 'steps'][i % 5];
      return { family, at, size: [1 + (i % 4) / 2, 1 + (i % 3), 2] };
    }),
  );

/**
 * What the page's own script takes for each thing done among 5,000 pieces until its frame is begun: the
 * interface and the scene with it, as they are served. Nothing where there is no browser to look with.
 */
export const inPage = (): Promise<Figure[]> => withPage(measure);

async function measure(browser: Browser, page: Page): Promise<Figure[]> {
  const times = (count: number, act: (i: number) => Promise<void>, rest = 0) =>
    timeScript(
      browser,
      page,
      Array.from({ length: count }, (_, i) => () => act(i)),
      rest,
    );
  await page.getByTestId('open-course').click();
  await page.getByTestId('open-file').setInputFiles({
    name: 'large.json',
    mimeType: 'application/json',
    buffer: Buffer.from(toCourseFile(manyPieces())),
  });
  await page.getByTestId('save-state').getByText(`${PIECES} pieces`).waitFor();
  await page.evaluate(DRAW_NOTHING);
  await page.waitForTimeout(3000);

  const choosing = await times(120, (i) => page.mouse.click(...OTHERS[i % OTHERS.length]), 250);
  await page.mouse.click(...HELD);
  await page.waitForTimeout(600);
  const dragging = await drag(page, HELD, times);
  const undoing = await times(
    24,
    (i) => page.keyboard.press(i % 2 ? 'Control+Shift+z' : 'Control+z'),
    700,
  );
  await page.keyboard.press('Escape');
  const many = await chooseMany(page);
  const draggingMany = await drag(page, ONE_OF_MANY, times);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await page.mouse.wheel(0, -1700);
  await page.waitForTimeout(1500);
  await page.getByTestId('family-slab').first().click();
  await page.mouse.move(...HELD);
  await page.waitForTimeout(600);
  const ghost = await times(120, (i) =>
    page.mouse.move(HELD[0] + 5 * (i % 23), HELD[1] + 3 * (i % 17)),
  );
  await page.keyboard.press('Escape');
  await page.getByLabel('All in view').click();
  await page.waitForTimeout(2500);
  const draws = await page.evaluate(() => (window as unknown as { most: number }).most);
  const figure = (key: string, label: string, value: number, goal = '', unit = 'ms'): Figure => ({
    key,
    label,
    value,
    unit,
    goal,
  });
  const pair = (key: string, label: string, all: readonly ScriptTime[]) => [
    figure(key, label, median(all.map(({ until }) => until)), 'at most 4'),
    figure(`${key}Worst`, '… one in a hundred', worst(all.map(({ until }) => until)), 'at most 12'),
  ];
  const all = [...choosing, ...dragging, ...ghost];
  return [
    ...pair('pageChoose', 'In the page: choose one of 5,000, all script', choosing),
    ...pair('pageGhost', '… the piece in hand follows the pointer', ghost),
    ...pair('pageDrag', '… one of them dragged, a move', dragging),
    figure(
      'pageDragMany',
      `… ${many} of them dragged, a move`,
      median(draggingMany.map(({ until }) => until)),
      'at most 8',
    ),
    figure('pageUndo', '… undo', median(undoing.map(({ until }) => until)), 'at most 16'),
    figure('pageFrame', '… and the frame that shows it', median(all.map(({ frame }) => frame))),
    figure('pageDraws', '… draw calls, all in view', draws, 'at most 80', ''),
  ];
}

/** Chooses some two hundred pieces by drawing round them, and returns how many they are. */
async function chooseMany(page: Page): Promise<number> {
  await page.mouse.move(640, 300);
  await page.mouse.wheel(0, 1700);
  await page.waitForTimeout(1500);
  await page.keyboard.press('i');
  await page.mouse.move(...AROUND[0]);
  await page.mouse.down();
  for (const place of AROUND) await page.mouse.move(...place, { steps: 8 });
  await page.mouse.up();
  await page.keyboard.press('p');
  const words = await page
    .getByText(/^\d+ pieces$/)
    .last()
    .textContent();
  return Number.parseInt(words!, 10);
}

/** Drags what is chosen from where it is seen, and back. */
async function drag(
  page: Page,
  [x, y]: readonly [number, number],
  times: (count: number, act: (i: number) => Promise<void>) => Promise<ScriptTime[]>,
): Promise<ScriptTime[]> {
  await page.mouse.move(x, y);
  await page.mouse.down();
  // The first moves take the piece up; what follows is the drag.
  for (let i = 1; i <= 6; i++) await page.mouse.move(x + 4 * i, y);
  const found = await times(120, (i) => page.mouse.move(x + 24 + 3 * (i % 20), y + 2 * (i % 7)));
  await page.mouse.up();
  await page.waitForTimeout(900);
  return found;
}

/**
 * Has nothing drawn, as the processor would draw it here and leave less of itself to what is measured; all that
 * script does for it stays. Keeps the most draw calls of any frame in `window.most`.
 */
const DRAW_NOTHING = `(() => {
  let now = 0;
  window.most = 0;
  const gl = WebGL2RenderingContext.prototype;
  const count = () => {
    if (now++ === 0) requestAnimationFrame(() => (now = 0));
    window.most = Math.max(window.most, now);
  };
  const { drawArrays, drawElements } = gl;
  gl.drawArrays = function (mode, first) {
    count();
    drawArrays.call(this, mode, first, 0);
  };
  gl.drawElements = function (mode, corners, type, from) {
    count();
    drawElements.call(this, mode, 0, type, from);
  };
})()`;
