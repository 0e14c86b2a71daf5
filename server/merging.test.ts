import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import fc from 'fast-check';
import type { Knex } from 'knex';
import { mergeMakers } from './api/merging';
import { configFromEnvironment } from './base/config';
import { openDatabase } from './db/open';
import { seedDemo } from './care/seed';
import { Limits } from './api/limits';

// Whoever signs in brings along all they did before, and of two of a kind the better.

let folder: string;
let db: Knex;
let limits: Limits;
let slugs: string[];
let makers: string[];

beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'stonehop-merging-'));
  db = await openDatabase(folder);
  await seedDemo(db);
  limits = new Limits({ ...configFromEnvironment({}, folder), makerMegabytes: 1 });
  slugs = await db('published').pluck('slug');
  makers = await db('makers').pluck('id');
});
afterAll(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
});

interface History {
  readonly runs: readonly { slug: number; hash: number; time: number; stale: boolean }[];
  readonly likes: readonly number[];
  readonly follows: readonly number[];
  readonly blocks: readonly number[];
  readonly reports: readonly { slug: number; made: number }[];
  readonly keeps: readonly { file: number; deleted: boolean }[];
  readonly attempts: number;
  readonly notes: number;
  readonly series: number;
  readonly kits: number;
  readonly courses: number;
}

const some = (most: number) => fc.uniqueArray(fc.nat(most), { maxLength: 4 });
const few = fc.nat(3);
const HISTORY: fc.Arbitrary<History> = fc.record({
  runs: fc.uniqueArray(
    fc.record({
      slug: fc.nat(3),
      hash: fc.nat(1),
      time: fc.integer({ min: 1, max: 5 }),
      stale: fc.boolean(),
    }),
    { maxLength: 6, selector: ({ slug, hash }) => `${slug} ${hash}` },
  ),
  likes: some(5),
  follows: some(4),
  blocks: some(4),
  reports: fc.uniqueArray(fc.record({ slug: fc.nat(3), made: fc.nat(9) }), {
    maxLength: 4,
    selector: ({ slug }) => slug,
  }),
  keeps: fc.uniqueArray(fc.record({ file: fc.nat(3), deleted: fc.boolean() }), {
    maxLength: 4,
    selector: ({ file }) => file,
  }),
  attempts: few,
  notes: few,
  series: few,
  kits: few,
  courses: few,
});

let made = 0;
const name = () => `t${made++}`;

async function live(maker: string, one: History): Promise<void> {
  for (const { slug, hash, time, stale } of one.runs) {
    await db('runs').insert({
      ...{ slug: slugs[slug], hash: `h${hash}`, maker, player: 'Tam', player_key: 'tam', time },
      ...{ strokes: 0, run: '{}', inputs: name(), open: 1, made: made, stale: stale ? 1 : 0 },
    });
  }
  for (const i of one.likes) await db('likes').insert({ slug: slugs[i], maker, made: 1 });
  for (const i of one.follows) {
    await db('follows').insert({ maker: makers[i], follower: maker, made: 1 });
  }
  for (const i of one.blocks) await db('blocks').insert({ maker, blocked: makers[i], made: 1 });
  for (const { slug, made: at } of one.reports) {
    await db('reports').insert({ slug: slugs[slug], maker, words: `${at}`, made: at });
  }
  for (const { file, deleted } of one.keeps) {
    await db('recordings')
      .insert({ file: `f${file}`, data: Buffer.alloc(1), made: 1 })
      .onConflict()
      .ignore();
    const row = { file: `f${file}`, maker, bytes: 1, made: 1, deleted: deleted ? 5 : null };
    await db('keeps').insert(row);
  }
  for (let i = 0; i < one.attempts; i++) {
    await db('attempts').insert({
      id: name(),
      slug: slugs[0],
      maker,
      hash: 'h',
      seed: 1,
      given: 1,
    });
  }
  for (let i = 0; i < one.notes; i++) {
    await db('notes').insert({ slug: slugs[0], maker, words: name(), made: 1 });
  }
  for (let i = 0; i < one.series; i++) {
    await db('series').insert({ id: name(), maker, name: 'S', words: '', sitting: 0, changed: 1 });
  }
  for (let i = 0; i < one.kits; i++) {
    await db('kits').insert({ id: name(), maker, document: '{}', changed: 1, bytes: 10 });
  }
  for (let i = 0; i < one.courses; i++) {
    const row = { id: name(), maker, revision: 1, hash: 'h', created: 1, changed: 1, bytes: 10 };
    await db('courses').insert(row);
  }
}

const maker = async () => {
  const id = name();
  await db('makers').insert({ id, created: 1 });
  return id;
};
const rows = (table: string, of: string, one: string, column: string): Promise<string[]> =>
  db(table).where(of, one).pluck(column);
const union = (a: readonly number[], b: readonly number[]) => [...new Set([...a, ...b])].sort();

test('after any two histories there is one maker with all of both', async () => {
  await fc.assert(
    fc.asyncProperty(HISTORY, HISTORY, async (a, b) => {
      const [from, to] = [await maker(), await maker()];
      await live(from, a);
      await live(to, b);
      await db.transaction((trx) => mergeMakers(trx, limits, from, to));

      expect((await rows('likes', 'maker', to, 'slug')).sort()).toEqual(
        union(a.likes, b.likes)
          .map((i) => slugs[i])
          .sort(),
      );
      expect((await rows('follows', 'follower', to, 'maker')).sort()).toEqual(
        union(a.follows, b.follows)
          .map((i) => makers[i])
          .sort(),
      );
      expect(await rows('blocks', 'maker', to, 'blocked')).toHaveLength(
        union(a.blocks, b.blocks).length,
      );
      for (const slug of [0, 1, 2, 3]) {
        const latest = [...a.reports, ...b.reports]
          .filter((one) => one.slug === slug)
          .map((one) => one.made);
        const kept = await db('reports').where({ maker: to, slug: slugs[slug] }).pluck('made');
        expect(kept).toEqual(latest.length === 0 ? [] : [Math.max(...latest)]);
        for (const hash of [0, 1]) {
          const both = [...a.runs, ...b.runs].filter((r) => r.slug === slug && r.hash === hash);
          const holding = both.filter(({ stale }) => !stale);
          const times = (holding.length > 0 ? holding : both).map(({ time }) => time);
          const left = await db('runs')
            .where({ maker: to, slug: slugs[slug], hash: `h${hash}` })
            .select('time', 'stale');
          expect(left).toHaveLength(both.length > 0 ? 1 : 0);
          if (holding.length > 0) expect(left[0]).toEqual({ time: Math.min(...times), stale: 0 });
        }
      }
      for (const file of [0, 1, 2, 3]) {
        const both = [...a.keeps, ...b.keeps].filter((keep) => keep.file === file);
        const left = await db('keeps').where({ maker: to, file: `f${file}` });
        expect(left).toHaveLength(both.length > 0 ? 1 : 0);
        if (both.some(({ deleted }) => !deleted)) expect(left[0].deleted).toBeNull();
      }
      for (const table of ['attempts', 'notes', 'series', 'kits', 'courses'] as const) {
        expect(await db(table).where({ maker: to })).toHaveLength(a[table] + b[table]);
      }
      const counted = await db('listings').select('slug', 'likes');
      for (const { slug, likes } of counted) {
        expect(await db('likes').where({ slug })).toHaveLength(likes);
      }
      // Nothing is left of who is gone, wherever makers are named.
      expect(await db('makers').where({ id: from })).toEqual([]);
      const tables = await db('sqlite_master').where({ type: 'table' }).pluck('name');
      for (const table of tables) {
        const { maker: named } = await db(table).columnInfo();
        if (named) expect(await db(table).where({ maker: from })).toEqual([]);
      }
    }),
    { numRuns: 30 },
  );
}, 120_000);

test('likes of what is one’s own by then are gone, and nobody follows themselves', async () => {
  const [from, to] = [await maker(), await maker()];
  const [course] = await db('courses').pluck('id');
  const { maker: owner } = await db('courses').where({ id: course }).first('maker');
  await db('courses').where({ id: course }).update({ maker: to });
  const { slug } = await db('published').where({ course }).first('slug');
  await db('likes').insert({ slug, maker: from, made: 1 });
  await db('follows').insert({ maker: to, follower: from, made: 1 });
  await db.transaction((trx) => mergeMakers(trx, limits, from, to));
  expect(await db('likes').where({ slug, maker: to })).toEqual([]);
  expect(await db('follows').where({ follower: to })).toEqual([]);
  await db('courses').where({ id: course }).update({ maker: owner });
});

test('both together may not be more than is kept for one maker, and nothing has happened then', async () => {
  const [from, to] = [await maker(), await maker()];
  const big = { revision: 1, hash: 'h', created: 1, changed: 1, bytes: 700_000 };
  await db('courses').insert({ id: name(), maker: from, ...big });
  await db('courses').insert({ id: name(), maker: to, ...big });
  await db('likes').insert({ slug: slugs[1], maker: from, made: 1 });
  const merge = db.transaction((trx) => mergeMakers(trx, limits, from, to));
  await expect(merge).rejects.toMatchObject({ status: 409, code: 'full' });
  expect(await db('likes').where({ maker: from })).toHaveLength(1);
  expect(await db('makers').where({ id: from })).toHaveLength(1);
});
