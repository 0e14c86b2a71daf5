import { spawnSync } from 'node:child_process';
import path from 'node:path';
import type { Knex } from 'knex';
import type { Course } from '@/core/course';
import { moderate } from './care/moderate';
import { verifyAll } from './care/verifyAll';
import { openDatabase } from './db/open';
import { Somebody, testServer } from './testing/client';
import { runRight, walk } from './testing/courses';
import { publish, publishAgain } from './testing/publish';

const course = walk();
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

const out = (name = 'Quay Walk') => publish({ ...course, name }, somebody());
const report = (who: Somebody, slug: string, words: string) =>
  who.ask('POST', `/published/${slug}/reports`, { words });
const explored = async () =>
  ((await somebody().ask('GET', '/explore?words=quay')).body.courses as { slug: string }[]).map(
    ({ slug }) => slug,
  );
const best = async (slug: string) =>
  (await somebody().ask('GET', `/published/${slug}`)).body.best as {
    player: string;
    time: number;
    run: string;
  }[];

describe('reports', () => {
  test('each person has one report a course, told in a line each', async () => {
    const { slug } = await out();
    const player = somebody();
    expect((await report(player, slug, 'too short')).status).toBe(400);
    expect((await report(player, 'nothing-there', 'It is not what it says.')).status).toBe(404);
    expect((await report(player, slug, 'Its name is\nan insult.')).status).toBe(201);
    expect((await report(player, slug, 'Its name is a grave insult.')).status).toBe(201);
    await report(somebody(), slug, 'I find it rude as well.');
    const lines = (await moderate(db, []))!;
    expect(lines).toHaveLength(2);
    expect(lines.join('\n')).toContain(
      `${slug} (Quay Walk by Somebody): Its name is a grave insult.`,
    );
  });

  test('what is held down is found by nobody, and its maker cannot put it back', async () => {
    const { maker, id, slug } = await out();
    await report(somebody(), slug, 'Its name is an insult.');
    expect(await moderate(db, ['down', slug])).toEqual([`${slug} is down.`]);
    expect(await moderate(db, [])).toEqual(['No report waits.']);
    expect((await somebody().ask('GET', `/published/${slug}`)).body.error.code).toBe('held');
    expect(await explored()).toEqual([]);
    expect((await maker.ask('GET', `/courses/${id}`)).body.published.shown).toBe(false);
    const back = await maker.ask('PUT', `/courses/${id}/published`, { shown: true });
    expect([back.status, back.body.error.code]).toEqual([409, 'held']);
    // To publish it once more does not bring it back either.
    await maker.ask('POST', `/courses/${id}/publish`);
    expect((await somebody().ask('GET', `/published/${slug}`)).status).toBe(410);
    expect(await moderate(db, ['up', slug])).toEqual([`${slug} is up again.`]);
    expect(await explored()).toEqual([slug]);
  });

  test('what is not said right changes nothing', async () => {
    const { slug } = await out();
    for (const args of [['down'], ['down', slug, 'more'], ['burn', slug], ['toString', slug]]) {
      expect(await moderate(db, args)).toBeNull();
    }
    expect(await moderate(db, ['down', 'nothing'])).toEqual([
      'Nothing is published under nothing.',
    ]);
    expect(await moderate(db, ['settle', '9'])).toEqual(['There is no report 9.']);
    expect(await explored()).toEqual([slug]);
  });

  test('a run is taken off its list by the course’s maker, or by who moderates, and by nobody else', async () => {
    const { maker, slug } = await out();
    const [one, two] = [somebody(), somebody()];
    await one.play(slug, runRight(course, 3), 'Fenn');
    await two.play(slug, runRight(course, 6), 'Wick');
    const [first, second] = await best(slug);
    const remove = (who: Somebody, run: string) =>
      who.ask('DELETE', `/published/${slug}/runs/${run}`);
    expect((await remove(two, first.run)).status).toBe(404);
    expect((await remove(somebody(), first.run)).status).toBe(401);
    expect((await remove(maker, first.run)).status).toBe(200);
    expect((await remove(maker, first.run)).status).toBe(404);
    expect((await best(slug)).map(({ player }) => player)).toEqual(['Wick']);
    await moderate(db, ['remove-run', second.run]);
    expect(await best(slug)).toEqual([]);
  });
});

describe('all runs replayed', () => {
  const quiet = () => {};
  /** The demo's runs take seconds, in which the server of this process answers nobody. */
  const onlyQuays = async () => {
    await db('published').whereNot('slug', 'like', 'quay%').delete();
    await db('courses').whereNot('name', 'like', 'Quay%').update({ proof_hash: null });
  };

  test('those of an earlier edition are held against it as it was', async () => {
    await onlyQuays();
    const first = await out();
    await somebody().play(first.slug, runRight(course, 3), 'Fenn');
    const nearer: Course = {
      ...course,
      pieces: course.pieces.map((p) => (p.family === 'lantern' ? { ...p, at: [3, 0, 0] } : p)),
    };
    await publishAgain(first, nearer, 1);
    await somebody().play(first.slug, runRight(nearer, 3), 'Wick');
    const before = await verifyAll(db, 20, quiet);
    expect(before.stale).toBe(0);
    // The edition before says another time than a replay comes to: only its run is of an earlier simulation.
    await db('runs').where({ slug: first.slug, player: 'Fenn' }).update({ time: 0.5 });
    const lines: string[] = [];
    const { held, stale } = await verifyAll(db, 20, (line) => lines.push(line));
    expect([held, stale]).toEqual([before.held - 1, 1]);
    expect(lines).toEqual([expect.stringContaining('Fenn')]);
    const shown = async (edition: number) =>
      (await somebody().ask('GET', `/published/${first.slug}?edition=${edition}`)).body.best.map(
        ({ player }: { player: string }) => player,
      );
    expect([await shown(1), await shown(2)]).toEqual([[], ['Wick']]);
  });

  test('of the demo, and of what was sent in, all hold', async () => {
    const { slug } = await out();
    await somebody().play(slug, runRight(course, 3), 'Fenn');
    const { held, stale, unproved } = await verifyAll(db, 20, quiet);
    expect(held).toBeGreaterThan(5);
    expect([stale, unproved]).toEqual([0, 0]);
  });

  test('one that comes out otherwise counts for no list, is kept, and gives way to one that holds', async () => {
    await onlyQuays();
    const { maker, id, slug } = await out();
    const player = somebody();
    await player.play(slug, runRight(course, 3), 'Fenn');
    await somebody().play(slug, runRight(course, 9), 'Wick');
    const [fenn] = await best(slug);
    // As if an earlier simulation had been quicker.
    await db('runs')
      .where('id', fenn.run)
      .update({ time: fenn.time - 0.5 });
    await db('courses').where({ id }).update({ proof_time: 0.5 });
    const lines: string[] = [];
    const counts = await verifyAll(db, 20, (line) => lines.push(line));
    expect(counts).toMatchObject({ held: 1, stale: 1, unproved: 1 });
    expect(lines.join('\n')).toContain('Fenn is of an earlier simulation');
    expect((await best(slug)).map(({ player: name }) => name)).toEqual(['Wick']);
    expect(await db('runs').where({ slug })).toHaveLength(2);
    expect((await player.ask('GET', `/published/${slug}`)).body.players).toBe(1);
    const { proof } = (await maker.ask('GET', `/courses/${id}`)).body;
    expect(proof.fresh).toBe(false);
    // Slower than the one that no longer holds, and on the list all the same.
    await player.play(slug, runRight(course, 6), 'Fenn');
    expect((await best(slug)).map(({ player: name }) => name)).toEqual(['Fenn', 'Wick']);
  });

  test('one that holds again counts again', async () => {
    await onlyQuays();
    const { slug } = await out();
    await somebody().play(slug, runRight(course, 3), 'Fenn');
    const [{ run, time }] = await best(slug);
    await db('runs').where('id', run).update({ time: 1 });
    await verifyAll(db, 20, quiet);
    expect(await best(slug)).toEqual([]);
    await db('runs').where('id', run).update({ time });
    expect(await verifyAll(db, 20, quiet)).toMatchObject({ held: 1, stale: 0 });
    expect(await best(slug)).toHaveLength(1);
  });
});

test('both are commands', async () => {
  await jest.requireActual('../scripts/bundles.cjs').buildTend();
  const tend = (...args: string[]) =>
    spawnSync(process.execPath, [path.join(__dirname, '..', 'dist', 'tend.cjs'), ...args], {
      encoding: 'utf8',
      env: { ...process.env, STONEHOP_DATA: server.config.dataDir },
    });
  expect(tend('moderate').stdout).toBe('No report waits.\n');
  expect(tend('moderate', 'down')).toMatchObject({ status: 2, stdout: '' });
  await db('published').delete();
  expect(tend('verify-all').stdout).toContain('0 runs hold, 0 do not; 0 courses');
});
