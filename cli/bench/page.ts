import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { CDPSession, Page } from '@playwright/test';
import { layPieces, type PieceInHand } from '@/core/assemble';
import { emptyCourse } from '@/core/course';
import { toCourseFile } from '@/core/formats';
import { median, worst, type Figure } from './figures';

const PIECES = 5000;
/** A piece in view when the course has been opened, in pixels of the page, and others. */
const HELD = [740, 300] as const;
const OTHERS = [[655, 390], HELD, [600, 250], [840, 440]] as const;

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
export async function inPage(): Promise<Figure[]> {
  // Needed for nothing else of the command, and only where packages for working on it are.
  const { chromium } = await import('@playwright/test');
  const { default: config } = await import('@/playwright.config');
  if (!existsSync(config.use?.launchOptions?.executablePath ?? '')) return [];
  const folder = mkdtempSync(path.join(tmpdir(), 'stonehop-bench-'));
  const server = spawn(process.execPath, [path.join(__dirname, 'server.cjs')], {
    env: { ...process.env, PORT: '0', STONEHOP_DATA: folder },
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  const browser = await chromium.launch(config.use?.launchOptions);
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(await addressOf(server));
    return await measure(page, await page.context().newCDPSession(page));
  } finally {
    await browser.close();
    server.kill('SIGKILL');
    rmSync(folder, { recursive: true, force: true });
  }
}

const addressOf = (server: ChildProcess): Promise<string> =>
  new Promise((resolve, reject) => {
    server.once('exit', () => reject(new Error('The server ended.')));
    server.stdout!.on('data', (data: Buffer) => {
      const found = /http:\/\/localhost:\d+/.exec(String(data));
      if (found) resolve(found[0]);
    });
  });

async function measure(page: Page, session: CDPSession): Promise<Figure[]> {
  await page.getByTestId('open-course').click();
  await page.getByTestId('open-file').setInputFiles({
    name: 'large.json',
    mimeType: 'application/json',
    buffer: Buffer.from(toCourseFile(manyPieces())),
  });
  await page.getByTestId('save-state').getByText(`${PIECES} pieces`).waitFor();
  await page.evaluate(COUNT_DRAWS);
  await page.evaluate(MARK_EVENTS);
  await page.waitForTimeout(3000);
  await session.send('Profiler.enable');
  await session.send('Profiler.setSamplingInterval', { interval: 100 });

  const choosing: number[] = [];
  for (let i = 0; i < 24; i++) {
    const [x, y] = OTHERS[i % OTHERS.length];
    choosing.push(await scriptOf(page, session, () => page.mouse.click(x, y)));
    await page.waitForTimeout(400);
  }
  await page.mouse.click(...HELD);
  await page.waitForTimeout(600);
  await page.mouse.down();
  // The first moves take the piece up; what follows is the drag.
  for (let i = 1; i <= 6; i++) await page.mouse.move(HELD[0] + 4 * i, HELD[1]);
  const dragging: number[] = [];
  for (let i = 0; i < 60; i++) {
    const [x, y] = [HELD[0] + 24 + 3 * (i % 20), HELD[1] + 2 * (i % 7)];
    dragging.push(await scriptOf(page, session, () => page.mouse.move(x, y)));
  }
  await page.mouse.up();
  const undoing: number[] = [];
  for (let i = 0; i < 16; i++) {
    await page.waitForTimeout(700);
    const key = i % 2 ? 'Control+Shift+z' : 'Control+z';
    undoing.push(await scriptOf(page, session, () => page.keyboard.press(key)));
  }
  await page.getByLabel('All in view').click();
  await page.waitForTimeout(2500);
  const draws = await page.evaluate(() => (window as unknown as { most: number }).most);
  const figure = (key: string, label: string, value: number, goal = '', unit = 'ms') => ({
    key,
    label,
    value,
    unit,
    goal,
  });
  return [
    figure('pageChoose', 'In the page: choose one of 5,000, all script', median(choosing)),
    figure('pageDrag', '… one of them dragged, a move', median(dragging)),
    figure('pageDragWorst', '… one in a hundred', worst(dragging)),
    figure('pageUndo', '… undo', median(undoing), 'at most 16'),
    figure('pageDraws', '… draw calls, all in view', draws, 'at most 80', ''),
  ];
}

/**
 * Milliseconds of script from an action's first event until the frame that shows it is begun, or could have
 * been: what it is heard by, and the interface and the scene being changed.
 */
async function scriptOf(page: Page, session: CDPSession, act: () => Promise<void>) {
  await session.send('Profiler.start');
  await act();
  await page.evaluate(
    'new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => done())))',
  );
  const { profile } = await session.send('Profiler.stop');
  const names = new Map(profile.nodes.map(({ id, callFrame }) => [id, callFrame.functionName]));
  let counting = false;
  let micros = 0;
  profile.samples!.forEach((id, i) => {
    const name = names.get(id)!;
    if (name === 'benchBegins') counting = true;
    else if (name === 'benchEnds') counting = false;
    else if (counting && !/^\((idle|program|root)\)$/.test(name)) micros += profile.timeDeltas![i];
  });
  return micros / 1000;
}

/** Has every event leave marks that a profile shows: when it came, and when its frame should have begun. */
const MARK_EVENTS = `(() => {
  function benchBegins() { for (const from = performance.now(); performance.now() < from + 1; ); }
  function benchEnds() { for (const from = performance.now(); performance.now() < from + 1; ); }
  let open = false;
  const heard = () => {
    if (open) return;
    open = true;
    benchBegins();
    const ends = () => {
      if (!open) return;
      open = false;
      benchEnds();
    };
    requestAnimationFrame(ends);
    // Where drawing is slow the frame is long in coming, and what follows an edit at leisure begins.
    setTimeout(ends, 40);
  };
  for (const kind of ['pointerdown', 'pointermove', 'pointerup', 'keydown']) {
    window.addEventListener(kind, heard, true);
  }
})()`;

/** Keeps the most draw calls of any frame in `window.most`. */
const COUNT_DRAWS = `(() => {
  let now = 0;
  window.most = 0;
  for (const name of ['drawArrays', 'drawElements']) {
    const draw = WebGL2RenderingContext.prototype[name];
    WebGL2RenderingContext.prototype[name] = function (...args) {
      if (now++ === 0) requestAnimationFrame(() => (now = 0));
      window.most = Math.max(window.most, now);
      return draw.apply(this, args);
    };
  }
})()`;
