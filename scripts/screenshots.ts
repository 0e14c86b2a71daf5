import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';
import type { Course } from '../core/course';
import { layPieces, movePieces } from '../core/edit';
import { replay } from '../core/run';
import { endsOf, partsOf } from '../core/timing';
import { DEMO_COURSES } from '../demo/courses';
import { DEMO_RUNS } from '../demo/runs';
import config from '../playwright.config';
import { TestServer } from '../e2e/support/server';

/** Takes the pictures of docs/screenshots from the demo data; run it after a view has changed. */
const FOLDER = path.join(__dirname, '..', 'docs', 'screenshots');

const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
const wide = { viewport: { width: 1280, height: 800 } };

async function main(): Promise<void> {
  mkdirSync(FOLDER, { recursive: true });
  const server = new TestServer();
  await server.start({ STONEHOP_DIFFICULTY_TRIES: '60' });
  const browser = await chromium.launch(config.use?.launchOptions);
  try {
    await onPhone(browser, server.url);
    await onWide(browser, server.url);
    await joinPairs(browser);
  } finally {
    await browser.close();
    await server.remove();
  }
}

/** Waits until the server has read how hard each course is. */
async function allRead(page: Page, url: string): Promise<void> {
  for (let i = 0; i < 120; i++) {
    const { courses } = (await (await page.request.get(`${url}/api/explore`)).json()) as {
      courses: { runner: string; difficulty: number | null }[];
    };
    if (courses.every(({ runner, difficulty }) => runner === 'flick' || difficulty !== null))
      return;
    await page.waitForTimeout(1000);
  }
}

const shoot = async (page: Page, name: string, settle = 1500) => {
  await page.waitForTimeout(settle);
  await page.screenshot({ path: path.join(FOLDER, `${name}.png`) });
};

/** Of a view that is shown at both sizes the picture of each. */
const pairs = new Map<string, { phone?: Buffer; wide?: Buffer }>();
const shootHalf = async (page: Page, name: string, side: 'phone' | 'wide', settle = 1500) => {
  await page.waitForTimeout(settle);
  pairs.set(name, { ...pairs.get(name), [side]: await page.screenshot() });
};

/** The two pictures of each view side by side. */
async function joinPairs(browser: Browser): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1360, height: 676 } });
  for (const [name, { phone: small, wide: large }] of pairs) {
    const image = (picture: Buffer, width: number) =>
      `<img width=${width} src="data:image/png;base64,${picture.toString('base64')}">`;
    await page.setContent(
      `<body style="margin:0;display:flex;gap:24px;align-items:flex-start;background:#fff">
        ${image(small!, 312)}${image(large!, 1024)}</body>`,
    );
    await shoot(page, name, 200);
  }
  await page.close();
}

/** Changes the open course in a few places, and holds it against how it was. */
async function holdAgainstFirst(page: Page, url: string): Promise<void> {
  const id = new URL(page.url()).pathname.split('/')[2];
  const at = `${url}/api/courses/${id}`;
  const { revision, course } = (await (await page.request.get(at)).json()) as {
    revision: number;
    course: Course;
  };
  const blocks = course.pieces.filter(({ family }) => family === 'block').map(({ id: own }) => own);
  const raised = movePieces(course, new Set(blocks.slice(1, 2)), [0, 0.5, 0]);
  const more = layPieces(raised, [{ family: 'crate', at: [4, 0.5, 0] }]);
  const changed = { ...more, pieces: more.pieces.filter(({ id: own }) => own !== blocks[2]) };
  await page.request.put(at, { data: { revision, course: changed } });
  await page.goto(`${url}/course/${id}?phase=plan`);
  await page.getByText('Earlier versions', { exact: true }).click();
  await page.getByLabel('Compare with version 1', { exact: true }).click();
  await page.getByTestId('compare-in-scene').waitFor();
}

async function visitor(browser: Browser, device: typeof phone | typeof wide): Promise<Page> {
  const context = await browser.newContext({ ...device, reducedMotion: 'reduce' });
  await context.addInitScript(() => {
    const state = { light: 'day', drawing: 'full', player: 'Brice' };
    localStorage.setItem('stonehop-settings', JSON.stringify({ state, version: 0 }));
    const done = { done: ['lay', 'run', 'share'] };
    localStorage.setItem('stonehop-firsts', JSON.stringify({ state: done, version: 0 }));
  });
  return context.newPage();
}

/** Copies Low Tide Steps and keeps its maker's run as the copy's proof, so that there is a way to show. */
async function takeApart(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await page.getByTestId('demo-copy-low-tide-steps').click();
  await page.getByTestId('phase-lay').waitFor();
  const id = page.url().split('/').pop();
  const [{ run }] = DEMO_RUNS['low-tide-steps'];
  await page.request.post(`${url}/api/courses/${id}/proof`, { data: { run } });
  await page.reload();
  await page.getByTestId('phase-lay').waitFor();
}

/** Puts a demo's recorded runs among those of the open course on this device, and looks at their times. */
async function lookAtTimes(page: Page, url: string, slug: string): Promise<void> {
  const id = new URL(page.url()).pathname.split('/')[2];
  const { course } = DEMO_COURSES.find((demo) => demo.slug === slug)!;
  const kept = DEMO_RUNS[slug].map(({ run }, i, all) => {
    const result = replay(course, run);
    const { finished, time, falls } = result;
    const at = Date.now() - (all.length - i) * 400_000;
    const parts = partsOf(result);
    return { course: id, at, run, finished, time, falls, ends: endsOf(result), parts };
  });
  await page.evaluate(
    (all) =>
      new Promise<void>((resolve) => {
        const opening = indexedDB.open('stonehop-attempts');
        opening.onupgradeneeded = () => opening.result.createObjectStore('attempts');
        opening.onsuccess = () => {
          const put = opening.result.transaction('attempts', 'readwrite');
          const store = put.objectStore('attempts');
          for (const one of all)
            store.put(one, `${one.course} ${String(one.at).padStart(15, '0')}`);
          put.oncomplete = () => {
            opening.result.close();
            resolve();
          };
        };
      }),
    kept,
  );
  await page.goto(`${url}/course/${id}/times`);
  await page.getByTestId('times-time').waitFor({ timeout: 60_000 });
  await page.getByLabel('Hold against Run 3').click();
  await page.getByTestId('beside-key').getByText('Run 3').waitFor();
  // Touching the list may have scrolled to it.
  await page.getByTestId('times-time').evaluate((element) => {
    for (let at: Element | null = element; at; at = at.parentElement) at.scrollTop = 0;
  });
}

async function takeDemo(page: Page, url: string, slug: string): Promise<void> {
  await page.goto(url);
  await page.getByTestId(`demo-copy-${slug}`).click();
  await page.getByTestId('phase-lay').waitFor();
  await page.waitForTimeout(600);
}

/** Has the openings on the way of the run that is shown be found, and looks at them. */
async function lookForOpenings(page: Page): Promise<void> {
  await page.getByTestId('openings-begin').click();
  await page.getByTestId('openings-found').waitFor({ timeout: 60_000 });
  await page.evaluate(
    "document.querySelector('[data-testid=openings]').scrollIntoView({ block: 'start' })",
  );
}

async function onPhone(browser: Browser, url: string): Promise<void> {
  const page = await visitor(browser, phone);
  await takeApart(page, url);
  await page.getByText('Stones', { exact: true }).tap();
  await page.getByTestId('family-block').tap();
  await page.touchscreen.tap(200, 230);
  await shoot(page, 'lay-phone');
  await page.getByLabel('Undo').tap();
  await page.getByTestId('hand-done').tap();
  await page.getByTestId('phase-tune').tap();
  await page.getByRole('button', { name: 'Ferry slab' }).tap();
  await shoot(page, 'tune-phone');
  await page.getByLabel('All pieces').tap();
  await page.getByRole('button', { name: 'Quay thorns' }).tap();
  await page.getByRole('tab', { name: 'Contact', exact: true }).tap();
  await page.getByTestId('draw-shape').tap();
  await shoot(page, 'shape-phone');
  await page.getByLabel('Leave without keeping').tap();
  await page.getByTestId('phase-plan').tap();
  await shoot(page, 'plan-phone');
  await page.getByTestId('phase-share').tap();
  await shootHalf(page, 'publish', 'phone');
  await lookAtTimes(page, url, 'low-tide-steps');
  await shootHalf(page, 'times', 'phone');
  await lookForOpenings(page);
  await shootHalf(page, 'openings', 'phone');
  await page.getByTestId('times-watch').tap();
  await page.getByTestId('watch-play').waitFor();
  await page.waitForTimeout(4000);
  await page.getByTestId('watch-play').tap();
  await shootHalf(page, 'watch', 'phone');
  await holdAgainstFirst(page, url);
  await shootHalf(page, 'history', 'phone');
  await takeDemo(page, url, 'salt-pan-slalom');
  await page.getByTestId('phase-plan').tap();
  await page.getByText('Points', { exact: true }).tap();
  await page.getByLabel('All in view').tap();
  await shoot(page, 'sketch-phone');
  await allRead(page, url);
  await shootShared(page, url, 'phone');
  await page.goto(url);
  await shoot(page, 'courses-phone');
  await page.goto(`${url}/play/low-tide-steps/run`);
  await page.getByTestId('run-clock').waitFor();
  await page.keyboard.down('ArrowRight');
  await page.waitForTimeout(900);
  await page.keyboard.down('Space');
  await shoot(page, 'run-phone', 400);
}

/** What players see of what is shared. */
async function shootShared(page: Page, url: string, side: 'phone' | 'wide'): Promise<void> {
  for (const [name, path] of [
    ['explore', 'explore'],
    ['series', 'series/lantern-week'],
    ['course-page', 'play/beacon-stair'],
  ]) {
    await page.goto(`${url}/${path}`);
    await shootHalf(page, name, side);
  }
}

async function onWide(browser: Browser, url: string): Promise<void> {
  const page = await visitor(browser, wide);
  await takeApart(page, url);
  await page.getByText('Movers', { exact: true }).click();
  await page.getByTestId('family-drift').click();
  await page.mouse.move(720, 330);
  await shoot(page, 'lay-wide');
  await page.keyboard.press('Escape');
  await page.getByTestId('phase-tune').click();
  await page.getByRole('button', { name: 'Kiln beam' }).click();
  await page.keyboard.press('f');
  await shoot(page, 'tune-wide');
  await takeDemo(page, url, 'beacon-stair');
  await lookAtTimes(page, url, 'beacon-stair');
  await page.getByTestId('times-watch').click();
  await page.getByTestId('watch-play').waitFor();
  await page.waitForTimeout(9000);
  await page.getByTestId('watch-play').click();
  await shootHalf(page, 'watch', 'wide');
  await takeApart(page, url);
  await page.getByTestId('phase-share').click();
  await shootHalf(page, 'publish', 'wide');
  await lookAtTimes(page, url, 'low-tide-steps');
  await shootHalf(page, 'times', 'wide');
  await lookForOpenings(page);
  await shootHalf(page, 'openings', 'wide');
  await holdAgainstFirst(page, url);
  await page.getByTestId('compare-in-scene').click();
  await shootHalf(page, 'history', 'wide');
  await shootShared(page, url, 'wide');
  await page.goto(`${url}/play/salt-pan-slalom/run`);
  await page.getByTestId('run-clock').waitFor();
  await page.keyboard.down('ArrowUp');
  await shoot(page, 'run-wide', 2600);
}

void main();
