import { Somebody, testServer } from './testing/client';
import { digestPassphrase, matchesPassphrase } from './api/passphrase';
import * as cost from './api/passphraseCost';
import { openDatabase } from './db/open';
import { walk } from './testing/courses';

const course = walk();
const PHRASE = 'grey seals sing';

let server: Awaited<ReturnType<typeof testServer>>;
const somebody = () => new Somebody(server.running.port);
const named = async (name: string) => {
  const maker = somebody();
  await maker.ask('PUT', '/me', { name, passphrase: PHRASE });
  return maker;
};
const signIn = (who: Somebody, name: string, passphrase: string) =>
  who.ask('POST', '/session', { name, passphrase });

beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.remove());

test('nobody signs in as a maker without a passphrase, whatever words they use', async () => {
  const words = ['nobody has this name', 'Morven', '', 'null', 'undefined0', ' '.repeat(12)];
  for (const passphrase of words) {
    const answer = await signIn(somebody(), 'Morven', passphrase);
    expect([400, 401]).toContain(answer.status);
  }
  expect(await matchesPassphrase('nobody has this name', null)).toBe(false);
  expect(await matchesPassphrase('', null)).toBe(false);
  expect(await matchesPassphrase('anything at all', 'not:a:digest')).toBe(false);
});

test('outside tests a digest takes as much work as it should', () => {
  expect(cost).toMatchObject({ STEPS: 17, BLOCK: 8, LANES: 1 });
});

test('a passphrase is kept as a digest with what it was made with', async () => {
  const stored = await digestPassphrase(PHRASE);
  expect(stored).toMatch(/^scrypt:15:8:1:[0-9a-f]{32}:[0-9a-f]{64}$/);
  expect(await digestPassphrase(PHRASE)).not.toBe(stored);
  expect(await matchesPassphrase(PHRASE, stored)).toBe(true);
  expect(await matchesPassphrase(`${PHRASE}.`, stored)).toBe(false);
  // One made with less is compared with less.
  const [, , , , salt, digest] = stored.split(':');
  expect(await matchesPassphrase(PHRASE, `scrypt:10:8:1:${salt}:${digest}`)).toBe(false);
});

test('a name and a passphrase open the courses elsewhere', async () => {
  const isla = await named('Isla M');
  await isla.ask('POST', '/courses', { course });
  const elsewhere = somebody();
  await elsewhere.ask('POST', '/courses', { course: { ...course, name: 'Made there' } });
  expect((await signIn(elsewhere, 'Isla M', 'wrong passphrase')).status).toBe(401);
  expect((await signIn(elsewhere, 'isla  m', PHRASE)).body.name).toBe('Isla M');
  const { courses } = (await elsewhere.ask('GET', '/courses')).body;
  expect(courses.map(({ name }: { name: string }) => name).sort()).toEqual([
    'Made there',
    'Quay Walk',
  ]);
  await elsewhere.ask('DELETE', '/session');
  expect((await elsewhere.ask('GET', '/me')).body.known).toBe(false);
});

test('a name is one maker’s, however it is written and however many ask at once', async () => {
  const eager = Array.from({ length: 4 }, somebody);
  const claims = await Promise.all(
    ['Ronan', 'ronan', 'ＲＯＮＡＮ', 'Rónan'.replace('ó', 'o')].map((name, i) =>
      eager[i].ask('PUT', '/me', { name, passphrase: PHRASE }),
    ),
  );
  expect(claims.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409]);
  const taken = await somebody().ask('PUT', '/me', { name: 'Morven', passphrase: PHRASE });
  expect(taken.body.error.code).toBe('name-taken');
  const reserved = await somebody().ask('PUT', '/me', { name: 'Somebody', passphrase: PHRASE });
  expect(reserved.body.error.code).toBe('name-taken');
});

test('a new passphrase asks for the old one and ends all other sessions', async () => {
  const here = await named('Ailsa');
  const there = somebody();
  await signIn(there, 'Ailsa', PHRASE);
  const change = (old?: string) =>
    here.ask('PUT', '/me', { name: 'Ailsa', passphrase: 'a brand new phrase', old });
  expect((await change()).status).toBe(401);
  expect((await change('not the old one')).status).toBe(401);
  expect((await there.ask('GET', '/me')).body.known).toBe(true);
  expect((await change(PHRASE)).status).toBe(200);
  expect((await there.ask('GET', '/me')).body.known).toBe(false);
  expect((await here.ask('GET', '/me')).body.known).toBe(true);
  expect((await signIn(somebody(), 'Ailsa', PHRASE)).status).toBe(401);
  expect((await signIn(somebody(), 'Ailsa', 'a brand new phrase')).status).toBe(200);
});

test('a session ends ninety days after its last use, which renews it', async () => {
  const maker = await named('Una');
  const db = await openDatabase(server.config.dataDir);
  const age = (days: number) => db('sessions').update({ created: Date.now() - days * 86_400_000 });
  try {
    await age(89);
    const answer = await maker.ask('GET', '/me');
    expect(answer.body.known).toBe(true);
    expect(answer.headers.getSetCookie()[0]).toMatch(/Max-Age=7776000/);
    expect((await db('sessions').max({ last: 'created' }))[0].last).toBeGreaterThan(
      Date.now() - 60_000,
    );
    await age(91);
    expect((await maker.ask('GET', '/me')).body.known).toBe(false);
    expect((await maker.ask('GET', '/courses')).body.courses).toEqual([]);
  } finally {
    await db.destroy();
  }
});

test('trying names is slowed down for an address and a name, and nobody else', async () => {
  const strict = await testServer({ signInsPerMinute: 3 });
  try {
    const eager = new Somebody(strict.running.port);
    const tries: number[] = [];
    for (let i = 0; i < 5; i++) tries.push((await signIn(eager, 'Morven', PHRASE)).status);
    expect(tries).toEqual([401, 401, 401, 429, 429]);
    expect((await signIn(eager, 'morven ', PHRASE)).headers.get('retry-after')).not.toBeNull();
    expect((await signIn(eager, 'Brice', PHRASE)).status).toBe(401);
  } finally {
    await strict.remove();
  }
});

test('making makers without end is stopped', async () => {
  const strict = await testServer({ makersPerHour: 2 });
  try {
    const statuses: number[] = [];
    for (let i = 0; i < 3; i++) {
      const one = new Somebody(strict.running.port);
      statuses.push((await one.ask('POST', '/courses', { course })).status);
    }
    expect(statuses).toEqual([201, 201, 429]);
  } finally {
    await strict.remove();
  }
});
