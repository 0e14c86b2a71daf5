import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliDecompressSync } from 'node:zlib';
import { CORE_VERSION, courseHash, type Run } from '@/core/run';
import { DEMO_RUNS } from '@/demo/runs';
import { configFromEnvironment } from './base/config';
import { openDatabase } from './db/open';
import { serve, type Running } from './serve';
import { Somebody } from './testing/client';
import { runRight } from './testing/courses';

// Databases as earlier releases left them, made by their own code: a maker with a named account, a course of two
// versions that is proved, published and has private notes, two players with a run each, in some of them the demo
// and another maker whose name compares equal now.

const RELEASES = path.join(__dirname, 'testing', 'releases');
const names = readdirSync(RELEASES).sort();
if (names.length < 13) throw new Error('Databases of earlier releases are missing.');

let dataDir: string;
let running: Running;
const begin = async (release: string, lines: string[]) => {
  dataDir = mkdtempSync(path.join(tmpdir(), 'stonehop-upgrade-'));
  mkdirSync(dataDir, { recursive: true });
  const packed = readFileSync(path.join(RELEASES, release));
  writeFileSync(path.join(dataDir, 'stonehop.sqlite'), brotliDecompressSync(packed));
  running = await serve(
    {
      ...configFromEnvironment({}, path.join(__dirname, '..')),
      ...{
        port: 0,
        dataDir,
        webDir: null,
        difficultyTries: 0,
        inRealTime: false,
        warm: false,
        patience: 20,
      },
    },
    { write: (line: string) => void lines.push(line) },
  );
};
afterEach(async () => {
  await running?.close();
  rmSync(dataDir, { recursive: true, force: true });
});
const somebody = () => new Somebody(running.port);

test.each(names)(
  'what %s left is signed in to, opened, saved, published, run and listed',
  async (release) => {
    const lines: string[] = [];
    await begin(release, lines);
    const isla = somebody();
    const signIn = (who: Somebody, name: string, passphrase: string) =>
      who.ask('POST', '/session', { name, passphrase });
    expect((await signIn(isla, 'Isla Bay', 'not her passphrase')).status).toBe(401);
    expect((await signIn(isla, 'Isla Bay', 'kelp lantern ferry')).body.name).toBe('Isla Bay');
    const [listed] = (await isla.ask('GET', '/courses')).body.courses;
    expect(listed).toMatchObject({ name: 'Quay Walk Two', proof: { fresh: true } });
    const { course, revision, proof } = (await isla.ask('GET', `/courses/${listed.id}`)).body;
    expect(course.notes).toContain('eel');
    expect([proof.run.core, proof.run.course]).toEqual([CORE_VERSION, courseHash(course)]);
    const versions = (await isla.ask('GET', `/courses/${listed.id}/versions`)).body.versions;
    expect(versions.map((one: { revision: number }) => one.revision)).toEqual([2, 1]);

    // What others see has nothing that is private, and takes runs before anybody proved it anew.
    const { slug } = listed.published;
    const seen = (await somebody().see(slug)).body;
    expect(seen.course.name).toBe('Quay Walk Two');
    expect(JSON.stringify(seen)).not.toContain('eel');
    expect(seen.hash).toBe(courseHash(seen.course));
    const player = somebody();
    const sent = await player.play(slug, runRight(seen.course, 1), 'Corrie');
    expect([sent.status, sent.body.error]).toEqual([201, undefined]);
    const { best } = (await player.ask('GET', `/published/${slug}`)).body;
    expect(best.map((row: { player: string }) => row.player)).toContain('Corrie');

    const saved = await isla.ask('PUT', `/courses/${listed.id}`, {
      revision,
      course: { ...course, name: 'Quay Walk Three' },
    });
    expect(saved.status).toBe(200);
    expect((await isla.ask('POST', `/courses/${listed.id}/publish`)).body.slug).toBe(slug);
    expect((await somebody().see(slug)).body.course.name).toBe('Quay Walk Three');
    expect((await somebody().ask('GET', '/explore?words=Quay')).body.courses).toHaveLength(1);

    // Started once more there is nothing to be done.
    expect(lines.filter((line) => /"level":(50|60)/.test(line))).toEqual([]);
  },
);

/** All that a database is made of: columns, keys, indexes and triggers. */
async function formOf(folder: string): Promise<string[]> {
  const db = await openDatabase(folder);
  const parts: string[] = [];
  const all = await db('sqlite_master').whereNot('name', 'like', 'sqlite_%');
  for (const { type, name, sql } of all) {
    if (type !== 'table' && type !== 'index') parts.push(`${type} ${sql}`);
    const pragmas = type === 'index' ? ['index_info'] : ['table_info', 'foreign_key_list'];
    for (const pragma of pragmas) {
      for (const row of await db.raw(`pragma ${pragma}('${name}')`)) {
        // Where a column stands among others is of no account.
        const { cid: _, seq: __, id: ___, ...told } = row as Record<string, unknown>;
        parts.push(`${name} ${JSON.stringify(told)}`);
      }
    }
  }
  await db.destroy();
  return parts.sort();
}

test.each(names)('what %s left has the form of a new database in the end', async (release) => {
  const fresh = mkdtempSync(path.join(tmpdir(), 'stonehop-fresh-'));
  const form = await formOf(fresh);
  rmSync(fresh, { recursive: true, force: true });
  await begin(release, []);
  expect(form.length).toBeGreaterThan(100);
  expect(await formOf(dataDir)).toEqual(form);
});

test.each(['05-recordings', '08-keeping', '14-care', '15-together'])(
  'the demo of %s has the proofs and runs of now, and its courses take runs',
  async (release) => {
    await begin(`${release}.sqlite.br`, []);
    const { demos } = (await somebody().ask('GET', '/demos')).body;
    expect(demos.length).toBeGreaterThan(4);
    const { course, hash, best, makerTime } = (await somebody().see('salt-pan-hop')).body;
    expect(hash).toBe(courseHash(course));
    const [proof, ...runs] = DEMO_RUNS['salt-pan-hop'];
    expect(makerTime).toBe(proof.run.claim);
    expect(best.length).toBeGreaterThanOrEqual(runs.length);
    const shown = (await somebody().ask('GET', '/published/salt-pan-hop/runs/maker')).body
      .run as Run;
    expect(shown.core).toBe(CORE_VERSION);
  },
);

test('two whose names compare equal now are told apart, and both get in by what they were called', async () => {
  await begin('05-recordings.sqlite.br', []);
  const [one, other] = [somebody(), somebody()];
  const enter = (who: Somebody, name: string, passphrase: string) =>
    who.ask('POST', '/session', { name, passphrase });
  expect((await enter(one, 'Isla Bay', 'kelp lantern ferry')).body.name).toBe('Isla Bay');
  const second = await enter(other, 'Isla-Bay', 'grey seals sing twice');
  expect([second.status, second.body.name]).toEqual([200, 'Isla-Bay 2']);
  await other.ask('DELETE', '/session');
  expect((await enter(other, 'Isla-Bay 2', 'grey seals sing twice')).status).toBe(200);
  expect((await enter(somebody(), 'Isla-Bay', 'neither of the two')).status).toBe(401);
});
