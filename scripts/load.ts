// npm run load: 200 readers, 20 writers and 20 players for a minute, with 300 courses of 2,000 pieces. Readers
// look at something about once a second, the others do something about every two seconds, as people do.
import { readFileSync } from 'node:fs';
import type { Course } from '@/core/course';
import { TestServer } from '@/e2e/support/server';
import { HARD, rowOf } from './support/built';
import { Somebody, type Answered } from './support/somebody';

const [READERS, WRITERS, COURSES, PIECES] = [200, 20, 300, 2000];
const SECONDS = Number(process.argv[2] ?? 60);

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const around = (ms: number) => pause(ms * (0.5 + Math.random()));
const anyOf = <T>(list: readonly T[]): T => list[Math.floor(Math.random() * list.length)];
/** Of sorted times the one that so many in a hundred stay under. */
const at = (times: number[], part: number) =>
  times[Math.min(times.length - 1, Math.floor(times.length * part))];

/** MB that a process has in memory. */
const memory = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

/** What was measured while they read and saved. */
interface Measured {
  /** Times of answers, ms. */
  readonly reads: number[];
  readonly saves: number[];
  /** Of the list of all courses. */
  readonly list: Answered[];
  /** MB the server had in memory, every two seconds. */
  readonly sizes: number[];
  wrong: number;
}

function note(into: Measured, times: number[], { status, ms }: Answered): void {
  times.push(ms);
  if (status >= 400) into.wrong++;
}

/** Keeps many large courses; returns their ids. */
async function keepCourses(owner: Somebody): Promise<string[]> {
  console.log(`Keeping ${COURSES} courses of ${PIECES} pieces …`);
  const kept: string[] = [];
  for (let i = 0; i < COURSES; i++) {
    const course = rowOf(PIECES, `Course ${i}`);
    kept.push((await owner.json<{ id: string }>('POST', '/courses', { course })).id);
  }
  return kept;
}

/** Looks at something about once a second until the end. */
async function read(one: Somebody, path: () => string, end: number, into: Measured) {
  await around(500);
  while (performance.now() < end) {
    note(into, into.reads, await one.ask('GET', path()));
    await around(1000);
  }
  one.close();
}

/** Somebody with a course, and the course. */
interface Writer {
  readonly one: Somebody;
  readonly id: string;
  readonly course: Course;
}

/** Saves a course of one's own about every two seconds until the end. */
async function write({ one, id, course }: Writer, end: number, into: Measured) {
  await around(1000);
  for (let revision = 1; performance.now() < end; revision++) {
    const body = { revision, course: { ...course, name: `Course ${revision}` } };
    note(into, into.saves, await one.ask('PUT', `/courses/${id}`, body));
    await around(2000);
  }
  one.close();
}

/** Begins attempts, likes and follows about every two seconds until the end. */
async function play(one: Somebody, slug: string, end: number, into: Measured) {
  await around(1000);
  for (let i = 0; performance.now() < end; i++) {
    const begun = await one.ask('POST', `/published/${slug}/attempts`);
    note(into, into.saves, begun);
    if (begun.status === 201) {
      const { attempt } = JSON.parse(String(begun.data)) as { attempt: string };
      const at = `/published/${slug}/attempts/${attempt}`;
      note(into, into.saves, await one.ask('PUT', at));
    }
    const liked = { liked: i % 2 === 0 };
    note(into, into.saves, await one.ask('PUT', `/published/${slug}/like`, liked));
    const followed = { followed: i % 2 === 0 };
    note(into, into.saves, await one.ask('PUT', '/makers/Isla/follow', followed));
    await around(2000);
  }
  one.close();
}

function report({ reads, saves, list, sizes, wrong }: Measured): void {
  for (const times of [reads, saves]) times.sort((a, b) => a - b);
  const third = Math.floor(sizes.length / 3);
  const mean = (all: number[]) => all.reduce((sum, one) => sum + one, 0) / Math.max(1, all.length);
  const quickest = Math.min(...list.map(({ ms }) => ms));
  console.log(
    `list of ${COURSES}: ${list[0].data.length} bytes in ${quickest.toFixed(0)} ms (at most 100,000 and 50)`,
  );
  console.log(
    `reads: ${reads.length}, median ${at(reads, 0.5).toFixed(0)} ms, 99 % within ${at(reads, 0.99).toFixed(0)} ms (at most 200)`,
  );
  console.log(
    `saves: ${saves.length}, median ${at(saves, 0.5).toFixed(0)} ms, 99 % within ${at(saves, 0.99).toFixed(0)} ms (at most 400)`,
  );
  console.log(
    `memory: ${mean(sizes.slice(0, third)).toFixed(0)} MB in the first third, ${mean(sizes.slice(-third)).toFixed(0)} MB in the last`,
  );
  console.log(`answers other than success: ${wrong}`);
}

async function main(): Promise<void> {
  const server = new TestServer();
  // Each from an address of their own, as a proxy in front would name it.
  await server.start({ ...HARD, STONEHOP_PROXIES: '1' });
  let people = 0;
  const somebody = (one = new Somebody(server.port)) => {
    people++;
    one.address = `10.0.${people >> 8}.${people & 255}`;
    return one;
  };
  const owner = somebody();
  const kept = await keepCourses(owner);
  const measured: Measured = { reads: [], saves: [], list: [], sizes: [], wrong: 0 };
  for (let i = 0; i < 20; i++) measured.list.push(await owner.ask('GET', '/courses'));
  const slug = (await owner.json<{ demos: { slug: string }[] }>('GET', '/demos')).demos[0].slug;
  const path = () => {
    const course = `/courses/${anyOf(kept)}`;
    const found = [
      ...['/explore', '/explore?words=hop', '/explore?order=liked', '/explore?order=close'],
      ...['/series/lantern-week', '/makers/Isla', `/published/${slug}`],
    ];
    return anyOf(['/courses', course, `${course}/versions`, '/demos', '/me', anyOf(found)]);
  };

  // Made before: what it costs to make is not what it costs to be served.
  const course = rowOf(PIECES, 'Course');
  const writers: Writer[] = [];
  for (let i = 0; i < WRITERS; i++) {
    const one = somebody();
    const { id } = await one.json<{ id: string }>('POST', '/courses', { course });
    writers.push({ one, id, course });
  }

  const end = performance.now() + SECONDS * 1000;
  const watch = setInterval(() => measured.sizes.push(memory(server.pid!)), 2000);
  console.log(`${READERS} readers and ${WRITERS} writers for ${SECONDS} s …`);
  await Promise.all([
    ...Array.from({ length: READERS }, () =>
      read(somebody(owner.before(server.port)), path, end, measured),
    ),
    ...Array.from({ length: WRITERS }, () => play(somebody(), slug, end, measured)),
    ...writers.map((writer) => write(writer, end, measured)),
  ]);
  clearInterval(watch);
  owner.close();
  await server.remove();
  report(measured);
  process.exit(measured.wrong > 0 ? 1 : 0);
}

void main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
