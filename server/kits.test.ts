import { toKit } from '@/core/edit';
import { modelId, packMesh } from '@/core/course';
import { Somebody, testServer } from './testing/client';
import { walk } from './testing/courses';

const course = walk({ family: 'crate', at: [3, 0, 0] });
const kit = toKit(course, new Set(['p1', 'p4']), 'Crated slab');

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);

test('a kit is kept, told of, read whole, renamed, and deleted into the bin', async () => {
  const isla = somebody();
  expect((await isla.ask('GET', '/kits')).body).toEqual({ kits: [] });
  const kept = await isla.ask('POST', '/kits', { kit });
  expect([kept.status, kept.body.kit]).toEqual([201, kit]);
  const { id } = kept.body;
  await isla.ask('PUT', `/kits/${id}`, { kit: { ...kit, name: 'Jump' } });
  const [entry] = (await isla.ask('GET', '/kits')).body.kits;
  expect(entry).toMatchObject({ id, name: 'Jump', pieces: 2 });
  expect((await isla.ask('GET', `/kits/${id}`)).body.kit).toEqual({ ...kit, name: 'Jump' });
  const picture = await isla.ask('GET', `/kits/${id}/picture`);
  expect(picture.headers.get('content-type')).toMatch('image/svg+xml');
  expect(picture.body).toMatch(/^<svg .*<polygon/);
  expect((await isla.ask('DELETE', `/kits/${id}`)).body).toEqual({ done: true });
  expect((await isla.ask('GET', '/kits')).body).toEqual({ kits: [] });
  expect((await isla.ask('GET', '/bin')).body.kits).toMatchObject([{ id, name: 'Jump' }]);
  await isla.ask('POST', `/kits/${id}/restore`);
  expect((await isla.ask('GET', '/kits')).body.kits).toHaveLength(1);
});

test('a kit with what is not known, or nothing, is refused and nothing is kept', async () => {
  const isla = somebody();
  await isla.ask('POST', '/kits', { kit });
  const mesh = packMesh([0, 0, 0, 1, 0, 0, 0, 1, 0], [0, 1, 2]);
  const refused = async (change: object) => {
    const { status, body } = await isla.ask('POST', '/kits', { kit: { ...kit, ...change } });
    expect(status).toBe(422);
    return body.error.message as string;
  };
  expect(await refused({ pieces: [{ id: 'a', family: 'rocket', at: [0, 0, 0] }] })).toMatch(
    'rocket',
  );
  expect(await refused({ version: 2 })).toMatch('newer');
  expect(await refused({ pieces: [] })).toBeTruthy();
  const model = { id: 'a', family: 'model', at: [0, 0, 0], params: { model: modelId(mesh) } };
  expect(await refused({ pieces: [model] })).toMatch('lacks the model');
  expect(await refused({ pieces: [model], models: { rock: { name: 'Rock', ...mesh } } })).toMatch(
    'not its own',
  );
  expect((await isla.ask('POST', '/kits', '{"kit":')).status).toBe(400);
  expect(
    (await isla.ask('POST', '/kits', { kit: { ...kit, more: 'x'.repeat(30_000) } })).status,
  ).toBe(400);
  expect((await isla.ask('GET', '/kits')).body.kits).toHaveLength(1);
});
