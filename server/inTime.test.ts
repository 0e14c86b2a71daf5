import { openDatabase } from './db/open';
import type { AttemptRow, ListingRow } from './db/rows';
import { movePieces } from '@/core/edit';
import { Somebody, testServer } from './testing/client';
import { runRight, walk } from './testing/courses';
import { publish, publishAgain } from './testing/publish';

// What is true at the moment it is written, whatever went on while it was worked out.

let server: Awaited<ReturnType<typeof testServer>>;
const somebody = () => new Somebody(server.running.port);
const course = walk();
const wider = movePieces(course, new Set([course.pieces[2].id]), [0.5, 0, 0]);

beforeAll(async () => {
  server = await testServer({ attemptsPerMinute: 40 });
});
afterAll(() => server.remove());

const listing = async (slug: string): Promise<ListingRow> => {
  const db = await openDatabase(server.config.dataDir);
  const row = await db<ListingRow>('listings').where({ slug }).first();
  await db.destroy();
  return row!;
};

test('a run longer than the time since it began is refused, and one that took its time is not', async () => {
  const real = await testServer({ inRealTime: true });
  try {
    const one = new Somebody(real.running.port);
    const { slug } = await publish(course, new Somebody(real.running.port));
    const begin = async () => (await one.ask('POST', `/published/${slug}/attempts`)).body;
    const { attempt, seed } = await begin();
    const run = { ...runRight(course, 130), seed };
    const send = () => one.ask('POST', `/published/${slug}/runs`, { run, attempt });
    const soon = await send();
    expect([soon.status, soon.body.error.code]).toEqual([409, 'too-soon']);
    const db = await openDatabase(real.config.dataDir);
    await db<AttemptRow>('attempts').where('id', attempt).decrement('given', 4000);
    expect((await send()).status).toBe(201);
    // Thirty that are begun at once are no tries, and are none by being told of.
    const tries = async () =>
      (await db<ListingRow>('listings').where({ slug }).first('tries'))!.tries;
    const before = await tries();
    for (let i = 0; i < 30; i++) {
      const { attempt: next } = await begin();
      // As if it had begun just now, however long that took here.
      await db<AttemptRow>('attempts').where('id', next).update({ given: Date.now() });
      await one.ask('PUT', `/published/${slug}/attempts/${next}`);
    }
    expect(await tries()).toBe(before);
    const { attempt: last } = await begin();
    await db<AttemptRow>('attempts').where('id', last).decrement('given', 2000);
    await one.ask('PUT', `/published/${slug}/attempts/${last}`);
    expect(await tries()).toBe(before + 1);
    await db.destroy();
  } finally {
    await real.remove();
  }
});

test('a class behind one address plays, and one who begins far too many is told so', async () => {
  const { slug } = await publish(course, somebody());
  const pupils = Array.from({ length: 60 }, somebody);
  for (let round = 0; round < 3; round++) {
    const all = await Promise.all(
      pupils.map((pupil) => pupil.ask('POST', `/published/${slug}/attempts`)),
    );
    expect(all.map(({ status }) => status)).toEqual(pupils.map(() => 201));
  }
  const [eager] = pupils;
  const statuses: number[] = [];
  for (let i = 0; i < 40; i++) {
    statuses.push((await eager.ask('POST', `/published/${slug}/attempts`)).status);
  }
  expect(statuses.slice(0, 37).every((status) => status === 201)).toBe(true);
  const refused = await eager.ask('POST', `/published/${slug}/attempts`);
  expect([refused.status, refused.body.error.message]).toEqual([
    429,
    'You begin too many attempts; wait a minute.',
  ]);
  expect(Number(refused.headers.get('retry-after'))).toBeGreaterThan(0);
  expect((await pupils[1].ask('POST', `/published/${slug}/attempts`)).status).toBe(201);
});

test('a run counts for the edition it was begun on, even where another is published before it is sent', async () => {
  const out = await publish(course, somebody());
  const player = somebody();
  const { attempt, seed } = (await player.ask('POST', `/published/${out.slug}/attempts`)).body;
  await publishAgain(out, wider, 1);
  const run = { ...runRight(course), seed };
  const sent = await player.ask('POST', `/published/${out.slug}/runs`, { run, attempt });
  expect(sent.status).toBe(201);
  expect(sent.body.best.map(({ own }: { own: boolean }) => own)).toEqual([true]);
  expect(await listing(out.slug)).toMatchObject({ edition: 2, finishes: 0, tries: 0 });
  const now = (await player.ask('GET', `/published/${out.slug}`)).body;
  expect(now.best).toEqual([]);
  const before = (await player.ask('GET', `/published/${out.slug}?edition=1`)).body;
  expect(before.best).toHaveLength(1);
});

test('a run that waits while its course is published anew never counts for the new edition', async () => {
  for (let i = 0; i < 6; i++) {
    const out = await publish(course, somebody());
    const player = somebody();
    const { attempt, seed } = (await player.ask('POST', `/published/${out.slug}/attempts`)).body;
    const run = { ...runRight(course, 30 * i), seed };
    const [sent] = await Promise.all([
      player.ask('POST', `/published/${out.slug}/runs`, { run, attempt }),
      publishAgain(out, wider, 1),
    ]);
    expect(sent.status).toBe(201);
    const now = (await player.ask('GET', `/published/${out.slug}`)).body;
    expect([now.edition, now.finishes, now.best]).toEqual([2, 0, []]);
  }
});

test('nothing that is deleted while it is worked on makes a fault', async () => {
  const statuses: [string, number][] = [];
  for (let i = 0; i < 8; i++) {
    const out = await publish(course, somebody());
    const [player, other] = [somebody(), somebody()];
    const { attempt, seed } = (await player.ask('POST', `/published/${out.slug}/attempts`)).body;
    const run = { ...runRight(course, 20 * i), seed };
    const asked: [string, Promise<{ status: number }>][] = [
      ['run', player.ask('POST', `/published/${out.slug}/runs`, { run, attempt })],
      ['proof', out.maker.ask('POST', `/courses/${out.id}/proof`, { run: runRight(course) })],
      ['publish', out.maker.ask('POST', `/courses/${out.id}/publish`)],
      ['like', other.ask('PUT', `/published/${out.slug}/like`, { liked: true })],
      ['note', other.ask('POST', `/published/${out.slug}/notes`, { words: 'The quay is slick.' })],
      ['save', out.maker.ask('PUT', `/courses/${out.id}`, { revision: 1, course: wider })],
    ];
    const leaving =
      i % 2 === 0
        ? [out.maker.ask('DELETE', `/courses/${out.id}`), out.maker.ask('DELETE', '/bin')]
        : [player.ask('DELETE', '/me', {}), out.maker.ask('DELETE', '/me', {})];
    for (const [what, answer] of asked) statuses.push([what, (await answer).status]);
    await Promise.all(leaving);
  }
  expect(statuses.filter(([, status]) => status >= 500)).toEqual([]);
});

test('what is kept is counted where it is kept: sent at once, no more is taken than one after the other', async () => {
  const small = await testServer({ makerMegabytes: 1 });
  try {
    const one = new Somebody(small.running.port);
    await one.ask('POST', '/courses', { course });
    const words = Array.from({ length: 300 }, (_, i) => `${i} ${'kelp '.repeat(100)}`);
    const long = { ...course, notes: undefined, description: '' };
    const big = {
      ...long,
      pieces: [
        ...course.pieces,
        ...words.map((text, i) => ({
          ...course.pieces[0],
          id: `w${i}`,
          at: [0, -5 - i, 0],
          name: text.slice(0, 60),
        })),
      ],
    };
    const answers: { status: number; body: { error?: { code: string } } }[] = [];
    for (let i = 0; i < 6; i++) {
      const sent = Array.from({ length: 6 }, () => one.ask('POST', '/courses', { course: big }));
      answers.push(...(await Promise.all(sent)));
    }
    expect(answers.some(({ status }) => status === 201)).toBe(true);
    expect(answers.some(({ body }) => body.error?.code === 'full')).toBe(true);
    const db = await openDatabase(small.config.dataDir);
    const [{ kept }] = (await db('courses')
      .whereNot('maker', 'like', 'demo-%')
      .select(db.raw('sum(bytes + versions_bytes) as kept'))) as unknown as { kept: number }[];
    expect(kept).toBeLessThanOrEqual(1024 * 1024);
    await db.destroy();
  } finally {
    await small.remove();
  }
});

test('earlier versions count with what is kept, and make room where it is short; named ones stay', async () => {
  const small = await testServer({ makerMegabytes: 1 });
  try {
    const one = new Somebody(small.running.port);
    const { id } = (await one.ask('POST', '/courses', { course })).body;
    await one.ask('PUT', `/courses/${id}/versions/1`, { label: 'the first' });
    const db = await openDatabase(small.config.dataDir);
    // As heavy as large courses would be.
    const heavy = 40_000;
    for (let revision = 1; revision < 60; revision++) {
      const saved = await one.ask('PUT', `/courses/${id}`, {
        revision,
        course: { ...course, name: `Quay ${revision}` },
      });
      expect([revision, saved.status]).toEqual([revision, 200]);
      const more = { document: Buffer.alloc(heavy) };
      await db('versions')
        .where({ course: id, revision: revision + 1 })
        .update(more);
      await db('courses').where({ id }).increment('versions_bytes', heavy);
    }
    const versions = await db('versions').where('course', id).orderBy('revision');
    expect(versions[0]).toMatchObject({ revision: 1, label: 'the first' });
    expect(versions.length).toBeGreaterThan(20);
    expect(versions.length).toBeLessThan(30);
    await db.destroy();
  } finally {
    await small.remove();
  }
});
