import * as v from 'valibot';
import { layPieces } from '@/core/edit';
import { emptyCourse, type Course } from '@/core/course';
import { CourseAnswer, CourseListAnswer, DemosAnswer, DocumentAnswer } from '@/core/protocol';
import { DEMO_COURSES } from '@/demo/courses';
import { openDatabase } from './db/open';
import { Somebody, testServer } from './testing/client';
import { runRight, walk } from './testing/courses';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);

/** A course of so many slabs in a row. */
const row = (pieces: number): Course =>
  layPieces(
    emptyCourse('A long row of slabs'),
    Array.from({ length: pieces }, (_, i) => ({
      family: 'slab',
      at: [2 * (i % 100), 0, 3 * Math.floor(i / 100)],
    })),
  );

test('a list tells of courses without reading any', async () => {
  const isla = somebody();
  const course = walk();
  const { id } = (await isla.ask('POST', '/courses', { course })).body;
  await isla.ask('POST', `/courses/${id}/proof`, { run: runRight(course) });
  const { slug } = (await isla.ask('POST', `/courses/${id}/publish`)).body;
  const { body } = await isla.ask('GET', '/courses');
  const [entry] = v.parse(CourseListAnswer, body).courses;
  expect(entry).toMatchObject({ id, revision: 1, name: 'Quay Walk', kind: 'point', pieces: 3 });
  expect(entry).toMatchObject({ runner: 'hopper', proof: { fresh: true }, published: { slug } });
  expect(entry.length).toBeGreaterThan(8);
  expect(entry).not.toHaveProperty('course');

  const changed = { ...course, name: 'Quay Run', kind: 'gather' as const };
  await isla.ask('PUT', `/courses/${id}`, { revision: 1, course: changed });
  const [later] = (await isla.ask('GET', '/courses')).body.courses;
  expect(later).toMatchObject({ revision: 2, name: 'Quay Run', kind: 'gather' });
  expect(later).toMatchObject({ proof: { fresh: false }, published: { current: false } });
});

test.each(['"Quay" \\ Walk', 'Line\nbreak\ttab', 'Før 𝕏 🜁', 'a\u0000b', '\u2028 \u007f', '1e999'])(
  'a list gives the name, folder and tags of %j as they were sent',
  async (word) => {
    const isla = somebody();
    const sent = await isla.ask('POST', '/courses', { course: { ...walk(), name: word } });
    if (sent.status !== 201) return expect(sent.status).toBe(400);
    const shelf = { folder: word, tags: [word, `${word}, two`] };
    const shelved = await isla.ask('PUT', `/courses/${sent.body.id}/shelf`, shelf);
    expect([200, 400]).toContain(shelved.status);
    const [entry] = v.parse(CourseListAnswer, (await isla.ask('GET', '/courses')).body).courses;
    expect(entry.name).toBe(sent.body.course.name);
    if (shelved.status === 200) {
      const trimmed = (text: string) => text.trim();
      expect(entry).toMatchObject({ folder: word.trim(), tags: shelf.tags.map(trimmed) });
    }
  },
);

test('three hundred courses of two thousand pieces are told of in under 100 KB', async () => {
  const isla = somebody();
  await isla.ask('POST', '/courses', { course: row(2000) });
  // The rest stand in the file as if they had been sent, which would take minutes.
  const db = await openDatabase(server.config.dataDir);
  const [first] = await db('courses').orderBy('created', 'desc').limit(1);
  const long = await db('bodies').where('course', first.id).first();
  for (let i = 0; i < 299; i++) {
    const id = `${first.id.slice(0, 8)}${1000 + i}`;
    await db('courses').insert({ ...first, id });
    await db('bodies').insert({ ...long, course: id });
  }
  await db.destroy();
  const { body } = await isla.ask('GET', '/courses');
  expect(body.courses).toHaveLength(300);
  expect(JSON.stringify(body).length).toBeLessThan(100_000);
});

test('a course of twenty thousand pieces is kept, told of, drawn and read', async () => {
  const isla = somebody();
  const large = row(20_000);
  const { id } = (await isla.ask('POST', '/courses', { course: large })).body;
  expect((await isla.ask('GET', '/courses')).body.courses[0].pieces).toBe(20_000);
  const whole = v.parse(CourseAnswer, (await isla.ask('GET', `/courses/${id}`)).body);
  expect(whole.course.pieces).toHaveLength(20_000);
  const picture = await isla.ask('GET', `/courses/${id}/picture`);
  expect(picture.headers.get('content-security-policy')).toBe("default-src 'none'");
  expect(String(picture.body).length).toBeLessThan(400_000);
});

test('a picture shows the course as it is now', async () => {
  const isla = somebody();
  const course = walk();
  const { id } = (await isla.ask('POST', '/courses', { course })).body;
  const picture = async () => (await isla.ask('GET', `/courses/${id}/picture`)).body as string;
  const first = await picture();
  expect(await picture()).toBe(first);
  await isla.ask('PUT', `/courses/${id}`, {
    revision: 1,
    course: walk({ family: 'block', at: [1, 0, 0] }),
  });
  expect(await picture()).not.toBe(first);
});

test('demo courses are told of, drawn, and read one by one', async () => {
  const player = somebody();
  const { demos } = v.parse(DemosAnswer, (await player.ask('GET', '/demos')).body);
  expect(demos.map(({ name }) => name)).toEqual(DEMO_COURSES.map(({ course }) => course.name));
  const [{ slug, length }] = demos;
  expect(length).toBeGreaterThan(5);
  const { course } = v.parse(DocumentAnswer, (await player.see(slug)).body);
  expect(course.name).toBe(demos[0].name);
  const picture = await player.ask('GET', `/published/${slug}/picture`);
  expect(picture.body).toMatch(/^<svg/);
  expect((await player.ask('GET', '/published/none/picture')).status).toBe(404);
});
