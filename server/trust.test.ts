import { openDatabase } from './db/open';
import { Somebody, testServer } from './testing/client';
import { runRight, walk } from './testing/courses';
import { publish } from './testing/publish';

// Who somebody is, and that nobody else is taken for them.

const PHRASE = 'grey seals sing low';
let server: Awaited<ReturnType<typeof testServer>>;
const somebody = () => new Somebody(server.running.port);
const claim = (who: Somebody, name: string, passphrase = PHRASE) =>
  who.ask('PUT', '/me', { name, passphrase });
const signIn = (who: Somebody, name: string, passphrase = PHRASE) =>
  who.ask('POST', '/session', { name, passphrase });

beforeAll(async () => {
  server = await testServer({ proxies: 1 });
});
afterAll(() => server.remove());

/** The same browser as before it was given another cookie. */
const withCookie = (cookie: string) => {
  const one = somebody();
  one.cookie = cookie;
  return one;
};
const isKnown = async (who: Somebody) => (await who.ask('GET', '/me')).body.known;

test('taking a name and signing in begin a session, and the one before ends', async () => {
  const isla = somebody();
  await isla.ask('POST', '/courses', { course: walk() });
  const before = isla.cookie;
  expect((await claim(isla, 'Isla Trust')).status).toBe(200);
  expect(isla.cookie).not.toBe(before);
  expect([await isKnown(withCookie(before)), await isKnown(isla)]).toEqual([false, true]);
  const other = somebody();
  await other.ask('POST', '/courses', { course: walk() });
  const guest = other.cookie;
  await signIn(other, 'Isla Trust');
  expect(other.cookie).not.toBe(guest);
  expect([await isKnown(withCookie(guest)), await isKnown(other)]).toEqual([false, true]);
  // Signed in there already, the session is another one all the same.
  const first = other.cookie;
  await signIn(other, 'Isla Trust');
  expect(await isKnown(withCookie(first))).toBe(false);
});

test('over HTTPS the cookie is held to the host by its name, and one from before still counts', async () => {
  const secure = await testServer({ secureCookies: true });
  try {
    const isla = new Somebody(secure.running.port);
    const { headers } = await isla.ask('POST', '/courses', { course: walk() });
    const [cookie] = headers.getSetCookie();
    expect(cookie).toMatch(/^__Host-stonehop=/);
    for (const part of ['; Secure', '; HttpOnly', '; Path=/', '; SameSite=Lax']) {
      expect(cookie).toContain(part);
    }
    expect(cookie).not.toMatch(/domain/i);
    const before = new Somebody(secure.running.port);
    before.cookie = isla.cookie.replace('__Host-', '');
    expect(await isKnown(before)).toBe(true);
  } finally {
    await secure.remove();
  }
});

test('changes that a page of another site asks for are refused, whatever they are', async () => {
  const isla = somebody();
  const { id } = (await isla.ask('POST', '/courses', { course: walk() })).body;
  const own = `http://127.0.0.1:${server.running.port}`;
  const from = async (headers: Record<string, string>, method: string, path: string) => {
    isla.headers = headers;
    const { status } = await isla.ask(method, path, method === 'GET' ? undefined : {});
    isla.headers = {};
    return status;
  };
  const CHANGES = [
    ['PUT', '/me'],
    ['DELETE', '/me'],
    ['POST', '/session'],
    ['DELETE', '/session'],
    ['PUT', `/courses/${id}`],
    ['DELETE', `/courses/${id}`],
    ['POST', '/courses'],
    ['DELETE', '/bin'],
    ['PUT', '/published/low-tide-steps/like'],
    ['POST', '/published/low-tide-steps/attempts'],
  ] as const;
  const OTHERS: Record<string, string>[] = [
    { Origin: 'https://elsewhere.example' },
    { Origin: 'null' },
    { Origin: own.replace('127.0.0.1', '127.0.0.2') },
    { Origin: 'http://127.0.0.1:1' },
    { 'Sec-Fetch-Site': 'cross-site' },
    { 'Sec-Fetch-Site': 'same-site', Origin: own },
  ];
  for (const [method, path] of CHANGES) {
    for (const headers of OTHERS) {
      expect([path, headers, await from(headers, method, path)]).toEqual([path, headers, 403]);
    }
  }
  expect(await from({ Origin: 'https://elsewhere.example' }, 'GET', `/courses/${id}`)).toBe(200);
  expect(await from({ Origin: own }, 'DELETE', `/courses/${id}`)).toBe(200);
  expect(await from({ 'Sec-Fetch-Site': 'same-origin', Origin: own }, 'DELETE', '/bin')).toBe(200);
});

test('a name that looks like another one is nobody’s to take', async () => {
  await claim(somebody(), 'Ionat');
  for (const name of ['Іоnаt', 'lonat', 'IONAT', 'Ionаt', 'Ι' + 'onat']) {
    const { status, body } = await claim(somebody(), name);
    expect([name, status, body.error?.code]).toEqual([name, 409, 'name-taken']);
  }
  for (const name of ['Аdmin', 'Admin', 'АDMIN', 'Adrnin', 'Stоne Hop', 'Sуstem']) {
    expect([name, (await claim(somebody(), name)).status]).toEqual([name, 409]);
  }
  // Another name is another name, in any script.
  expect((await claim(somebody(), 'Йонат')).status).toBe(200);
});

test('names on lists belong to makers: they change with them, and whoever takes one takes it from nobody', async () => {
  const course = walk();
  const { slug } = await publish(course, somebody());
  const [guest, ewan] = [somebody(), somebody()];
  await guest.play(slug, runRight(course, 3), 'Ewan');
  expect((await claim(ewan, 'Ewan')).status).toBe(200);
  await ewan.play(slug, runRight(course, 9));
  const best = async () =>
    (await somebody().ask('GET', `/published/${slug}`)).body.best.map(
      ({ player, guest: unnamed }: { player: string; guest?: boolean }) => [player, !!unnamed],
    );
  expect(await best()).toEqual([
    ['Ewan', true],
    ['Ewan', false],
  ]);
  await ewan.ask('PUT', '/me', { name: 'Ewan of the Quay', passphrase: PHRASE, old: PHRASE });
  expect(await best()).toEqual([
    ['Ewan', true],
    ['Ewan of the Quay', false],
  ]);
  // From now on nobody runs under it, nor under what looks like it.
  const late = await somebody().play(slug, runRight(course, 20), 'Ewan оf the Quay');
  expect(late.body.error.code).toBe('name-taken');
});

test('a weak passphrase is refused with the reason', async () => {
  for (const [name, passphrase, reason] of [
    ['Morag', 'aaaaaaaaaaaa', 'repeats itself'],
    ['Morag', 'password123', 'many use'],
    ['Morag', 'Morag Morag Morag', 'weak'],
    ['Moragbree', 'MoragBree1', 'your name'],
    ['Morag', '01.02.1990', 'a date'],
  ] as const) {
    const { status, body } = await claim(somebody(), name, passphrase);
    expect([passphrase, status, body.error.code]).toEqual([passphrase, 400, 'weak']);
    expect(body.error.message).toContain(reason);
  }
  expect((await claim(somebody(), 'Morag', 'kelp lantern ferry')).status).toBe(200);
});

test('tries at an account from many addresses are bounded, and its owner gets in all the same', async () => {
  const guarded = await testServer({ proxies: 1, signInsPerMinute: 2 });
  try {
    const one = (i: number) => {
      const who = new Somebody(guarded.running.port);
      who.forwarded = `10.0.${i}.1`;
      return who;
    };
    const owner = one(200);
    await claim(owner, 'Owner Kept');
    await owner.ask('DELETE', '/session');
    const statuses: number[] = [];
    for (let i = 0; i < 16; i++) {
      statuses.push((await signIn(one(i), 'Owner Kept', 'wrong but long')).status);
    }
    expect(statuses.filter((status) => status === 401)).toHaveLength(12);
    expect(statuses.slice(12)).toEqual([429, 429, 429, 429]);
    expect((await signIn(owner, 'Owner Kept')).status).toBe(200);
  } finally {
    await guarded.remove();
  }
});

test('how the server is can be asked by anybody, and is bad when nothing can be kept', async () => {
  const { status, body } = await somebody().ask('GET', '/health');
  expect(status).toBe(200);
  expect(body).toMatchObject({ writable: true, version: expect.stringMatching(/^\d+\.\d+\.\d+/) });
  expect(body.freeMegabytes).toBeGreaterThan(0);
  expect(body.queues.replays).toEqual({ working: 0, waiting: 0 });
  const full = await testServer({ freeMegabytes: 1e9 });
  try {
    const answer = await new Somebody(full.running.port).ask('GET', '/health');
    expect([answer.status, answer.body.writable]).toEqual([503, false]);
  } finally {
    await full.remove();
  }
});

test('a digest of the first kind lets its owner in, and is made anew by that', async () => {
  const { scryptSync } = await import('node:crypto');
  const old = somebody();
  await claim(old, 'Old Digest');
  const db = await openDatabase(server.config.dataDir);
  const salt = Buffer.from('00112233445566778899aabbccddeeff', 'hex');
  const digest = scryptSync(PHRASE.normalize('NFKC'), salt, 32);
  const passphrase = `${salt.toString('hex')}:${digest.toString('hex')}`;
  await db('makers').where('name', 'Old Digest').update({ passphrase });
  expect((await signIn(somebody(), 'Old Digest', 'another phrase of it')).status).toBe(401);
  expect((await signIn(somebody(), 'Old Digest')).status).toBe(200);
  const [{ passphrase: anew }] = await db('makers')
    .where('name', 'Old Digest')
    .select('passphrase');
  expect(anew).toMatch(/^scrypt:15:/);
  expect((await signIn(somebody(), 'Old Digest')).status).toBe(200);
  await db.destroy();
});
