// npm run load: 200 readers and 20 writers for a minute, with 300 courses of 2,000 pieces. Readers look at
// something about once a second, writers save about every two seconds, as people do.
import { readFileSync } from 'node:fs';
import { TestServer } from '@/e2e/support/server';
import { HARD, rowOf } from './support/built';
import { Somebody, type Answered } from './support/somebody';

const [READERS, WRITERS, COURSES, PIECES] = [200, 20, 300, 2000];
const SECONDS = Number(process.argv[2] ?? 60);

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const around = (ms: number) => pause(ms * (0.5 + Math.random()));
/** Of sorted times the one that so many in a hundred stay under. */
const at = (times: number[], part: number) =>
  times[Math.min(times.length - 1, Math.floor(times.length * part))];

/** MB that a process has in memory. */
const memory = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

async function main(): Promise<void> {
  const server = new TestServer();
  await server.start(HARD);
  const owner = new Somebody(server.port);
  console.log(`Keeping ${COURSES} courses of ${PIECES} pieces …`);
  const kept: string[] = [];
  for (let i = 0; i < COURSES; i++) {
    const course = rowOf(PIECES, `Course ${i}`);
    kept.push((await owner.json<{ id: string }>('POST', '/courses', { course })).id);
  }
  const list = [];
  for (let i = 0; i < 20; i++) list.push(await owner.ask('GET', '/courses'));
  const slug = (await owner.json<{ demos: { slug: string }[] }>('GET', '/demos')).demos[0].slug;

  const reads: number[] = [];
  const saves: number[] = [];
  let wrong = 0;
  const note = (times: number[], { status, ms }: Answered) => {
    times.push(ms);
    if (status >= 400) wrong++;
  };
  const end = performance.now() + SECONDS * 1000;
  const paths = () => {
    const id = kept[Math.floor(Math.random() * kept.length)];
    return [
      '/courses',
      `/courses/${id}`,
      `/courses/${id}/versions`,
      '/demos',
      `/published/${slug}`,
      '/me',
    ];
  };
  const reader = async () => {
    const one = owner.before(server.port);
    await around(500);
    while (performance.now() < end) {
      const all = paths();
      note(reads, await one.ask('GET', all[Math.floor(Math.random() * all.length)]));
      await around(1000);
    }
    one.close();
  };
  const writer = async (number: number) => {
    const one = owner.before(server.port);
    const id = kept[number];
    const course = rowOf(PIECES, `Course ${number}`);
    await around(1000);
    for (let revision = 1; performance.now() < end; revision++) {
      const name = `Course ${number}, ${revision}`;
      note(
        saves,
        await one.ask('PUT', `/courses/${id}`, { revision, course: { ...course, name } }),
      );
      await around(2000);
    }
    one.close();
  };
  const pid = server.pid!;
  const sizes: number[] = [];
  const watch = setInterval(() => sizes.push(memory(pid)), 2000);
  console.log(`${READERS} readers and ${WRITERS} writers for ${SECONDS} s …`);
  await Promise.all([
    ...Array.from({ length: READERS }, reader),
    ...Array.from({ length: WRITERS }, (_, i) => writer(i)),
  ]);
  clearInterval(watch);
  owner.close();
  await server.remove();

  for (const times of [reads, saves]) times.sort((a, b) => a - b);
  const third = Math.floor(sizes.length / 3);
  const mean = (all: number[]) => all.reduce((sum, one) => sum + one, 0) / Math.max(1, all.length);
  const quickest = Math.min(...list.map(({ ms }) => ms));
  console.log(
    `list of ${COURSES}: ${list[0].data.length} bytes in ${quickest.toFixed(0)} ms (at most 100,000 and 50)`,
  );
  console.log(
    `reads: ${reads.length}, median ${at(reads, 0.5).toFixed(0)} ms, 99 % within ${at(reads, 0.99).toFixed(0)} ms (at most 250)`,
  );
  console.log(
    `saves: ${saves.length}, median ${at(saves, 0.5).toFixed(0)} ms, 99 % within ${at(saves, 0.99).toFixed(0)} ms`,
  );
  console.log(
    `memory: ${mean(sizes.slice(0, third)).toFixed(0)} MB in the first third, ${mean(sizes.slice(-third)).toFixed(0)} MB in the last`,
  );
  console.log(`answers other than success: ${wrong}`);
  process.exit(wrong > 0 ? 1 : 0);
}

void main();
