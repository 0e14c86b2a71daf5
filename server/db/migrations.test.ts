import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import createKnex from 'knex';
import { DEMO_RUNS } from '@/demo/runs';
import { configFromEnvironment } from '../base/config';
import { serve } from '../serve';
import { Somebody } from '../testing/client';
import { walk } from '../testing/courses';
import { silence } from '../testing/sounds';
import { digestOf } from '../base/digest';
import { migrationSource } from './migrations';

const course = { ...walk(), name: 'From before' };
const [{ run }] = DEMO_RUNS['salt-pan-hop'];

let dataDir: string;
beforeEach(() => {
  dataDir = mkdtempSync(path.join(tmpdir(), 'stonehop-old-'));
});
afterEach(() => rmSync(dataDir, { recursive: true, force: true }));

/** A database as it was before lists had columns of their own, with something of everything in it. */
async function layOld(): Promise<void> {
  const db = createKnex({
    client: 'better-sqlite3',
    connection: { filename: path.join(dataDir, 'stonehop.sqlite') },
    useNullAsDefault: true,
  });
  const all = await migrationSource.getMigrations([]);
  const until = all.indexOf('006_strokes') + 1;
  await db.migrate.latest({
    migrationSource: { ...migrationSource, getMigrations: async () => all.slice(0, until) },
  });
  const document = JSON.stringify(course);
  const made = Date.now();
  await db('makers').insert([
    { id: 'm1', name: 'Ìomhar', created: made },
    { id: 'm2', name: null, created: made },
  ]);
  await db('sessions').insert({ digest: digestOf('token'), maker: 'm1', created: made });
  await db('courses').insert({
    ...{ id: 'c1', maker: 'm1', revision: 2, document, hash: 'h' },
    ...{ created: made, changed: made },
  });
  for (const revision of [1, 2]) {
    await db('revisions').insert({ course: 'c1', revision, document, saved: made });
  }
  await db('published').insert({ slug: 'old', course: 'c1', document, hash: 'h', published: made });
  for (const [maker, time] of [
    ['m1', 9],
    ['m1', 7],
    ['m2', 8],
  ] as const) {
    const row = { slug: 'old', hash: 'h', maker, player: `of ${maker}`, time, made };
    await db('runs').insert({ ...row, run: JSON.stringify({ ...run, claim: time }) });
  }
  const kit = JSON.stringify({ name: 'Old bit', pieces: [1, 2, 3] });
  await db('kits').insert({ id: 'k1', maker: 'm1', document: kit, changed: made });
  await db('recordings').insert({ file: 'f.wav', maker: 'm1', data: silence(), made });
  await db.destroy();
}

test('what was kept before is all there, in the lists and by itself', async () => {
  await layOld();
  const config = {
    ...configFromEnvironment({}, path.join(__dirname, '..', '..')),
    ...{ port: 0, dataDir, webDir: null, logLevel: 'silent' },
  };
  const running = await serve(config);
  try {
    const maker = new Somebody(running.port);
    maker.cookie = 'stonehop=token';
    const body = async (at: string) => (await maker.ask('GET', at)).body;
    expect((await body('/me')).name).toBe('Ìomhar');
    const [entry] = (await body('/courses')).courses;
    expect(entry).toMatchObject({ id: 'c1', name: 'From before', pieces: 3, kind: 'point' });
    expect(entry.published).toEqual({ slug: 'old', current: true, shown: true });
    expect((await body('/courses/c1')).course).toEqual(course);
    expect((await body('/courses/c1/versions')).versions).toHaveLength(2);
    expect((await body('/courses/c1/versions/1')).course).toEqual(course);
    expect((await body('/kits')).kits).toMatchObject([{ id: 'k1', name: 'Old bit', pieces: 3 }]);
    expect((await body('/recordings')).recordings).toMatchObject([{ file: 'f.wav', bytes: 8044 }]);
    // Of each player's runs the best is left.
    const { best } = await body('/published/old?edition=1');
    expect(best.map(({ time }: { time: number }) => time)).toEqual([7, 8]);
    // Its hash is told otherwise now: to runs it is another edition, and found as such.
    expect((await body('/explore?words=before')).courses).toMatchObject([
      { slug: 'old', maker: 'Ìomhar', edition: 2, tries: 0, finishes: 0, likes: 0 },
    ]);
    // The name is taken, however it is written.
    const other = new Somebody(running.port);
    const claim = { name: 'ÌOMHAR', passphrase: 'grey seals sing' };
    expect((await other.ask('PUT', '/me', claim)).status).toBe(409);
    expect((await maker.ask('PUT', '/courses/c1', { revision: 2, course })).status).toBe(200);
  } finally {
    await running.close();
  }
});

test('a database that is up to date is left as it is', async () => {
  const config = {
    ...configFromEnvironment({}, path.join(__dirname, '..', '..')),
    ...{ port: 0, dataDir, webDir: null, logLevel: 'silent' },
  };
  const ask = async () => {
    const running = await serve(config);
    const { body } = await new Somebody(running.port).ask('GET', '/demos');
    await running.close();
    return body;
  };
  expect(await ask()).toEqual(await ask());
});
