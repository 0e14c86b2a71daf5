import type { PublishedEnds } from '@/core/protocol';
import { Somebody, testServer } from './testing/client';
import { walk } from './testing/courses';
import { publish, publishAgain } from './testing/publish';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => (server = await testServer()));
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);

const ends = async (slug: string) =>
  (await somebody().ask('GET', `/published/${slug}/ends`)).body.ends as PublishedEnds;
async function begun(who: Somebody, slug: string): Promise<string> {
  const { attempt } = (await who.ask('POST', `/published/${slug}/attempts`)).body;
  return attempt as string;
}
const tell = (who: Somebody, slug: string, attempt: string, told: unknown) =>
  who.ask('PUT', `/published/${slug}/attempts/${attempt}/ends`, { ends: told });

test('places that are near each other count together, once an attempt', async () => {
  const { slug } = await publish(walk(), somebody());
  const player = somebody();
  const first = await begun(player, slug);
  const places = [
    [3.1, 0, 0],
    [2.4, 0.3, -0.4],
    [9, 0, 0],
  ];
  expect((await tell(player, slug, first, places)).status).toBe(200);
  expect((await tell(player, slug, first, places)).status).toBe(200);
  expect(await ends(slug)).toEqual([
    { at: [2, 0, 0], count: 1 },
    { at: [4, 0, 0], count: 1 },
    { at: [10, 0, 0], count: 1 },
  ]);
  await tell(player, slug, await begun(player, slug), [[2, 0, 0]]);
  expect((await ends(slug))[0]).toEqual({ at: [2, 0, 0], count: 2 });
});

test('only whoever began an attempt tells of it, and of what is published now', async () => {
  const out = await publish(walk(), somebody());
  const player = somebody();
  const attempt = await begun(player, out.slug);
  const other = somebody();
  await begun(other, out.slug);
  expect((await tell(other, out.slug, attempt, [[1, 0, 0]])).status).toBe(404);
  expect((await tell(somebody(), out.slug, attempt, [[1, 0, 0]])).status).toBe(401);
  const nearer = {
    ...walk(),
    pieces: walk().pieces.map((p) =>
      p.family === 'lantern' ? { ...p, at: [3, 0, 0] as [number, number, number] } : p,
    ),
  };
  await publishAgain(out, nearer, 1);
  expect((await tell(player, out.slug, attempt, [[1, 0, 0]])).status).toBe(404);
  expect(await ends(out.slug)).toEqual([]);
});

test('what is no place, or are too many, is refused', async () => {
  const { slug } = await publish(walk(), somebody());
  const player = somebody();
  const attempt = await begun(player, slug);
  const wrong = [
    ...['here', [[1, 2]], [[1, 2, null]], [[1e9, 0, 0]]],
    Array.from({ length: 21 }, () => [0, 0, 0]),
  ];
  for (const told of wrong) expect((await tell(player, slug, attempt, told)).status).toBe(400);
  expect((await tell(player, slug, attempt, [])).status).toBe(200);
  expect(await ends(slug)).toEqual([]);
});
