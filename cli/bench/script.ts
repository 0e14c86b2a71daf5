import type { Browser, Page } from '@playwright/test';

/** What the page's script took for one thing done, ms of the processor. */
export interface ScriptTime {
  /** From the first event until the frame that shows it is begun. */
  readonly until: number;
  /** In that frame itself. */
  readonly frame: number;
}

interface TraceEvent {
  readonly name: string;
  readonly cat: string;
  readonly ph: string;
  readonly pid: number;
  readonly tid: number;
  /** Begin, length, and time of the processor within it, microseconds. */
  readonly ts: number;
  readonly dur?: number;
  readonly tdur?: number;
  readonly args?: { readonly data?: { readonly type?: string } };
}

const CATEGORIES = ['devtools.timeline', 'v8', 'blink.user_timing'];
const SCRIPT = new Set([
  ...['EventDispatch', 'FunctionCall', 'TimerFire', 'FireAnimationFrame', 'RunMicrotasks'],
  ...['EvaluateScript', 'MinorGC', 'MajorGC'],
]);
const INPUT = /^(pointer(down|move|up)|keydown)$/;

/**
 * Has things done in a page one after the other, each until two frames after it, and reads what the page's thread did
 * in the time of each, by the browser's own trace: whoever it belongs to, as time of the processor, so that what else
 * the machine does is left out.
 *
 * @param read what is made of the trace of one thing done
 */
const timed =
  <T>(read: (events: readonly TraceEvent[]) => T[]) =>
  async (
    browser: Browser,
    page: Page,
    acts: readonly (() => Promise<void>)[],
    /** Pause after each, ms. */
    rest: number,
  ): Promise<T[]> => {
    await browser.startTracing(page, { categories: CATEGORIES });
    for (const act of acts) {
      await page.evaluate("performance.mark('act begins')");
      await act();
      await page.evaluate(
        'new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => done())))',
      );
      await page.evaluate("performance.mark('act ends')");
      await page.waitForTimeout(rest);
    }
    const trace = JSON.parse(String(await browser.stopTracing())) as { traceEvents: TraceEvent[] };
    const mark = trace.traceEvents.find(({ name }) => name === 'act begins')!;
    // Of what begins at once the longer comes first, as it holds the other.
    const events = trace.traceEvents
      .filter(({ pid, tid }) => pid === mark.pid && tid === mark.tid)
      .sort((a, b) => a.ts - b.ts || (b.dur ?? 0) - (a.dur ?? 0));
    const marks = (name: string) => events.filter((e) => e.name === name).map(({ ts }) => ts);
    const ends = marks('act ends');
    return marks('act begins').flatMap((from, i) =>
      read(events.filter(({ ph, ts }) => ph === 'X' && ts >= from && ts < ends[i])),
    );
  };

/** All script of one thing done, ms: for what goes on over many frames, as a screen that is opened. */
function wholeOf(events: readonly TraceEvent[]): number[] {
  let [over, sum] = [0, 0];
  for (const { name, ts, dur = 0, tdur = dur } of events) {
    if (ts < over || !SCRIPT.has(name)) continue;
    sum += tdur;
    over = ts + dur;
  }
  return [sum / 1000];
}

/** The longest frame of script in one thing done, ms. */
function longestOf(events: readonly TraceEvent[]): number[] {
  const frames = events.filter(({ name }) => name === 'FireAnimationFrame');
  return [Math.max(0, ...frames.map(({ dur = 0, tdur = dur }) => tdur / 1000))];
}

/** The script of one thing done, of all that was traced in its time; none where no event was heard. */
function scriptOf(events: readonly TraceEvent[]): ScriptTime[] {
  const heard = events.filter(
    ({ name, args }) => name === 'EventDispatch' && INPUT.test(args?.data?.type ?? ''),
  );
  if (heard.length === 0) return [];
  const [first, last] = [heard[0].ts, heard[heard.length - 1].ts];
  const frames = events.filter(({ name, ts }) => name === 'FireAnimationFrame' && ts > last);
  const frame = frames[0]?.ts ?? Infinity;
  let over = first;
  let [until, drawing] = [0, 0];
  for (const { name, ts, dur = 0, tdur = dur } of events) {
    // What is within something counted is counted with it.
    if (ts < over || !SCRIPT.has(name)) continue;
    if (ts < frame) until += tdur;
    else if (name === 'FireAnimationFrame' && ts < frame + A_FRAME) drawing += tdur;
    over = ts + dur;
  }
  return [{ until: until / 1000, frame: drawing / 1000 }];
}

/** Callbacks of one frame come within this time, microseconds. */
const A_FRAME = 16_000;

export const wholeScript = timed(wholeOf);
export const longestFrames = timed(longestOf);
export const timeScript = timed(scriptOf);
