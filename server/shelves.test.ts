import type { CourseListed } from '@/core/protocol';
import { Somebody, testServer } from './testing/client';
import { walk } from './testing/courses';
import { publish } from './testing/publish';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => (server = await testServer()));
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);

const shelve = (who: Somebody, id: string, folder: unknown, tags: unknown) =>
  who.ask('PUT', `/courses/${id}/shelf`, { folder, tags });
const listed = async (who: Somebody) =>
  ((await who.ask('GET', '/courses')).body.courses as CourseListed[]).map(({ folder, tags }) => [
    folder,
    tags,
  ]);

test('a course stands in its folder and under its tags, whatever else is saved of it', async () => {
  const { maker, id, slug } = await publish(walk(), somebody());
  expect(await listed(maker)).toEqual([[null, []]]);
  expect((await shelve(maker, id, '  Quay   side ', ['wet', ' night ', 'wet'])).status).toBe(200);
  await maker.ask('PUT', `/courses/${id}`, {
    revision: 1,
    course: { ...walk(), name: 'Quay Row' },
  });
  expect(await listed(maker)).toEqual([['Quay side', ['wet', 'night']]]);
  await maker.ask('DELETE', `/courses/${id}`);
  await maker.ask('POST', `/courses/${id}/restore`);
  expect(await listed(maker)).toEqual([['Quay side', ['wet', 'night']]]);
  // Nobody else is told.
  const { body } = await somebody().see(slug);
  expect(JSON.stringify(body)).not.toContain('Quay side');
  expect((await shelve(maker, id, null, [])).status).toBe(200);
  expect(await listed(maker)).toEqual([[null, []]]);
});

test('only its maker puts it somewhere, and only under what can be read', async () => {
  const { maker, id } = await publish(walk(), somebody());
  const other = somebody();
  await publish(walk(), other);
  expect((await shelve(other, id, 'Mine', [])).status).toBe(404);
  expect((await shelve(somebody(), id, 'Mine', [])).status).toBe(401);
  for (const [folder, tags] of [
    ['', []],
    ['a'.repeat(41), []],
    ['a\u202eb', []],
    [null, ['']],
    [null, ['a'.repeat(25)]],
    [null, Array.from({ length: 9 }, (_, i) => `t${i}`)],
    [null, 'wet'],
    [7, []],
  ] as const) {
    expect((await shelve(maker, id, folder, tags)).status).toBe(400);
  }
  expect(await listed(maker)).toEqual([[null, []]]);
});
