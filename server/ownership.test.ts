import { toKit } from '@/core/edit';
import { Somebody, testServer } from './testing/client';
import { runRight, walk } from './testing/courses';
import { silence } from './testing/sounds';

// Every route that is about somebody's own, asked by its owner, by another maker, and by nobody.

const course = walk();
const kit = toKit(course, new Set(['p1']), 'Slab');

let server: Awaited<ReturnType<typeof testServer>>;
let owner: Somebody;
let ids: {
  course: string;
  binned: string;
  kit: string;
  binnedKit: string;
  file: string;
  slug: string;
};

/** Anew for each route, as some of them delete. */
async function setUp(): Promise<void> {
  owner = new Somebody(server.running.port);
  const made = async (path: string, body: unknown) => (await owner.ask('POST', path, body)).body.id;
  ids = {
    course: await made('/courses', { course }),
    binned: await made('/courses', { course }),
    kit: await made('/kits', { kit }),
    binnedKit: await made('/kits', { kit }),
    file: (await owner.send('/recordings', silence())).body.file,
    slug: '',
  };
  await owner.ask('DELETE', `/courses/${ids.binned}`);
  await owner.ask('DELETE', `/kits/${ids.binnedKit}`);
  await owner.ask('POST', `/courses/${ids.course}/proof`, { run: runRight(course) });
}

beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.remove());

type Route = [method: string, path: () => string, body?: unknown];
const ROUTES: Route[] = [
  ['GET', () => `/courses/${ids.course}`],
  ['PUT', () => `/courses/${ids.course}`, { revision: 1, course }],
  ['DELETE', () => `/courses/${ids.course}`],
  ['GET', () => `/courses/${ids.course}/picture`],
  ['GET', () => `/courses/${ids.course}/versions`],
  ['GET', () => `/courses/${ids.course}/versions/1`],
  ['PUT', () => `/courses/${ids.course}/versions/1`, { label: 'First' }],
  ['POST', () => `/courses/${ids.course}/proof`, { run: runRight(course) }],
  ['POST', () => `/courses/${ids.course}/publish`],
  ['POST', () => `/courses/${ids.binned}/restore`],
  ['GET', () => `/kits/${ids.kit}`],
  ['PUT', () => `/kits/${ids.kit}`, { kit }],
  ['GET', () => `/kits/${ids.kit}/picture`],
  ['DELETE', () => `/kits/${ids.kit}`],
  ['POST', () => `/kits/${ids.binnedKit}/restore`],
  ['DELETE', () => `/recordings/${ids.file}`],
];

test.each(ROUTES.map((route) => [`${route[0]} ${String(route[1]).slice(7, -1)}`, route] as const))(
  '%s',
  async (_, [method, path, body]) => {
    await setUp();
    const stranger = new Somebody(server.running.port);
    await stranger.ask('POST', '/courses', { course });
    const nobody = new Somebody(server.running.port);
    expect((await nobody.ask(method, path(), body)).status).toBe(401);
    expect((await stranger.ask(method, path(), body)).status).toBe(404);
    // Asking changed nothing.
    expect((await owner.ask(method, path(), body)).status).toBe(200);
  },
);

test('lists tell each of their own, and nobody of nothing', async () => {
  await setUp();
  const stranger = new Somebody(server.running.port);
  await stranger.ask('POST', '/courses', { course: { ...course, name: 'Mine' } });
  const nobody = new Somebody(server.running.port);
  for (const path of ['/courses', '/kits', '/recordings', '/bin']) {
    const lists = async (who: Somebody) =>
      Object.values(
        (await who.ask('GET', path)).body as Record<string, { id?: string; file?: string }[]>,
      )
        .flat()
        .map(({ id, file }) => id ?? file);
    expect(await lists(nobody)).toEqual([]);
    const theirs = await lists(stranger);
    expect((await lists(owner)).filter((id) => theirs.includes(id))).toEqual([]);
  }
});

test('nobody empties the bin of another', async () => {
  await setUp();
  const stranger = new Somebody(server.running.port);
  expect((await stranger.ask('DELETE', '/bin')).status).toBe(401);
  await stranger.ask('POST', '/courses', { course });
  await stranger.ask('DELETE', '/bin');
  expect((await owner.ask('GET', '/bin')).body.courses).toHaveLength(1);
});
