import { strFromU8, unzipSync } from 'fflate';
import type { Knex } from 'knex';
import { toCourse } from '@/core/course';
import { readKit, toKit } from '@/core/edit';
import { openDatabase } from './db/open';
import { Somebody, testServer } from './testing/client';
import { runRight, walk } from './testing/courses';
import { silence } from './testing/sounds';

const course = walk();
const PASSPHRASE = 'ten stones and a lantern';

let server: Awaited<ReturnType<typeof testServer>>;
let db: Knex;
beforeAll(async () => {
  server = await testServer();
  db = await openDatabase(server.config.dataDir);
});
afterAll(async () => {
  await db.destroy();
  await server.remove();
});
const somebody = () => new Somebody(server.running.port);

/** Somebody with a name, a published course, an assembly and a recording. */
async function established(name: string) {
  const maker = somebody();
  const { id } = (await maker.ask('POST', '/courses', { course })).body;
  await maker.ask('POST', `/courses/${id}/proof`, { run: runRight(course) });
  const { slug } = (await maker.ask('POST', `/courses/${id}/publish`)).body;
  await maker.ask('POST', '/kits', { kit: toKit(course, new Set(['p1']), 'Slab') });
  await maker.send('/recordings', silence());
  await maker.ask('PUT', '/me', { name, passphrase: PASSPHRASE });
  return { maker, id, slug, name };
}
/** The same maker on one more device. */
async function elsewhere(name: string): Promise<Somebody> {
  const other = somebody();
  await other.ask('POST', '/session', { name, passphrase: PASSPHRASE });
  return other;
}
const knows = async (who: Somebody) => (await who.ask('GET', '/me')).body.known as boolean;

test('devices that are signed in are told, and ended one by one or all but this one', async () => {
  const { maker } = await established('Maura');
  const [second, third] = [await elsewhere('Maura'), await elsewhere('Maura')];
  const { devices } = (await maker.ask('GET', '/me/devices')).body;
  expect(devices).toHaveLength(3);
  expect(devices.filter(({ here }: { here: boolean }) => here)).toHaveLength(1);
  for (const { id, kind, begun } of devices) {
    // Nothing of the cookie itself.
    expect(maker.cookie + second.cookie + third.cookie).not.toContain(id);
    expect(kind).toBe('computer');
    expect(Date.now() - begun).toBeLessThan(60_000);
  }
  const own = (await second.ask('GET', '/me/devices')).body.devices.find(
    ({ here }: { here: boolean }) => here,
  );
  expect((await maker.ask('DELETE', `/me/devices/${own.id}`)).status).toBe(200);
  expect([await knows(maker), await knows(second), await knows(third)]).toEqual([
    true,
    false,
    true,
  ]);
  await maker.ask('DELETE', '/me/devices');
  expect([await knows(maker), await knows(third)]).toEqual([true, false]);
});

test('nobody sees or ends a device of another', async () => {
  const { maker } = await established('Sorley');
  const [{ id }] = (await maker.ask('GET', '/me/devices')).body.devices;
  const { maker: stranger } = await established('Wick');
  expect((await stranger.ask('DELETE', `/me/devices/${id}`)).status).toBe(404);
  expect((await somebody().ask('DELETE', `/me/devices/${id}`)).status).toBe(401);
  for (const path of ['/me/devices', '/me/data']) {
    expect((await somebody().ask('GET', path)).status).toBe(401);
  }
  expect(await knows(maker)).toBe(true);
});

test('all data is one archive of files that open here', async () => {
  const { maker, id, slug } = await established('Fenn');
  const { slug: other } = await established('Wren');
  await maker.ask('PUT', `/courses/${id}/shelf`, { folder: 'Quays', tags: ['calm'] });
  await maker.ask('PUT', `/courses/${id}/versions/1`, { label: 'the first' });
  await maker.ask('POST', `/published/${other}/reports`, { words: 'The eel is not kind.' });
  await maker.play(other, runRight(course), 'Fenn');
  await maker.ask('PUT', `/published/${other}/like`, { liked: true });
  const answer = await fetch(`http://127.0.0.1:${server.running.port}/api/me/data`, {
    headers: { cookie: maker.cookie },
  });
  expect(answer.headers.get('content-disposition')).toContain('stone-hop.zip');
  const files = unzipSync(new Uint8Array(await answer.arrayBuffer()));
  const json = (name: string) => JSON.parse(strFromU8(files[name]));
  expect(json('account.json').name).toBe('Fenn');
  const names = Object.keys(files);
  const [document] = names.filter((name) => name.endsWith(`${id}.json`));
  expect(toCourse(json(document))).toEqual(course);
  expect(json(document.replace('.json', '.run.json')).inputs).toEqual(runRight(course).inputs);
  expect(json('courses.json')).toMatchObject([{ id, folder: 'Quays', tags: ['calm'] }]);
  expect(json(document.replace('.json', '.versions.json'))).toMatchObject([{ label: 'the first' }]);
  expect(toCourse(json(document.replace('.json', '.versions/1.json')))).toEqual(course);
  expect(json('reports.json')).toMatchObject([{ slug: other, words: 'The eel is not kind.' }]);
  expect(json('attempts.json')).toMatchObject([{ slug: other }]);
  const [kit] = names.filter((name) => name.startsWith('kits/'));
  expect(readKit(strFromU8(files[kit])).name).toBe('Slab');
  expect(json('published.json')).toMatchObject([{ slug, edition: 1 }]);
  expect(json('likes.json')).toMatchObject([{ slug: other }]);
  const [run] = names.filter((name) => name.startsWith('runs/'));
  expect(json(run)).toMatchObject({ slug: other, player: 'Fenn' });
  const [sound] = names.filter((name) => name.startsWith('recordings/'));
  expect(Buffer.from(files[sound]).equals(silence())).toBe(true);
  // Nothing of anybody else.
  expect(names.join(' ')).not.toContain('wren');
});

test('who leaves is asked for the passphrase, and takes all along but what others copied', async () => {
  const { maker, id, slug, name } = await established('Gannet');
  const other = await established('Tern');
  await maker.play(other.slug, runRight(course));
  await maker.ask('PUT', `/published/${other.slug}/like`, { liked: true });
  const copy = (await other.maker.ask('POST', '/courses', { course })).body.id;
  expect((await maker.ask('DELETE', '/me', {})).status).toBe(401);
  expect((await maker.ask('DELETE', '/me', { passphrase: 'not what it is' })).status).toBe(401);
  expect(await knows(maker)).toBe(true);
  expect((await maker.ask('DELETE', '/me', { passphrase: PASSPHRASE })).status).toBe(200);

  expect(await knows(maker)).toBe(false);
  const back = await somebody().ask('POST', '/session', { name, passphrase: PASSPHRASE });
  expect(back.status).toBe(401);
  expect((await other.maker.ask('GET', `/published/${slug}`)).status).toBe(404);
  const theirs = (await other.maker.ask('GET', `/published/${other.slug}`)).body;
  expect([theirs.likes, theirs.best]).toEqual([0, []]);
  expect((await other.maker.ask('GET', `/courses/${copy}`)).body.course).toEqual(course);
  for (const [table, column] of [
    ...[['courses', 'id'] as const, ['bodies', 'course'] as const, ['versions', 'course'] as const],
    ...[['published', 'course'] as const, ['listings', 'course'] as const],
  ]) {
    expect(await db(table).where(column, id)).toEqual([]);
  }
  // The name is free again.
  expect((await somebody().ask('PUT', '/me', { name, passphrase: PASSPHRASE })).status).toBe(200);
});

test('without a name one leaves without a passphrase', async () => {
  const maker = somebody();
  await maker.ask('POST', '/courses', { course });
  expect((await maker.ask('DELETE', '/me', {})).status).toBe(200);
  expect(await knows(maker)).toBe(false);
  expect((await maker.ask('DELETE', '/me', {})).status).toBe(401);
});
