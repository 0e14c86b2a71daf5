import { openDatabase } from './db/open';
import { Somebody, testServer } from './testing/client';
import { walk } from './testing/courses';

const course = walk();

let server: Awaited<ReturnType<typeof testServer>>;
let isla: Somebody;
let id: string;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.remove());
beforeEach(async () => {
  isla = new Somebody(server.running.port);
  ({ id } = (await isla.ask('POST', '/courses', { course })).body);
});
const save = (revision: number, name: string) =>
  isla.ask('PUT', `/courses/${id}`, { revision, course: { ...course, name } });
const list = async () =>
  (await isla.ask('GET', `/courses/${id}/versions`)).body.versions as {
    revision: number;
    label: string | null;
    pieces: number;
  }[];

test('every save is a version that can be read again', async () => {
  await save(1, 'Second');
  await save(2, 'Third');
  expect((await list()).map(({ revision, pieces }) => [revision, pieces])).toEqual([
    [3, 3],
    [2, 3],
    [1, 3],
  ]);
  const named = async (revision: number) =>
    (await isla.ask('GET', `/courses/${id}/versions/${revision}`)).body.course.name;
  expect(await Promise.all([1, 2, 3].map(named))).toEqual(['Quay Walk', 'Second', 'Third']);
  for (const none of ['4', '0']) {
    expect((await isla.ask('GET', `/courses/${id}/versions/${none}`)).status).toBe(404);
  }
});

test('a version is given a name, another, and none', async () => {
  const name = (label: unknown, revision = 1) =>
    isla.ask('PUT', `/courses/${id}/versions/${revision}`, { label });
  const label = async () => (await list())[0].label;
  await name('  Before the storm ');
  expect(await label()).toBe('Before the storm');
  await name('After it');
  expect(await label()).toBe('After it');
  await name('');
  expect(await label()).toBeNull();
  expect((await name('x'.repeat(61))).status).toBe(400);
  expect((await name(7)).status).toBe(400);
  expect((await name('None', 9)).status).toBe(404);
});

test('saving thins out what is old, keeps what has a name, and no course of others', async () => {
  const other = new Somebody(server.running.port);
  const { id: theirs } = (await other.ask('POST', '/courses', { course })).body;
  const db = await openDatabase(server.config.dataDir);
  try {
    const [row] = await db('versions').where('course', id);
    const now = Date.now();
    // One a minute for two days, as if saved then.
    for (const [key, count] of [
      [id, 2880],
      [theirs, 50],
    ] as const) {
      await db('versions').where('course', key).delete();
      for (let i = 1; i <= count; i++) {
        const saved = now - (count - i) * 60_000;
        const label = i === 100 ? 'Named' : null;
        await db('versions').insert({ ...row, course: key, revision: i, saved, label });
      }
    }
    await db('courses').where({ id }).update({ revision: 2879 });
    await db('versions').where({ course: id, revision: 2880 }).delete();
    expect((await save(2879, 'Now')).status).toBe(200);
    const kept = await db('versions').where('course', id).orderBy('revision', 'desc');
    expect(kept[0].revision).toBe(2880);
    // An hour of minutes, a day of tens of minutes, a day of hours, and the one with a name.
    expect(kept.length).toBeGreaterThan(60 + 6 * 23 + 23);
    expect(kept.length).toBeLessThan(60 + 6 * 23 + 24 + 8);
    expect(kept.filter(({ label }) => label === 'Named')).toHaveLength(1);
    expect(await db('versions').where('course', theirs)).toHaveLength(50);
  } finally {
    await db.destroy();
  }
});
