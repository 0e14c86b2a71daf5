import { MOST_IN_SERIES, type Series } from '@/core/protocol';
import { Somebody, testServer } from './testing/client';
import { runRight, walk } from './testing/courses';
import { publish, publishAgain } from './testing/publish';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => (server = await testServer()));
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);

const named = (name: string) => ({ ...walk(), name });
const [STEPS, HOP] = ['low-tide-steps', 'salt-pan-hop'];

/** A series of somebody new, or of a maker. */
async function series(courses: readonly string[], maker = somebody(), name = 'Quay Evening') {
  const { status, body } = await maker.ask('POST', '/series', { name, courses });
  expect(status).toBe(201);
  return { maker, id: (body as Series).id };
}
const read = async (id: string, who = somebody()) =>
  (await who.ask('GET', `/series/${id}`)).body as Series;
const slugs = ({ courses }: Series) => courses.map(({ slug }) => slug);

test('a series keeps its order through every change, and only its maker changes it', async () => {
  const { maker, id } = await series([HOP, STEPS]);
  expect(slugs(await read(id))).toEqual([HOP, STEPS]);
  const written = {
    ...{ name: 'Quay Night', words: 'With a lantern.', sitting: true },
    courses: [STEPS, 'beacon-stair', HOP],
  };
  expect((await somebody().ask('PUT', `/series/${id}`, written)).status).toBe(401);
  const stranger = somebody();
  await series([], stranger);
  expect((await stranger.ask('PUT', `/series/${id}`, written)).status).toBe(404);
  expect((await stranger.ask('DELETE', `/series/${id}`)).status).toBe(404);
  expect((await maker.ask('PUT', `/series/${id}`, written)).status).toBe(200);
  const now = await read(id);
  expect(now).toMatchObject({ name: 'Quay Night', words: 'With a lantern.', sitting: true });
  expect(slugs(now)).toEqual(written.courses);
  expect(now.own).toBe(false);
  expect((await read(id, maker)).own).toBe(true);
});

test('it tells of each course the best time and one’s own, as the course is now', async () => {
  const course = named('Wick’s Quay');
  const out = await publish(course, somebody());
  const { id } = await series([out.slug]);
  expect((await read(id)).courses).toMatchObject([{ best: null, own: null }]);
  const player = somebody();
  await player.play(out.slug, runRight(course, 30));
  const other = somebody();
  await other.play(out.slug, runRight(course));
  const told = (await read(id, player)).courses[0];
  expect(told.own).toBeCloseTo(told.best! + 0.25, 1);
  expect((await read(id, other)).courses[0].own).toBe(told.best);
  expect((await read(id)).courses[0].own).toBeNull();
  // Another edition has times of its own.
  const shorter = {
    ...course,
    pieces: course.pieces.map((p) =>
      p.family === 'lantern' ? { ...p, at: [3, 0, 0] as [number, number, number] } : p,
    ),
  };
  await publishAgain(out, shorter, 1);
  expect((await read(id, player)).courses).toMatchObject([{ best: null, own: null }]);
});

test('a course that is taken down or in the bin is told of to the series’ maker only', async () => {
  const out = await publish(named('Down Quay'), somebody());
  const { maker, id } = await series([STEPS, out.slug]);
  for (const [method, path, body, again] of [
    ['PUT', `/courses/${out.id}/published`, { shown: false }, ['PUT', { shown: true }]],
    ['DELETE', `/courses/${out.id}`, undefined, ['POST', undefined]],
  ] as const) {
    await out.maker.ask(method, path, body);
    expect(slugs(await read(id))).toEqual([STEPS]);
    expect((await read(id, maker)).courses.map(({ shown }) => shown)).toEqual([true, false]);
    await out.maker.ask(again[0], again[0] === 'PUT' ? path : `${path}/restore`, again[1]);
    expect(slugs(await read(id))).toEqual([STEPS, out.slug]);
  }
});

test('what is in it has to be published, once, and of no more than so many', async () => {
  const maker = somebody();
  const asked = (courses: unknown, name: unknown = 'Quay') =>
    maker.ask('POST', '/series', { name, courses });
  expect((await asked([STEPS, 'no-such-course'])).body.error.message).toContain('no-such-course');
  expect((await asked([STEPS, STEPS])).body.error.message).toContain('twice');
  const thousand = Array.from({ length: 1000 }, (_, i) => `course-${i}`);
  expect((await asked(thousand)).body.error.message).toContain(String(MOST_IN_SERIES));
  expect((await asked([STEPS], 'Qu')).status).toBe(400);
  expect((await asked([STEPS], 'Qu\u202eay')).status).toBe(400);
  expect((await asked('all of them')).status).toBe(400);
  // Nothing of what was refused is kept.
  expect((await maker.ask('GET', '/series')).body.series).toEqual([]);
});

test('as many as it may have are told at once, in their order', async () => {
  const maker = somebody();
  const course = named('Row Quay');
  const many: string[] = [];
  for (let i = 0; i < 12; i++) many.push((await publish(course, maker)).slug);
  const { id } = await series(many.reverse(), maker);
  expect(slugs(await read(id))).toEqual(many);
  const { body } = await maker.ask('GET', '/series');
  expect(body.series).toMatchObject([{ id, name: 'Quay Evening', courses: 12, sitting: false }]);
});

test('removed it waits in the bin and comes back as it was', async () => {
  const { maker, id } = await series([HOP, STEPS]);
  expect((await maker.ask('DELETE', `/series/${id}`)).status).toBe(200);
  expect((await somebody().ask('GET', `/series/${id}`)).status).toBe(404);
  expect((await maker.ask('GET', '/bin')).body.series).toMatchObject([
    { id, name: 'Quay Evening', courses: 2 },
  ]);
  expect((await maker.ask('POST', `/series/${id}/restore`)).status).toBe(200);
  expect(slugs(await read(id))).toEqual([HOP, STEPS]);
});

test('whoever signs in brings along the series made without a name', async () => {
  const named = somebody();
  await named.ask('PUT', '/me', { name: 'Sorley', passphrase: 'salt on the slipway' });
  const { maker, id } = await series([STEPS]);
  await maker.ask('POST', '/session', { name: 'Sorley', passphrase: 'salt on the slipway' });
  expect((await read(id, named)).own).toBe(true);
  expect(await read(id)).toMatchObject({ maker: 'Sorley' });
});
