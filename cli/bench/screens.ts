import type { Browser, Page } from '@playwright/test';
import { emptyCourse } from '@/core/course';
import { layPieces, type PieceInHand } from '@/core/edit';
import { toCourseFile } from '@/core/formats';
import { median, type Figure } from './figures';
import { longestFrames, wholeScript } from './script';
import { withPage } from './served';

const PIECES = 600;
const FLOORS = 20;
/** How often each is done. */
const TIMES = 7;

/** A floor to run on for a minute and more, with what stands about it. */
const manyPieces = () =>
  layPieces(emptyCourse('Six Hundred', 'free'), [
    ...Array.from({ length: FLOORS }, (_, i): PieceInHand => ({
      family: 'slab',
      at: [20 * i + 8, -0.5, 0],
      size: [20, 0.5, 4],
    })),
    { family: 'start', at: [0, 0, 0] },
    { family: 'lantern', at: [390, 0, 0] },
    ...Array.from({ length: PIECES - FLOORS - 2 }, (_, i): PieceInHand => {
      const family = ['block', 'post', 'lamp', 'crate', 'steps'][i % 5];
      return { family, at: [(i % 100) * 4, 0, -6 - 4 * Math.floor(i / 100)] };
    }),
  ]);

/** What going from one screen to another takes in script, first frame and all. Nothing without a browser. */
export const screens = (): Promise<Figure[]> => withPage(measure);

async function measure(browser: Browser, page: Page): Promise<Figure[]> {
  await page.getByTestId('open-course').click();
  await page.getByTestId('open-file').setInputFiles({
    name: 'six-hundred.json',
    mimeType: 'application/json',
    buffer: Buffer.from(toCourseFile(manyPieces())),
  });
  await page.getByTestId('save-state').getByText(`${PIECES} pieces`).waitFor();
  await page.waitForTimeout(2000);
  const id = /course\/([^/?]+)/.exec(page.url())![1];

  const toRun = async () => {
    await page.keyboard.press('4');
    await page.getByTestId('run-clock').waitFor();
  };
  const toBuilding = async () => {
    await page.keyboard.press('b');
    await page.getByTestId('course-glance').waitFor();
  };
  const there: number[] = [];
  const back: number[] = [];
  for (let i = 0; i <= TIMES; i++) {
    const [to] = await wholeScript(browser, page, [toRun], 300);
    const [from] = await wholeScript(browser, page, [toBuilding], 300);
    // The first loads the code and compiles it.
    if (i > 0) [there, back].forEach((all, k) => all.push(k === 0 ? to : from));
  }

  await keepRuns(page, id);
  const toTimes = async () => {
    await page.getByTestId('plan-times').click();
    await page.getByTestId('times-time').waitFor();
  };
  const times: number[] = [];
  await page.getByTestId('phase-plan').click();
  for (let i = 0; i <= TIMES; i++) {
    const [to] = await wholeScript(browser, page, [toTimes], 300);
    if (i > 0) times.push(to);
    if (i < TIMES) await page.getByRole('button', { name: 'Back', exact: true }).click();
    await page.waitForTimeout(300);
  }
  await page.getByText('The last 10 runs').click();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await page.getByTestId('phase-lay').click();
  // Ten runs of a minute are played again.
  await page.waitForTimeout(8000);
  await page.mouse.move(700, 300);
  const turning = await longestFrames(
    browser,
    page,
    Array.from({ length: 40 }, (_, i) => () => page.mouse.wheel(0, i % 2 ? 120 : -120)),
    60,
  );
  const figure = (key: string, label: string, all: readonly number[], goal: string): Figure => ({
    key,
    label,
    value: median([...all]),
    unit: 'ms',
    goal: `at most ${goal}`,
  });
  return [
    figure('screenRun', 'From building to the run, 600 pieces, all script', there, '150'),
    figure('screenBack', '… and back', back, '150'),
    figure('screenTimes', '… to Times, a run of a minute', times, '200'),
    figure('screenLines', '… a frame with ten lines of a minute', turning, '8'),
  ];
}

/** Keeps ten runs of a minute at the course on the page's device, as if they had been run there. */
async function keepRuns(page: Page, id: string): Promise<void> {
  const course = manyPieces();
  const { courseHash, CORE_VERSION, replay } = await import('@/core/run');
  const { endsOf, partsOf } = await import('@/core/timing');
  const attempts = Array.from({ length: 10 }, (_, i) => {
    const run = {
      format: 'stone-hop-run' as const,
      core: CORE_VERSION,
      course: courseHash(course),
      seed: 0,
      // Pad changes now and then, as hands make them.
      inputs: Array.from({ length: 120 }, (_, k): [number, number, number, 0 | 1] => [
        60,
        k % 7 === i % 7 ? 8 : 16,
        0,
        k % 5 === 0 ? 1 : 0,
      ]),
      claim: 60,
    };
    const result = replay(course, run);
    return {
      course: id,
      at: 1000 + i,
      run,
      finished: true,
      time: 60,
      falls: 0,
      ends: endsOf(result),
      parts: partsOf(result),
    };
  });
  await page.evaluate(
    ([kept, name]) =>
      new Promise<void>((resolve, reject) => {
        const asked = indexedDB.open('stonehop-attempts');
        asked.onupgradeneeded = () => asked.result.createObjectStore('attempts');
        asked.onerror = () => reject(new Error('No storage.'));
        asked.onsuccess = () => {
          const write = asked.result.transaction('attempts', 'readwrite');
          for (const one of kept) {
            write.objectStore('attempts').put(one, `${name} ${String(one.at).padStart(15, '0')}`);
          }
          write.oncomplete = () => {
            asked.result.close();
            resolve();
          };
        };
      }),
    [attempts, id] as const,
  );
}
