import { gzipSync } from 'node:zlib';
import { DEMO_RUNS } from '@/demo/runs';
import { Somebody, testServer } from './testing/client';
import { walk } from './testing/courses';

// Bounds before work, against the running server: what is too long, too deep or nobody's costs it nothing.

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);
const SLUG = 'low-tide-steps';
const [{ run: RUN }] = DEMO_RUNS[SLUG];

async function maker(): Promise<Somebody> {
  const one = somebody();
  await one.ask('POST', '/courses', { course: walk() });
  return one;
}

/** Sends text packed as small as it gets. */
async function packed(who: Somebody, method: string, path: string, text: string): Promise<number> {
  const answer = await fetch(`http://127.0.0.1:${server.running.port}/api${path}`, {
    method,
    headers: {
      'Content-Type': 'application/json',
      'Content-Encoding': 'gzip',
      Cookie: who.cookie,
    },
    body: new Uint8Array(gzipSync(text)),
  });
  await answer.text();
  return answer.status;
}

const manyStretches = (count: number) =>
  JSON.stringify({ attempt: 'none', run: { ...RUN, inputs: new Array(count).fill(0) } });

test('what unpacks to more than its route takes is refused by its length, however small it came', async () => {
  const one = await maker();
  const junk = JSON.stringify({ name: 'x'.repeat(7_900_000) });
  expect(await packed(one, 'POST', `/published/${SLUG}/runs`, manyStretches(1_500_000))).toBe(413);
  expect(await packed(one, 'POST', '/session', junk)).toBe(413);
  expect(await packed(one, 'PUT', `/published/${SLUG}/attempts/none/ends`, junk)).toBe(413);
  expect(await packed(one, 'POST', '/series', junk)).toBe(413);
  expect(await packed(one, 'POST', '/courses', `{"a":"${'x'.repeat(8_500_000)}"}`)).toBe(413);
});

test('a list that is too long is refused before any of it is looked at, and one fault is told', async () => {
  const one = await maker();
  const long = await one.ask('POST', `/published/${SLUG}/runs`, manyStretches(440_000));
  expect([long.status, long.body.error.code]).toEqual([400, 'broken']);
  expect(long.body.error.message).toMatch(/has more than 100000/);
  const wrong = await one.ask('POST', `/published/${SLUG}/runs`, manyStretches(90_000));
  expect([wrong.status, wrong.body.error.code]).toEqual([400, 'broken']);
  expect(wrong.body.error.message).toMatch(/run\.inputs\.0/);
  const places = new Array(2000).fill([0, 0, 0]);
  const ends = await one.ask('PUT', `/published/${SLUG}/attempts/none/ends`, { ends: places });
  expect([ends.status, ends.body.error.message]).toEqual([400, expect.stringMatching(/20 places/)]);
});

test('a long run that is sound is read as a short one is', async () => {
  const one = somebody();
  const { attempt, seed } = (await one.ask('POST', `/published/${SLUG}/attempts`)).body;
  // Far more stretches than it needs, which come to the same.
  const inputs = RUN.inputs.flatMap(([ticks, ...pressed]) =>
    Array.from({ length: ticks }, () => [1, ...pressed]),
  );
  const run = { ...RUN, seed, inputs };
  expect(JSON.stringify(run).length).toBeGreaterThan(20_000);
  const idle = Array.from({ length: 9000 }, (_, i) => [1, i % 2, 0, 0]);
  const sent = await one.ask('POST', `/published/${SLUG}/runs`, {
    attempt,
    run: { ...run, inputs: [...inputs, ...idle] },
  });
  expect([sent.status, sent.body.error.code]).toEqual([409, 'same-run']);
});

test('who has no account is told so before anything is read', async () => {
  const nobody = somebody();
  for (const [method, path] of [
    ['POST', `/published/${SLUG}/runs`],
    ['PUT', `/published/${SLUG}/attempts/x/ends`],
    ['PUT', '/courses/none'],
    ['PUT', '/kits/none'],
    ['POST', '/courses/none/proof'],
    ['PUT', '/series/none'],
    ['DELETE', '/me'],
  ]) {
    const answer = await nobody.ask(method, path, 'this is no JSON');
    expect([path, answer.status]).toEqual([path, 401]);
  }
});

test('what is nested very deep is refused in words on every route', async () => {
  const one = await maker();
  const deep = (levels: number, inner = '1') => '['.repeat(levels) + inner + ']'.repeat(levels);
  for (const [method, path, text] of [
    ['POST', '/kits', `{"kit":${deep(50_000)}}`],
    [
      'POST',
      '/kits',
      `{"kit":{"name":"Deep","format":"stone-hop-kit","version":1,"pieces":[],"more":${deep(20_000)}}}`,
    ],
    ['POST', '/courses', `{"course":${deep(50_000)}}`],
    [
      'POST',
      '/courses',
      JSON.stringify({ course: walk() }).replace('"name"', `"more":${deep(20_000)},"name"`),
    ],
    ['POST', '/session', deep(5000)],
    ['POST', `/published/${SLUG}/runs`, deep(20_000)],
    ['POST', `/published/${SLUG}/notes`, deep(5000)],
  ] as const) {
    const { status, body } = await one.ask(method, path, text);
    expect([path, status, body.error?.code]).toEqual([path, 400, 'broken']);
  }
  // Brackets in words are words.
  const words = await one.ask('POST', '/series', { name: `Series ${'['.repeat(60)}`, courses: [] });
  expect(words.status).not.toBe(500);
});

test('a run is the same however it is cut, and whatever is pressed after its end or without any effect', async () => {
  const one = somebody();
  const [, { run: other }] = DEMO_RUNS[SLUG];
  const forms = [
    // The run of a player on the list, and that of the course's maker.
    other.inputs,
    RUN.inputs,
    RUN.inputs.flatMap(([ticks, ...pressed]) =>
      ticks > 1
        ? [
            [1, ...pressed],
            [ticks - 1, ...pressed],
          ]
        : [[ticks, ...pressed]],
    ),
    [...RUN.inputs, [50, 3, 0, 1], [20, 0, 0, 0]],
  ];
  for (const inputs of forms) {
    const sent = await one.play(SLUG, { ...RUN, inputs } as typeof RUN);
    expect([sent.status, sent.body.error?.code]).toEqual([409, 'same-run']);
  }
});

test('errors and what is somebody’s own are kept by nobody; what is addressed by what it holds is for a year', async () => {
  const one = await maker();
  const kept = async (path: string) => (await one.ask('GET', path)).headers.get('cache-control');
  for (const path of [
    '/me',
    '/courses',
    '/explore',
    '/published/none',
    '/recordings/none.mp3',
    '/nowhere',
  ]) {
    expect([path, await kept(path)]).toEqual([path, 'no-store']);
  }
  await one.ask('DELETE', '/session');
  expect(await kept(`/published/${SLUG}`)).toBe('no-store');
});
