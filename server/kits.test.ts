import { layPieces, toKit } from '@/core/assemble';
import { emptyCourse } from '@/core/course';
import { Somebody, testServer } from './testing/client';

const course = layPieces(emptyCourse('Quay'), [
  { family: 'slab', at: [3, -0.5, 0] },
  { family: 'crate', at: [3, 0, 0] },
]);
const kit = toKit(course, new Set(['p1', 'p2']), 'Crated slab');

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);

test('a kit is kept, renamed, laid out for its maker alone, and deleted', async () => {
  const isla = somebody();
  expect((await isla.ask('GET', '/kits')).body).toEqual({ kits: [] });
  const kept = await isla.ask('POST', '/kits', { kit });
  expect(kept.status).toBe(201);
  const { id } = kept.body;
  expect((await isla.ask('PUT', `/kits/${id}`, { kit: { ...kit, name: 'Jump' } })).status).toBe(
    200,
  );
  const [entry] = (await isla.ask('GET', '/kits')).body.kits;
  expect(entry).toEqual({ id, kit: { ...kit, name: 'Jump' } });
  const corran = somebody();
  await corran.ask('POST', '/kits', { kit });
  expect((await corran.ask('PUT', `/kits/${id}`, { kit })).status).toBe(404);
  expect((await corran.ask('DELETE', `/kits/${id}`)).status).toBe(404);
  expect((await somebody().ask('DELETE', `/kits/${id}`)).status).toBe(401);
  expect((await isla.ask('DELETE', `/kits/${id}`)).body).toEqual({ done: true });
  expect((await isla.ask('GET', '/kits')).body).toEqual({ kits: [] });
});

test('a kit with pieces that are not known, or none, is refused and nothing is kept', async () => {
  const isla = somebody();
  await isla.ask('POST', '/kits', { kit });
  const strange = { ...kit, pieces: [{ id: 'a', family: 'rocket', at: [0, 0, 0] }] };
  const refused = await isla.ask('POST', '/kits', { kit: strange });
  expect(refused.status).toBe(422);
  expect(refused.body.error.message).toContain('rocket');
  expect((await isla.ask('POST', '/kits', { kit: { ...kit, version: 2 } })).status).toBe(422);
  expect((await isla.ask('POST', '/kits', { kit: { ...kit, pieces: [] } })).status).toBe(400);
  expect((await isla.ask('GET', '/kits')).body.kits).toHaveLength(1);
});
