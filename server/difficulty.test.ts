import type { Knex } from 'knex';
import { emptyCourse, type Course } from '@/core/course';
import { layPieces } from '@/core/edit';
import { replay, type Run } from '@/core/run';
import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import type { CourseFound, PublishedCourse } from '@/core/protocol';
import { readOneDifficulty } from './care/readDifficulties';
import { openDatabase } from './db/open';
import { Somebody, testServer } from './testing/client';
import { runOf, walk } from './testing/courses';
import { publish, publishAgain } from './testing/publish';
import { Pool } from './threads/pool';

let server: Awaited<ReturnType<typeof testServer>>;
let db: Knex;
let pool: Pool;
beforeAll(async () => {
  server = await testServer();
  db = await openDatabase(server.config.dataDir);
  pool = new Pool(server.config.workerFile, 1, 512);
  // The demo's courses take their time, and are not what is asked about.
  await db('listings').update({ read_hash: db.ref('hash') });
});
afterAll(async () => {
  await pool.close();
  await db.destroy();
  await server.remove();
});
const somebody = () => new Somebody(server.running.port);
const read = () => readOneDifficulty(db, pool, 20);
const told = async (slug: string) =>
  ((await somebody().ask('GET', `/published/${slug}`)).body as PublishedCourse).difficulty;

/** A walk over a gap that has to be hopped. */
const gap = layPieces(emptyCourse('Quay Gap'), [
  { family: 'slab', at: [-1.5, -0.5, 0], size: [5, 0.5, 2] },
  { family: 'slab', at: [7.25, -0.5, 0], size: [5, 0.5, 2] },
  { family: 'start', at: [-2, 0, 0] },
  { family: 'lantern', at: [8, 0, 0] },
]);
/** A run that hops it, at the first tick that will do. */
function hopped(on: Course): Run {
  for (let at = 0; at < 120; at++) {
    const run = runOf(on, (i) => ({ x: 16, jump: i >= at && i < at + 20 }));
    if (replay(on, run).finished) return run;
  }
  throw new Error('It cannot be hopped.');
}

test('how hard a course is is read off its proof after publishing, and found by it', async () => {
  const flat = await publish(walk(), somebody());
  expect(await told(flat.slug)).toBeNull();
  expect(await read()).toBe(true);
  expect(await told(flat.slug)).toBe(1);
  expect(await read()).toBe(false);

  const hard = await publish(gap, somebody(), hopped);
  expect(await read()).toBe(true);
  const difficulty = (await told(hard.slug))!;
  expect(difficulty).toBeGreaterThan(1);
  const { courses } = (await somebody().ask('GET', '/explore?difficulty=gentle&words=quay'))
    .body as {
    courses: CourseFound[];
  };
  const found = courses.map((one) => one.difficulty!);
  expect(found).toContain(1);
  expect(found.every((one) => one < 3)).toBe(true);
});

test('another edition is read anew, and what a run cannot feel is not', async () => {
  const out = await publish(walk(), somebody());
  await read();
  await publishAgain(out, { ...walk(), description: 'With words.' }, 1);
  expect(await told(out.slug)).toBe(1);
  expect(await read()).toBe(false);
  const nearer = {
    ...walk(),
    pieces: walk().pieces.map((p) =>
      p.family === 'lantern' ? { ...p, at: [3, 0, 0] as [number, number, number] } : p,
    ),
  };
  await publishAgain(out, nearer, 2);
  expect(await told(out.slug)).toBeNull();
  expect(await read()).toBe(true);
  expect(await told(out.slug)).toBe(1);
});

test('what cannot be read is told of as not known, and not tried again', async () => {
  const out = await publish(walk(), somebody());
  await db('published').where('slug', out.slug).update({ document: '{' });
  expect(await read()).toBe(true);
  expect(await read()).toBe(false);
  const [row] = await db('listings').where('slug', out.slug).select('difficulty');
  expect(row.difficulty).toBeNull();
});

test('of a stone that is flicked nothing is told: it is steered along no line', async () => {
  const { course } = DEMO_COURSES.find(({ slug }) => slug === 'net-loft-links')!;
  const [{ run }] = DEMO_RUNS['net-loft-links'];
  const out = await publish(course, somebody(), () => run);
  expect(await read()).toBe(true);
  expect(await told(out.slug)).toBeNull();
});
