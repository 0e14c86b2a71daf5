import { Somebody, testServer } from './testing/client';
import { openDatabase } from './db/open';
import { hopRight, runOf, runRight, walk } from './testing/courses';
import { publish } from './testing/publish';
import type { Course } from '@/core/course';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);

/** A course, published. */
const out = async (course: Course) => (await publish(course, somebody())).slug;
const best = async (slug: string) =>
  (await somebody().ask('GET', `/published/${slug}`)).body.best as {
    player: string;
    guest?: boolean;
    time: number;
  }[];
const course = walk();

test('of each player the best run is on the list, and only that one is kept', async () => {
  const slug = await out(course);
  const player = somebody();
  const [slow, quick, slower] = [30, 10, 60].map((rest) => runRight(course, rest));
  expect((await player.play(slug, slow, 'Orla')).body).toMatchObject({
    time: slow.claim,
    place: 1,
  });
  expect((await player.play(slug, quick, 'Orla')).body.best).toHaveLength(1);
  const last = await player.play(slug, slower, 'Orla');
  expect(last.body).toMatchObject({ time: slower.claim, place: 1 });
  expect(await best(slug)).toMatchObject([{ player: 'Orla', time: quick.claim }]);
  const db = await openDatabase(server.config.dataDir);
  expect(await db('runs').where({ slug })).toHaveLength(1);
  await db.destroy();
});

test('who was first at a time stands first, and a place counts the others', async () => {
  const slug = await out(course);
  const wander = (from: number) =>
    runOf(course, (i) => ({ x: i < 120 ? 0 : 16, jump: i >= from && i < from + 4 }));
  // The same time, in other ways.
  const runs = [1, 6, 11].map(wander);
  expect(new Set(runs.map(({ claim }) => claim)).size).toBe(1);
  const places: number[] = [];
  for (const [i, run] of runs.entries()) {
    places.push((await somebody().play(slug, run, ['Orla', 'Fenn', 'Wick'][i])).body.place);
  }
  expect(places).toEqual([1, 2, 3]);
  expect((await best(slug)).map(({ player }) => player)).toEqual(['Orla', 'Fenn', 'Wick']);
});

test('the very same run from somebody else is refused, from its player it is heard again', async () => {
  const slug = await out(course);
  const [one, thief] = [somebody(), somebody()];
  const run = hopRight(course, 5);
  const { attempt, seed } = (await one.ask('POST', `/published/${slug}/attempts`)).body;
  const sent = { run: { ...run, seed }, attempt, player: 'Orla' };
  const first = await one.ask('POST', `/published/${slug}/runs`, sent);
  const again = await one.ask('POST', `/published/${slug}/runs`, sent);
  expect([first.status, again.status]).toEqual([201, 201]);
  expect(again.body).toEqual(first.body);
  const stolen = await thief.play(slug, run, 'Fenn');
  expect([stolen.status, stolen.body.error.code]).toEqual([409, 'same-run']);
  // Nor is another's attempt of any use.
  const taken = await thief.ask('POST', `/published/${slug}/runs`, sent);
  expect(taken.body.error.code).toBe('no-attempt');
});

test('chance comes from the server: a seed of one’s own choice counts for nothing', async () => {
  const slug = await out(course);
  const player = somebody();
  const begin = async () => (await player.ask('POST', `/published/${slug}/attempts`)).body;
  const [{ attempt, seed }, other, third] = [await begin(), await begin(), await begin()];
  expect(new Set([seed, other.seed, third.seed]).size).toBe(3);
  const send = (seed: number, attempt: string, rest = 3) =>
    player.ask('POST', `/published/${slug}/runs`, {
      run: { ...runRight(course, rest), seed },
      attempt,
    });
  expect((await send((seed ^ 1) >>> 0, attempt)).body.error.code).toBe('no-attempt');
  expect((await send(seed, other.attempt)).body.error.code).toBe('no-attempt');
  expect((await send(0, 'none')).body.error.code).toBe('no-attempt');
  expect((await send(seed, attempt)).status).toBe(201);
  // An attempt is for one run.
  expect((await send(seed, attempt, 4)).body.error.code).toBe('no-attempt');
  const nobody = await somebody().ask('POST', `/published/${slug}/runs`, {
    run: { ...runRight(course, 9), seed },
    attempt: other.attempt,
  });
  expect(nobody.status).toBe(401);
});

test('no more than a few attempts are open at a time', async () => {
  const slug = await out(course);
  const player = somebody();
  const begun: { attempt: string; seed: number }[] = [];
  for (let i = 0; i < 8; i++) {
    begun.push((await player.ask('POST', `/published/${slug}/attempts`)).body);
  }
  const send = async (i: number) => {
    const run = { ...runRight(course, i), seed: begun[i].seed };
    const sent = { run, attempt: begun[i].attempt };
    return (await player.ask('POST', `/published/${slug}/runs`, sent)).status;
  };
  expect(await send(2)).toBe(409);
  expect(await send(3)).toBe(201);
  expect(await send(7)).toBe(201);
  const strict = await testServer({ attemptsPerMinute: 2 });
  try {
    const eager = new Somebody(strict.running.port);
    const statuses: number[] = [];
    for (let i = 0; i < 3; i++) {
      statuses.push((await eager.ask('POST', '/published/salt-pan-hop/attempts')).status);
    }
    expect(statuses).toEqual([201, 201, 429]);
  } finally {
    await strict.remove();
  }
});

test('nobody runs under the name of a maker, and who said it before is a guest', async () => {
  const slug = await out(course);
  for (const player of ['Morven', 'morven', 'Ｍｏｒｖｅｎ', 'Moderator']) {
    const answer = await somebody().play(slug, runRight(course, 2), player);
    expect([answer.status, answer.body.error.code]).toEqual([409, 'name-taken']);
  }
  await somebody().play(slug, runRight(course, 2), 'Sorley');
  const sorley = somebody();
  await sorley.ask('PUT', '/me', { name: 'Sorley', passphrase: 'the seals are mine' });
  const listed = async () => (await best(slug)).map(({ player, guest }) => [player, !!guest]);
  expect(await listed()).toEqual([['Sorley', true]]);
  await sorley.play(slug, runRight(course, 1));
  expect(await listed()).toEqual([
    ['Sorley', false],
    ['Sorley', true],
  ]);
});

test('a maker’s runs are checked one at a time', async () => {
  const slug = await out(course);
  const player = somebody();
  const begin = async () => (await player.ask('POST', `/published/${slug}/attempts`)).body;
  const begun = [await begin(), await begin()];
  // Long enough that both are under way at once.
  const answers = await Promise.all(
    begun.map(({ attempt, seed }, i) =>
      player.ask('POST', `/published/${slug}/runs`, {
        run: { ...runRight(course, i), inputs: [[200_000, 0, 0, 0]], seed },
        attempt,
      }),
    ),
  );
  expect(answers.map(({ status }) => status).sort()).toEqual([422, 429]);
});

describe('a run on the list', () => {
  const shown = async (who: Somebody, slug: string, run: string) =>
    who.ask('GET', `/published/${slug}/runs/${run}`);
  const listed = async (who: Somebody, slug: string) =>
    (await who.ask('GET', `/published/${slug}`)).body.best as { run?: string; own: boolean }[];

  test('is there for others to see run, unless its player says no', async () => {
    const slug = await out(course);
    const [player, other, nobody] = [somebody(), somebody(), somebody()];
    const run = runRight(course, 12);
    await player.play(slug, run, 'Orla');
    await other.play(slug, runRight(course, 20), 'Fenn');
    const [{ run: key }] = await listed(nobody, slug);
    for (const who of [player, other, nobody]) {
      const { status, body } = await shown(who, slug, key!);
      expect([status, body.run.inputs]).toEqual([200, run.inputs]);
    }
    expect((await player.ask('PUT', `/published/${slug}/runs/own`, { open: false })).status).toBe(
      200,
    );
    for (const who of [other, nobody]) {
      expect((await shown(who, slug, key!)).status).toBe(404);
      // The time stays; the other's run stays to be seen.
      expect((await listed(who, slug)).map((row) => row.run !== undefined)).toEqual([false, true]);
    }
    expect((await shown(player, slug, key!)).status).toBe(200);
    await player.ask('PUT', `/published/${slug}/runs/own`, { open: true });
    expect((await shown(nobody, slug, key!)).status).toBe(200);
  });

  test('sent in as not to be seen is not, from the first', async () => {
    const slug = await out(course);
    const player = somebody();
    const { attempt, seed } = (await player.ask('POST', `/published/${slug}/attempts`)).body;
    const sent = { run: { ...runRight(course, 9), seed }, attempt, player: 'Wick', open: false };
    expect((await player.ask('POST', `/published/${slug}/runs`, sent)).status).toBe(201);
    expect((await listed(somebody(), slug))[0].run).toBeUndefined();
    expect((await listed(player, slug))[0].run).toBeDefined();
  });

  test('is asked for by its course and its number, and nothing else finds one', async () => {
    const [slug, elsewhere] = [await out(course), await out(course)];
    await somebody().play(slug, runRight(course, 14), 'Orla');
    const [{ run: key }] = await listed(somebody(), slug);
    for (const [where, asked, status] of [
      [elsewhere, key!, 404],
      [slug, '0', 404],
      [slug, '-1', 400],
      [slug, 'NaN', 400],
      [slug, `${key} or 1`, 400],
      [slug, '99999999999999999999', 400],
      ['nowhere', key!, 404],
    ] as const) {
      const answer = await shown(somebody(), where, encodeURIComponent(asked));
      expect([asked, answer.status]).toEqual([asked, status]);
    }
    const stranger = somebody();
    expect((await stranger.ask('PUT', `/published/${slug}/runs/own`, { open: false })).status).toBe(
      401,
    );
    await stranger.ask('POST', '/courses', { course });
    expect((await stranger.ask('PUT', `/published/${slug}/runs/own`, { open: false })).status).toBe(
      404,
    );
    expect((await shown(somebody(), slug, key!)).status).toBe(200);
  });

  test('the maker’s own is there as long as it is of the course as it is published', async () => {
    const maker = somebody();
    const { id } = (await maker.ask('POST', '/courses', { course })).body;
    const proof = runRight(course);
    await maker.ask('POST', `/courses/${id}/proof`, { run: proof });
    const { slug } = (await maker.ask('POST', `/courses/${id}/publish`)).body;
    const page = await somebody().ask('GET', `/published/${slug}`);
    expect(page.body.makerTime).toBe(proof.claim);
    expect((await shown(somebody(), slug, 'maker')).body.run.inputs).toEqual(proof.inputs);
    // Proven anew after a change, it is a run of another edition than the one that is out.
    const pieces = course.pieces.map((piece) =>
      piece.family === 'lantern'
        ? { ...piece, at: [piece.at[0] - 1, ...piece.at.slice(1)] }
        : piece,
    );
    const changed = { ...course, pieces } as Course;
    for (const [method, path, body] of [
      ['PUT', `/courses/${id}`, { revision: 1, course: changed }],
      ['POST', `/courses/${id}/proof`, { run: runRight(changed) }],
    ] as const) {
      expect((await maker.ask(method, path, body)).status).toBe(200);
    }
    expect((await shown(somebody(), slug, 'maker')).status).toBe(404);
    expect((await somebody().ask('GET', `/published/${slug}`)).body.makerTime).toBeNull();
  });
});

describe('a list of many', () => {
  /** So many other players' runs, each a tenth of a second slower, with some of one time. */
  async function filled(slug: string, count: number): Promise<void> {
    const db = await openDatabase(server.config.dataDir);
    const { hash } = await db('published').where({ slug }).first('hash');
    await db('makers').insert(
      Array.from({ length: count }, (_, i) => ({ id: `${slug} ${i}`, created: 1 })),
    );
    const rows = Array.from({ length: count }, (_, i) => ({
      ...{ slug, hash, maker: `${slug} ${i}`, player: `P${i}`, player_key: `p${i}` },
      ...{ time: 2.5 + Math.floor(i / 2) / 10, strokes: 0, run: '{}', open: 1, made: i },
      inputs: String(i),
    }));
    await db.batchInsert('runs', rows, 50);
    await db.destroy();
  }
  const told = async (slug: string, who: Somebody) =>
    (await who.ask('GET', `/published/${slug}`)).body as {
      best: { place: number; player: string; time: number; own: boolean }[];
      players: number;
      spread: { from: number; to: number; counts: number[] } | null;
    };

  test('who stands further down sees the first three and those about, in their order', async () => {
    const slug = await out(course);
    await filled(slug, 40);
    const player = somebody();
    const run = runRight(course, 300);
    await player.play(slug, run, 'Fenn');
    const { best: rows, players } = await told(slug, player);
    const before = Array.from({ length: 40 }, (_, i) => 2.5 + Math.floor(i / 2) / 10).filter(
      (time) => time <= run.claim,
    ).length;
    expect(before).toBeGreaterThan(5);
    expect(rows.map(({ place }) => place)).toEqual([1, 2, 3, before, before + 1, before + 2]);
    expect(rows.map(({ own }) => own)).toEqual([false, false, false, false, true, false]);
    expect([...rows].sort((a, b) => a.time - b.time)).toEqual(rows);
    expect(players).toBe(41);
    // Somebody else sees the first five.
    expect((await told(slug, somebody())).best.map(({ place }) => place)).toEqual([1, 2, 3, 4, 5]);
  });

  test('of the very last there is nobody after it', async () => {
    const slug = await out(course);
    await filled(slug, 6);
    const player = somebody();
    await player.play(slug, runRight(course, 600), 'Wick');
    expect((await told(slug, player)).best.map(({ place }) => place)).toEqual([1, 2, 3, 6, 7]);
  });

  test('how the times spread counts everybody once, from the first time on', async () => {
    const slug = await out(course);
    await filled(slug, 5);
    expect(await told(slug, somebody())).toMatchObject({ players: 5, spread: null });
    const other = await out(course);
    await filled(other, 300);
    const { players, spread } = await told(other, somebody());
    expect(players).toBe(300);
    expect(spread!.from).toBe(2.5);
    // Three times the best: the slower ones count with the last part.
    expect(spread!.to).toBe(7.5);
    expect(spread!.counts).toHaveLength(18);
    expect(spread!.counts.reduce((sum, n) => sum + n, 0)).toBe(300);
    const width = (spread!.to - spread!.from) / 18;
    const first = Array.from({ length: 300 }, (_, i) => Math.floor(i / 2) / 10).filter(
      (t) => t < width,
    ).length;
    expect(spread!.counts[0]).toBe(first);
  });
});
