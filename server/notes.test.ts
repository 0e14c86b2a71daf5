import { MOST_NOTES, type NoteToMaker } from '@/core/protocol';
import { moderate } from './care/moderate';
import { openDatabase } from './db/open';
import { Somebody, testServer } from './testing/client';
import { walk } from './testing/courses';
import { publish, type Out } from './testing/publish';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => (server = await testServer()));
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);
const send = (who: Somebody, slug: string, words: string) =>
  who.ask('POST', `/published/${slug}/notes`, { words });
const notesOf = async ({ maker, id }: Out) =>
  (await maker.ask('GET', `/courses/${id}/notes`)).body.notes as NoteToMaker[];

test('a note is read by the course’s maker alone', async () => {
  const out = await publish(walk(), somebody());
  const player = somebody();
  await player.ask('PUT', '/me', { name: 'Wren', passphrase: 'salt on the slipway' });
  expect((await send(player, out.slug, 'The last leap <b>is</b> unfair.')).status).toBe(201);
  expect((await send(somebody(), out.slug, 'Well laid!')).status).toBe(201);
  expect(await notesOf(out)).toMatchObject([
    { by: 'Somebody', words: 'Well laid!', reported: false },
    { by: 'Wren', words: 'The last leap <b>is</b> unfair.' },
  ]);
  expect((await player.ask('GET', `/courses/${out.id}/notes`)).status).toBe(404);
  expect((await somebody().ask('GET', `/courses/${out.id}/notes`)).status).toBe(401);
  expect((await send(out.maker, out.slug, 'My own.')).status).toBe(409);
});

test('its maker removes and reports notes on it, and on nothing else', async () => {
  const [out, other] = [await publish(walk(), somebody()), await publish(walk(), somebody())];
  await send(somebody(), out.slug, 'First word');
  await send(somebody(), out.slug, 'Second word');
  const [second, first] = await notesOf(out);
  const of = ({ id }: Out, note: NoteToMaker) => `/courses/${id}/notes/${note.id}`;
  expect((await other.maker.ask('DELETE', of(other, first))).status).toBe(404);
  expect((await other.maker.ask('DELETE', of(out, first))).status).toBe(404);
  expect((await out.maker.ask('DELETE', of(out, first))).status).toBe(200);
  expect((await out.maker.ask('PUT', `${of(out, second)}/reported`)).status).toBe(200);
  expect(await notesOf(out)).toMatchObject([{ words: 'Second word', reported: true }]);

  const db = await openDatabase(server.config.dataDir);
  try {
    expect((await moderate(db, []))!.join()).toContain('Second word');
    expect(await moderate(db, ['keep-note', String(second.id)])).toEqual([
      `The note ${second.id} stays.`,
    ]);
    expect(await notesOf(out)).toMatchObject([{ reported: false }]);
    await moderate(db, ['remove-note', String(second.id)]);
    expect(await notesOf(out)).toEqual([]);
    expect(await moderate(db, ['remove-note', '99999'])).toEqual(['There is no note 99999.']);
  } finally {
    await db.destroy();
  }
});

test('whoever is blocked writes no more to any course of that maker, until they may again', async () => {
  const maker = somebody();
  const [out, second] = [await publish(walk(), maker), await publish(walk(), maker)];
  const elsewhere = await publish(walk(), somebody());
  const player = somebody();
  await send(player, out.slug, 'First word');
  const [note] = await notesOf(out);
  const path = `/courses/${out.id}/notes/${note.id}/blocked`;
  expect((await somebody().ask('PUT', path, { blocked: true })).status).toBe(401);
  expect((await elsewhere.maker.ask('PUT', path, { blocked: true })).status).toBe(404);
  expect((await maker.ask('PUT', path, { blocked: true })).status).toBe(200);
  expect(await notesOf(out)).toMatchObject([{ words: 'First word', blocked: true }]);
  const refused = await send(player, second.slug, 'Second word');
  expect([refused.status, refused.body.error.code]).toEqual([403, 'blocked']);
  expect((await send(player, elsewhere.slug, 'Another maker')).status).toBe(201);
  await maker.ask('PUT', path, { blocked: false });
  expect((await send(player, second.slug, 'Second word')).status).toBe(201);
});

test('of many notes older ones are asked for, each is told once', async () => {
  const out = await publish(walk(), somebody());
  const db = await openDatabase(server.config.dataDir);
  const [{ id: writer }] = await db('makers').where('id', 'like', 'demo-%').limit(1);
  const rows = Array.from({ length: 120 }, (_, i) => ({
    ...{ slug: out.slug, maker: writer, words: `Word ${i}`, made: i },
  }));
  await db.batchInsert('notes', rows, 50);
  await db.destroy();
  const words: string[] = [];
  for (let next: number | null = 999_999; next !== null;) {
    const { body } = await out.maker.ask('GET', `/courses/${out.id}/notes?before=${next}`);
    words.push(...body.notes.map((note: NoteToMaker) => note.words));
    next = body.next;
  }
  expect(words).toEqual(rows.map((row) => row.words).reverse());
});

test('nobody writes more of them than so many, nor what says nothing', async () => {
  const out = await publish(walk(), somebody());
  const eager = somebody();
  await send(eager, out.slug, 'The first');
  // Sent at once, no more come in than one after the other.
  const statuses = await Promise.all(
    Array.from({ length: MOST_NOTES + 3 }, (_, i) => send(eager, out.slug, `Word ${i}`)),
  ).then((answers) => answers.map(({ status }) => status));
  expect(statuses.filter((status) => status === 201)).toHaveLength(MOST_NOTES - 1);
  expect((await send(eager, out.slug, 'And one more')).status).toBe(409);
  const other = somebody();
  for (const words of ['', ' a ', 'a'.repeat(501)]) {
    expect((await send(other, out.slug, words)).status).toBe(400);
  }
  expect((await send(other, 'no-such-course', 'Hello there')).status).toBe(404);
});
