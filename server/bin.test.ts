import { BIN_DAYS } from '@/core/protocol';
import { openDatabase } from './db/open';
import { sweep } from './db/sweep';
import { Somebody, testServer } from './testing/client';
import { runRight, walk } from './testing/courses';
import { silence } from './testing/sounds';

const course = walk();
const A_DAY = 86_400_000;

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);

/** Sweeps as if so many days had gone by. */
async function sweepAfter(days: number): Promise<void> {
  const db = await openDatabase(server.config.dataDir);
  await sweep(db, Date.now() + days * A_DAY);
  await db.destroy();
}
const create = async (who: Somebody) =>
  (await who.ask('POST', '/courses', { course })).body.id as string;

test('a deleted course is in the bin alone, and comes back as it was', async () => {
  const isla = somebody();
  const id = await create(isla);
  await isla.ask('DELETE', `/courses/${id}`);
  expect((await isla.ask('GET', '/courses')).body.courses).toEqual([]);
  for (const path of ['', '/versions', '/picture']) {
    expect((await isla.ask('GET', `/courses/${id}${path}`)).status).toBe(404);
  }
  expect((await isla.ask('PUT', `/courses/${id}`, { revision: 1, course })).status).toBe(404);
  const [entry] = (await isla.ask('GET', '/bin')).body.courses;
  expect(entry).toMatchObject({ id, name: 'Quay Walk', pieces: 3 });
  expect(Date.now() - entry.deleted).toBeLessThan(60_000);
  await isla.ask('POST', `/courses/${id}/restore`);
  expect((await isla.ask('GET', `/courses/${id}`)).body.course).toEqual(course);
  expect((await isla.ask('GET', '/bin')).body.courses).toEqual([]);
});

test('what is published of a course in the bin is not to be had, and is again with it', async () => {
  const isla = somebody();
  const id = await create(isla);
  await isla.ask('POST', `/courses/${id}/proof`, { run: runRight(course) });
  const { slug } = (await isla.ask('POST', `/courses/${id}/publish`)).body;
  await isla.ask('DELETE', `/courses/${id}`);
  const player = somebody();
  for (const [method, path] of [
    ['GET', ''],
    ['GET', '/picture'],
    ['POST', '/attempts'],
  ]) {
    expect((await player.ask(method, `/published/${slug}${path}`)).status).toBe(404);
  }
  await isla.ask('POST', `/courses/${id}/restore`);
  expect((await player.ask('GET', `/published/${slug}`)).status).toBe(200);
});

test('after thirty days it is gone, not before', async () => {
  const isla = somebody();
  const id = await create(isla);
  const { file } = (await isla.send('/recordings', silence())).body;
  await isla.ask('PUT', '/me', { name: 'Iona', passphrase: 'grey seals sing' });
  await isla.ask('DELETE', `/courses/${id}`);
  await isla.ask('DELETE', `/recordings/${file}`);
  await sweepAfter(BIN_DAYS - 0.1);
  const { courses, recordings } = (await isla.ask('GET', '/bin')).body;
  expect([courses.length, recordings.length]).toEqual([1, 1]);
  await sweepAfter(BIN_DAYS + 0.1);
  expect((await isla.ask('GET', '/bin')).body).toEqual({
    courses: [],
    kits: [],
    recordings: [],
    series: [],
  });
  expect((await isla.ask('POST', `/courses/${id}/restore`)).status).toBe(404);
  expect((await isla.ask('GET', `/recordings/${file}`)).status).toBe(404);
});

test('makers of nothing go after a day, those with something or a name stay', async () => {
  const visitor = somebody();
  await visitor.ask('POST', '/published/salt-pan-hop/attempts');
  const [maker, named] = [somebody(), somebody()];
  await create(maker);
  await named.ask('PUT', '/me', { name: 'Mairi', passphrase: 'grey seals sing' });
  const known = async (who: Somebody) => (await who.ask('GET', '/me')).body.known as boolean;
  await sweepAfter(0.9);
  expect(await known(visitor)).toBe(true);
  await sweepAfter(1.1);
  expect(await Promise.all([visitor, maker, named].map(known))).toEqual([false, true, true]);
});

test('a device is forgotten when nobody has signed in on it for 400 days', async () => {
  const known = async () => {
    const db = await openDatabase(server.config.dataDir);
    const [{ count }] = await db('devices').count({ count: '*' });
    await db.destroy();
    return Number(count);
  };
  const before = await known();
  await somebody().ask('PUT', '/me', { name: 'Eilidh', passphrase: 'grey seals sing' });
  expect(await known()).toBe(before + 1);
  await sweepAfter(399);
  expect(await known()).toBe(before + 1);
  await sweepAfter(401);
  expect(await known()).toBe(0);
});

test('what nobody can reach any more goes with its sessions, what is published stays', async () => {
  const [lost, out] = [somebody(), somebody()];
  const gone = await create(lost);
  const kept = await create(out);
  await out.ask('POST', `/courses/${kept}/proof`, { run: runRight(course) });
  const { slug } = (await out.ask('POST', `/courses/${kept}/publish`)).body;
  await sweepAfter(91);
  const db = await openDatabase(server.config.dataDir);
  expect(await db('courses').where('id', gone)).toEqual([]);
  expect(await db('versions').where('course', gone)).toEqual([]);
  expect(await db('courses').where('maker', 'like', 'demo-%')).not.toEqual([]);
  await db.destroy();
  expect((await somebody().ask('GET', `/published/${slug}`)).status).toBe(200);
  expect((await somebody().ask('GET', '/published/salt-pan-hop')).status).toBe(200);
});
