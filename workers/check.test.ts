import type { Finding } from '@/core/check';
import { emptyCourse, type Course } from '@/core/course';

const found: Finding[] = [{ rule: 'goal', weight: 'error', message: 'The course has no goal.' }];

/** Workers as they come: each mockAnswers as the test says. */
let mockAnswers: ((course: Course) => Promise<Finding[]>)[] = [];
let begun = 0;
let ended = 0;
const breakers: (() => void)[] = [];

jest.mock('comlink', () => ({
  proxy: (value: unknown) => value,
  wrap: () => ({
    check: (course: Course, progress: (part: number) => void) => {
      progress(0.5);
      return mockAnswers.shift()!(course);
    },
  }),
}));

beforeEach(() => {
  jest.resetModules();
  mockAnswers = [];
  begun = 0;
  ended = 0;
  breakers.length = 0;
  class FakeWorker {
    constructor() {
      begun++;
    }
    addEventListener(_: string, heard: () => void) {
      breakers.push(heard);
    }
    terminate() {
      ended++;
    }
  }
  Object.assign(globalThis, { Worker: FakeWorker, window: { location: { href: 'http://here/' } } });
});

/** What a check tells, as a promise of its end. */
async function check(course: Course) {
  const { checkInWorker } = await import('./check');
  const parts: number[] = [];
  const told = await new Promise<Finding[] | 'failed'>((resolve) => {
    checkInWorker(course, {
      told: resolve,
      progress: (part) => parts.push(part),
      failed: () => resolve('failed'),
    });
  });
  return { told, parts };
}

test('a check tells how far it is and what it found', async () => {
  mockAnswers = [async () => found];
  expect(await check(emptyCourse('One'))).toEqual({ told: found, parts: [0.5] });
  expect([begun, ended]).toEqual([1, 0]);
});

test('pictures do not travel to the worker', async () => {
  let sent: Course | null = null;
  mockAnswers = [
    async (course) => {
      sent = course;
      return [];
    },
  ];
  const picture = { data: 'data:image/png;base64,AA', at: [0, 0, 0], width: 4, aspect: 1 };
  await check({
    ...emptyCourse('Drawn'),
    sketch: { points: [[0, 0, 0]], picture: picture as never },
  });
  expect(sent!.sketch!.picture).toBeUndefined();
  expect(sent!.sketch!.points).toEqual([[0, 0, 0]]);
});

test('a worker that breaks is told of, and the next check begins another', async () => {
  const { checkInWorker } = await import('./check');
  mockAnswers = [() => new Promise(() => {}), async () => found];
  const ends: string[] = [];
  const listener = (name: string) => ({
    told: () => ends.push(`${name} told`),
    progress: () => {},
    failed: () => ends.push(`${name} failed`),
  });
  checkInWorker(emptyCourse('One'), listener('first'));
  await Promise.resolve();
  breakers.forEach((broken) => broken());
  await new Promise((resolve) => setTimeout(resolve, 0));
  expect(ends).toEqual(['first failed']);
  checkInWorker(emptyCourse('Two'), listener('second'));
  await new Promise((resolve) => setTimeout(resolve, 0));
  expect(ends).toEqual(['first failed', 'second told']);
  expect([begun, ended]).toEqual([2, 1]);
});

test('of several asked for while one is checked only the last is', async () => {
  const { checkInWorker } = await import('./check');
  const names: string[] = [];
  let release: () => void = () => {};
  mockAnswers = [
    (course) =>
      new Promise((resolve) => {
        names.push(course.name);
        release = () => resolve([]);
      }),
    async (course) => {
      names.push(course.name);
      return found;
    },
  ];
  const last = new Promise((resolve) => {
    const quiet = { progress: () => {}, failed: () => {} };
    checkInWorker(emptyCourse('One'), { ...quiet, told: () => {} });
    checkInWorker(emptyCourse('Two'), { ...quiet, told: resolve });
    checkInWorker(emptyCourse('Three'), { ...quiet, told: resolve });
  });
  await Promise.resolve();
  release();
  expect(await last).toBe(found);
  expect(names).toEqual(['One', 'Three']);
});
