import fc from 'fast-check';
import type { Knex } from 'knex';
import type { Course } from '@/core/course';
import { EXPLORE_ORDERS, type CourseFound } from '@/core/protocol';
import { matchOf } from './api/explore';
import { openDatabase } from './db/open';
import { Somebody, testServer } from './testing/client';
import { hopRight, runRight, walk } from './testing/courses';
import { publish, publishAgain } from './testing/publish';

let server: Awaited<ReturnType<typeof testServer>>;
let db: Knex;
beforeEach(async () => {
  server = await testServer();
  db = await openDatabase(server.config.dataDir);
});
afterEach(async () => {
  await db.destroy();
  await server.remove();
});
const somebody = () => new Somebody(server.running.port);

const out = (course: Course, maker = somebody()) => publish(course, maker);

const asking = (query: Record<string, string>) => `/explore?${new URLSearchParams(query)}`;
async function explored(query: Record<string, string> = {}, who = somebody()) {
  const { status, body } = await who.ask('GET', asking(query));
  expect(status).toBe(200);
  return body as { courses: CourseFound[]; next: string | null };
}
const names = async (query: Record<string, string> = {}, who = somebody()) =>
  (await explored(query, who)).courses.map(({ name }) => name);

const named = (name: string, more: Partial<Course> = {}): Course => ({ ...walk(), name, ...more });

/** Lays so many more published courses into the database, with figures that are often the same. */
async function fill(count: number): Promise<void> {
  const [course] = await db('courses').limit(1);
  const [shown] = await db('published').limit(1);
  for (let i = 0; i < count; i++) {
    const id = `filled-${i}`;
    await db('courses').insert({ ...course, id });
    await db('published').insert({ ...shown, slug: id, course: id, document: '{}', picture: null });
    await db('listings').insert({
      ...{ slug: id, course: id, maker_id: course.maker, maker: 'Wren', name: `Filled ${i}` },
      ...{ kind: 'point', runner: 'hopper', length: (i * 37) % 500, time: 9, hash: shown.hash },
      ...{ published: 1000 + (i % 5), likes: i % 3, tries: i % 7 },
      closeness: i % 4 === 0 ? null : (i % 6) / 10,
    });
  }
}

test('what is published is found by any beginning of its name, its description and its maker', async () => {
  const orla = somebody();
  await orla.ask('PUT', '/me', { name: 'Órla', passphrase: 'salt on the slipway' });
  await out(named('Gull Ledges', { description: 'Three leaps over the weir.' }), orla);
  await out(named('Eel Run'));
  const all = await names();
  expect(all).toEqual(expect.arrayContaining(['Gull Ledges', 'Eel Run', 'Low Tide Steps']));
  expect(all.slice(0, 2)).toEqual(['Eel Run', 'Gull Ledges']);
  for (const words of ['gull', 'LEDG', 'weir three', 'orla', 'Órl gu']) {
    expect(await names({ words })).toEqual(['Gull Ledges']);
  }
  for (const words of ['ull', 'gull eel', '""', '***', 'gull" OR "eel']) {
    expect(await names({ words })).toEqual([]);
  }
  // A name that is changed is the one it is found by.
  const changed = { name: 'Sorley', passphrase: 'salt on the slipway', old: 'salt on the slipway' };
  expect((await orla.ask('PUT', '/me', changed)).status).toBe(200);
  expect(await names({ words: 'orla' })).toEqual([]);
  expect((await explored({ words: 'sorley' })).courses).toMatchObject([
    { name: 'Gull Ledges', maker: 'Sorley', edition: 1, tries: 0, finishes: 0, likes: 0 },
  ]);
});

test('no words whatever break the index they are looked up in', async () => {
  await fc.assert(
    fc.asyncProperty(fc.string({ unit: 'grapheme', maxLength: 60 }), async (words) => {
      const match = matchOf(words);
      if (match === null) expect(words.trim()).toBe('');
      else
        await db('listing_words').whereRaw('listing_words match ?', match).select('rowid').limit(1);
    }),
    {
      numRuns: 300,
      examples: [['NEAR(a b)'], ['name:x'], ['^gull'], ['-gull'], ['"'], ['\u0000']],
    },
  );
});

test.each(EXPLORE_ORDERS)(
  'page after page in the order "%s" each course comes once',
  async (order) => {
    await fill(90);
    const column = { new: 'published', liked: 'likes', run: 'tries', close: 'closeness' }[order];
    const rows: Record<string, number>[] = await db('listings').select('slug', column);
    const keys = new Map(rows.map((row) => [String(row.slug), row[column]]));
    const expected = rows.filter((row) => row[column] !== null).length;
    const seen: string[] = [];
    let after: string | null = null;
    do {
      const { courses, next }: { courses: CourseFound[]; next: string | null } = await explored(
        after === null ? { order } : { order, after },
      );
      seen.push(...courses.map(({ slug }) => slug));
      after = next;
    } while (after !== null);
    expect(new Set(seen).size).toBe(seen.length);
    expect(seen).toHaveLength(expected);
    const inOrder = seen.map((slug) => keys.get(slug)!);
    const sorted = [...inOrder].sort((a, b) => (order === 'close' ? a - b : b - a));
    expect(inOrder).toEqual(sorted);
  },
);

test('words that very many courses have find each of them once, as those of few do', async () => {
  await fill(650);
  for (const [words, expected] of [
    ['filled', 650],
    ['filled wren', 650],
    ['filled 64', 11],
    ['f', 650],
  ] as const) {
    const seen: string[] = [];
    let after: string | null = null;
    do {
      const query: Record<string, string> = { words, order: 'liked', length: 'short' };
      if (after !== null) query.after = after;
      const page: { courses: CourseFound[]; next: string | null } = await explored(query);
      seen.push(...page.courses.map(({ slug }) => slug));
      after = page.next;
    } while (after !== null);
    const short = Array.from({ length: 650 }, (_, i) => i).filter(
      (i) => (i * 37) % 500 < 100 && (expected > 600 || String(i).startsWith('64')),
    );
    expect(seen.filter((slug) => slug.startsWith('filled')).sort()).toEqual(
      short.map((i) => `filled-${i}`).sort(),
    );
    expect(new Set(seen).size).toBe(seen.length);
  }
});

test('filters leave out what they say, and no more', async () => {
  await fill(60);
  const rows = await db('listings');
  const count = async (query: Record<string, string>) => {
    let [all, after] = [0, undefined as string | undefined];
    do {
      const { courses, next } = await explored({ ...query, ...(after ? { after } : {}) });
      all += courses.length;
      after = next ?? undefined;
    } while (after);
    return all;
  };
  const told = (is: (row: (typeof rows)[0]) => boolean) => rows.filter(is).length;
  expect(await count({ length: 'short' })).toBe(told(({ length }) => length < 100));
  expect(await count({ length: 'middling' })).toBe(
    told(({ length }) => length >= 100 && length < 300),
  );
  expect(await count({ length: 'long' })).toBe(told(({ length }) => length >= 300));
  expect(await count({ runner: 'cart' })).toBe(told(({ runner }) => runner === 'cart'));
  expect(await count({ kind: 'strokes' })).toBe(told(({ kind }) => kind === 'strokes'));
  // The demo was laid in just now, what is filled in long ago.
  expect(await count({ week: 'yes' })).toBe(told(({ published }) => published > 2000));
  expect(await count({ words: 'filled', length: 'long', runner: 'hopper' })).toBe(
    told(({ name, length }) => name.startsWith('Filled') && length >= 300),
  );
});

test('what somebody has finished is told to them, and left out when they ask', async () => {
  const { slug } = await out(named('Eel Run'));
  const [wick, fenn] = [somebody(), somebody()];
  // One is given and never begun, one begun and heard of twice, one finished.
  await wick.ask('POST', `/published/${slug}/attempts`);
  const { attempt } = (await wick.ask('POST', `/published/${slug}/attempts`)).body;
  for (let i = 0; i < 2; i++) {
    const begun = await wick.ask('PUT', `/published/${slug}/attempts/${attempt}`);
    expect(begun.status).toBe(200);
  }
  await wick.play(slug, runRight(walk()), 'Wick');
  await fenn.ask('POST', '/courses', { course: walk() });
  expect((await fenn.ask('PUT', `/published/${slug}/attempts/${attempt}`)).status).toBe(404);
  const mine = (await explored({ words: 'eel' }, wick)).courses;
  expect(mine).toMatchObject([{ finished: true, tries: 2, finishes: 1 }]);
  expect((await explored({ words: 'eel' }, fenn)).courses).toMatchObject([{ finished: false }]);
  expect(await names({ words: 'eel', unfinished: 'yes' }, wick)).toEqual([]);
  expect(await names({ words: 'eel', unfinished: 'yes' }, fenn)).toEqual(['Eel Run']);
});

test('how near the best three are to each other is told once there are three', async () => {
  const { slug } = await out(named('Eel Run'));
  const closeness = async () => (await db('listings').where({ slug }).first()).closeness;
  const runs = [runRight(walk()), runRight(walk(), 12), runRight(walk(), 60)];
  for (const [i, run] of runs.entries()) {
    expect(await closeness()).toBeNull();
    await somebody().play(slug, run, ['Orla', 'Fenn', 'Wick'][i]);
  }
  const [first, , third] = runs.map(({ claim }) => claim);
  expect(await closeness()).toBeCloseTo((third - first) / first, 9);
  expect((await names({ order: 'close' }))[0]).toBe('Eel Run');
});

test('a like counts once, goes again, and is not for one’s own', async () => {
  const { maker, slug } = await out(named('Eel Run'));
  const [wick, fenn] = [somebody(), somebody()];
  const like = async (who: Somebody, liked: boolean) =>
    (await who.ask('PUT', `/published/${slug}/like`, { liked })).body.likes;
  expect(await like(wick, true)).toBe(1);
  expect(await like(wick, true)).toBe(1);
  expect(await like(fenn, true)).toBe(2);
  expect((await wick.ask('GET', `/published/${slug}`)).body).toMatchObject({
    liked: true,
    likes: 2,
    own: false,
  });
  expect(await like(wick, false)).toBe(1);
  expect(await like(wick, false)).toBe(1);
  expect((await maker.ask('PUT', `/published/${slug}/like`, { liked: true })).status).toBe(409);
  expect((await maker.ask('GET', `/published/${slug}`)).body).toMatchObject({
    own: true,
    liked: false,
  });
  expect((await names({ order: 'liked' }))[0]).toBe('Eel Run');
});

test('taken down a course is gone for all but its maker, and put back it is as it was', async () => {
  const course = named('Eel Run');
  const { maker, id, slug } = await out(course);
  const [wick, stranger] = [somebody(), somebody()];
  await wick.play(slug, runRight(course), 'Wick');
  await wick.ask('PUT', `/published/${slug}/like`, { liked: true });
  // One is under way while it goes.
  const { attempt, seed } = (await wick.ask('POST', `/published/${slug}/attempts`)).body;
  const shown = (who: Somebody, up: boolean) =>
    who.ask('PUT', `/courses/${id}/published`, { shown: up });
  expect((await somebody().ask('PUT', `/courses/${id}/published`, { shown: false })).status).toBe(
    401,
  );
  await stranger.ask('POST', '/courses', { course });
  expect((await shown(stranger, false)).status).toBe(404);
  expect((await shown(maker, false)).status).toBe(200);
  expect(await names({ words: 'eel' })).toEqual([]);
  expect((await maker.ask('GET', `/courses/${id}`)).body.published).toMatchObject({ shown: false });
  const sent = { run: { ...hopRight(course, 1), seed }, attempt, player: 'Wick' };
  for (const [method, path, body] of [
    ['GET', '', undefined],
    ['GET', '/picture', undefined],
    ['POST', '/attempts', undefined],
    ['POST', '/runs', sent],
    ['PUT', '/like', { liked: true }],
  ] as const) {
    const answer = await wick.ask(method, `/published/${slug}${path}`, body);
    expect([answer.status, answer.body.error.code]).toEqual([410, 'taken-down']);
  }
  expect((await shown(maker, true)).status).toBe(200);
  expect((await explored({ words: 'eel' })).courses).toMatchObject([
    { tries: 1, finishes: 1, likes: 1 },
  ]);
  // And the run that was under way counts.
  expect((await wick.ask('POST', `/published/${slug}/runs`, sent)).status).toBe(201);
  const unpublished = (await maker.ask('POST', '/courses', { course })).body.id;
  expect(
    (await maker.ask('PUT', `/courses/${unpublished}/published`, { shown: false })).status,
  ).toBe(404);
});

test('a change that a run feels is another edition with tries of its own, one of words is not', async () => {
  const course = named('Eel Run');
  const made = await out(course);
  const { slug } = made;
  await somebody().play(slug, runRight(course), 'Wick');
  await somebody().ask('PUT', `/published/${slug}/like`, { liked: true });
  const told = async () => (await somebody().ask('GET', `/published/${slug}`)).body;
  const described = { ...course, description: 'Slippery when the tide is out.' };
  await publishAgain(made, described, 1);
  expect(await told()).toMatchObject({ edition: 1, tries: 1, finishes: 1, likes: 1 });
  expect(await names({ words: 'slippery' })).toEqual(['Eel Run']);
  const other = named('Eel Run', {
    pieces: walk({ family: 'slab', at: [3, 3, 4] }).pieces,
  });
  await publishAgain(made, other, 2);
  expect(await told()).toMatchObject({ edition: 2, tries: 0, finishes: 0, likes: 1, best: [] });
  expect(await names({ words: 'slippery' })).toEqual([]);
});

test('in the bin it is found by nobody, taken out again by all', async () => {
  const { maker, id } = await out(named('Eel Run'));
  await maker.ask('DELETE', `/courses/${id}`);
  expect(await names({ words: 'eel' })).toEqual([]);
  await maker.ask('POST', `/courses/${id}/restore`);
  expect(await names({ words: 'eel' })).toEqual(['Eel Run']);
});

test('what is made without a name is found by the name it is later given to', async () => {
  const account = { name: 'Maura', passphrase: 'salt on the slipway' };
  expect((await somebody().ask('PUT', '/me', account)).status).toBe(200);
  const { maker } = await out(named('Eel Run'));
  expect((await explored({ words: 'eel' })).courses).toMatchObject([{ maker: 'Somebody' }]);
  expect((await maker.ask('POST', '/session', account)).status).toBe(200);
  expect((await explored({ words: 'maura eel' })).courses).toMatchObject([{ maker: 'Maura' }]);
});

test.each([
  [{ order: 'best' }, 'order'],
  [{ kind: 'ring' }, 'kind'],
  [{ words: 'a'.repeat(200) }, 'words'],
  [{ length: 'endless' }, 'length'],
  [{ after: 'bm90aGluZw' }, 'nothing after'],
  [{ after: Buffer.from('["x", 1]').toString('base64url') }, 'nothing after'],
])('%j is refused in words', async (query, told) => {
  const { status, body } = await somebody().ask('GET', asking(query as Record<string, string>));
  expect(status).toBe(400);
  expect(body.error.message).toContain(told);
});
