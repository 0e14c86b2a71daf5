import type { Course } from '@/core/course';
import type { PublishedCourse } from '@/core/protocol';
import { Somebody, testServer } from './testing/client';
import { runRight, walk } from './testing/courses';
import { publish, publishAgain } from './testing/publish';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => (server = await testServer()));
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);

const read = async (slug: string, edition?: number) =>
  (await somebody().see(slug, edition)).body as PublishedCourse;

/** The walk with its lantern so many metres on. */
const to = (x: number): Course => {
  const course = walk();
  return {
    ...course,
    pieces: course.pieces.map((p) =>
      p.family === 'lantern' ? { ...p, at: [x, 0, 0] as [number, number, number] } : p,
    ),
  };
};

test('an edition that another has taken the place of stays readable, with its own list', async () => {
  const out = await publish(to(7), somebody());
  await somebody().play(out.slug, runRight(to(7)), 'Wick');
  await publishAgain(out, to(5), 1);
  const grown = to(5);
  grown.pieces = [...grown.pieces, { id: 'p99', family: 'slab', at: [3, 0, 4] } as never];
  await publishAgain(out, grown, 2);

  const now = await read(out.slug);
  expect(now).toMatchObject({ edition: 3, newest: true, best: [], players: 0 });
  expect(now.editions.map(({ edition, changes }) => [edition, changes])).toEqual([
    [3, { added: 1, removed: 0, moved: 0, changed: 0 }],
    [2, { added: 0, removed: 0, moved: 1, changed: 0 }],
    [1, null],
  ]);
  const first = await read(out.slug, 1);
  expect(first).toMatchObject({
    edition: 1,
    newest: false,
    players: 1,
    best: [{ player: 'Wick' }],
  });
  expect(first.course.pieces.find(({ family }) => family === 'lantern')!.at).toEqual([7, 0, 0]);
  expect(first.makerTime).toBeNull();
  expect((await read(out.slug, 3)).newest).toBe(true);
});

test('what a run cannot feel makes none', async () => {
  const out = await publish(to(7), somebody());
  await publishAgain(out, { ...to(7), description: 'Now with words.' }, 1);
  const now = await read(out.slug);
  expect(now).toMatchObject({ edition: 1, course: { description: 'Now with words.' } });
  expect(now.editions).toHaveLength(1);
});

test('what is private of an edition stays so, and one that is not there is not found', async () => {
  const out = await publish({ ...to(7), notes: 'Mind the eel.' }, somebody());
  await publishAgain(out, to(5), 1);
  const { body, status } = await somebody().see(out.slug, 1);
  expect(status).toBe(200);
  expect(JSON.stringify(body)).not.toContain('eel');
  for (const [edition, status] of Object.entries({
    9: 404,
    0: 404,
    '-1': 400,
    two: 400,
    '1;drop': 400,
  })) {
    const path = `/published/${out.slug}?edition=${encodeURIComponent(edition)}`;
    expect((await somebody().ask('GET', path)).status).toBe(status);
  }
});

test('an earlier edition is removed by its maker with its runs, the one of now is not', async () => {
  const out = await publish(to(7), somebody());
  const player = somebody();
  await player.play(out.slug, runRight(to(7)));
  await publishAgain(out, to(5), 1);
  await player.play(out.slug, runRight(to(5)));
  const remove = (who: Somebody, edition: number | string) =>
    who.ask('DELETE', `/published/${out.slug}/editions/${edition}`);
  expect((await remove(player, 1)).status).toBe(404);
  expect((await remove(out.maker, 2)).body.error.code).toBe('newest');
  expect((await remove(out.maker, 9)).status).toBe(404);
  expect((await remove(out.maker, 'two')).status).toBe(400);
  expect((await remove(out.maker, 1)).status).toBe(200);
  expect((await somebody().see(out.slug, 1)).status).toBe(404);
  const now = await read(out.slug);
  expect(now.editions.map(({ edition }) => edition)).toEqual([2]);
  expect(now.best).toHaveLength(1);
  expect((await remove(out.maker, 1)).status).toBe(404);
});

test('of very many the oldest go', async () => {
  const out = await publish(to(7), somebody());
  for (let i = 1; i <= 22; i++) await publishAgain(out, to(6 - i / 10), i);
  const { editions } = await read(out.slug);
  expect(editions).toHaveLength(20);
  expect(editions[0].edition).toBe(23);
  expect((await somebody().ask('GET', `/published/${out.slug}?edition=2`)).status).toBe(404);
});
