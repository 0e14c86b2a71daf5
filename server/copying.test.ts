import { copyOf, type Course } from '@/core/course';
import { movePieces } from '@/core/edit';
import { Somebody, testServer } from './testing/client';
import { runRight, walk } from './testing/courses';
import { publish, publishAgain } from './testing/publish';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);
const whole: Course = { ...walk(), mayCopy: false };
const copied = (course: Course, slug: string) =>
  copyOf(course, { name: course.name, maker: 'Isla', slug });

test('a course that its maker keeps whole is run by others and copied by the maker alone', async () => {
  const out = await publish(whole, somebody());
  const other = somebody();
  const seen = await other.see(out.slug);
  expect([seen.status, (seen.body as { course: Course }).course.mayCopy]).toEqual([200, false]);
  const course = copied(whole, out.slug);
  const answer = await other.ask('POST', '/courses', { course });
  expect([answer.status, answer.body.error?.code ?? answer.body.code]).toEqual([403, 'whole']);
  expect((await out.maker.ask('POST', '/courses', { course })).status).toBe(201);
  // What it was copied from before that is no matter: who has a copy goes on with it.
  const further = copied(course, 'somewhere-else');
  expect((await other.ask('POST', '/courses', { course: further })).status).toBe(201);
});

test('a copy is as its course is published now, and one of what is not published any more is kept', async () => {
  const out = await publish(walk(), somebody());
  const course = copied(walk(), out.slug);
  const other = somebody();
  expect((await other.ask('POST', '/courses', { course })).status).toBe(201);
  await publishAgain(out, whole, 1);
  expect((await somebody().ask('POST', '/courses', { course })).status).toBe(403);
  // Whoever took one while it could be taken apart goes on with it: another of it, or it from a file of theirs.
  expect((await other.ask('POST', '/courses', { course })).status).toBe(201);
  await publishAgain(out, walk(), 2);
  expect((await other.ask('POST', '/courses', { course })).status).toBe(201);
  const unknown = copied(walk(), 'never-there');
  expect((await other.ask('POST', '/courses', { course: unknown })).status).toBe(201);
});

/** A course of pieces of its own. */
const long = (name: string, of = 12): Course =>
  walk(
    ...(Array.from({ length: of }, (_, i) => ({
      ...{ family: 'block', at: [i, -4 - i / 2, 2 + (i % 3)], size: [1, 1 + i / 10, 1], name },
    })) as never[]),
  );

test('a copy without origin is a copy, moved or renamed, as a new course and over one’s own', async () => {
  const kept: Course = { ...long('Kept'), mayCopy: false };
  const out = await publish(kept, somebody());
  const other = somebody();
  const bare = { ...kept, mayCopy: undefined, origins: undefined, name: 'All mine' };
  const moved = movePieces(bare, new Set(bare.pieces.map(({ id }) => id)), [7, 1, 0]);
  const renamed = {
    ...bare,
    pieces: bare.pieces.map((p, i) => ({ ...p, id: `x${i}`, name: 'b' })),
  };
  const fewer = { ...bare, pieces: bare.pieces.slice(0, -2) };
  for (const course of [bare, moved, renamed, fewer]) {
    const { status, body } = await other.ask('POST', '/courses', { course });
    expect([status, body.error?.code]).toEqual([403, 'whole']);
  }
  const { id } = (await other.ask('POST', '/courses', { course: walk() })).body;
  const over = await other.ask('PUT', `/courses/${id}`, { revision: 1, course: bare });
  expect([over.status, over.body.error?.code]).toEqual([403, 'whole']);
  // Half of it is no copy, and its maker does as they like.
  const half = { ...bare, pieces: bare.pieces.slice(0, 8) };
  expect((await other.ask('PUT', `/courses/${id}`, { revision: 1, course: half })).status).toBe(
    200,
  );
  expect((await out.maker.ask('POST', '/courses', { course: bare })).status).toBe(201);
  // May it be copied again, it is.
  await publishAgain(out, { ...kept, mayCopy: undefined }, 1);
  expect((await other.ask('POST', '/courses', { course: bare })).status).toBe(201);
});

test('what was copied from a course that may be copied belongs to nobody who keeps their copy whole', async () => {
  const open = await publish(long('Open'), somebody());
  const first = copied(long('Open'), open.slug);
  const keeper = somebody();
  const { id } = (await keeper.ask('POST', '/courses', { course: { ...first, mayCopy: false } }))
    .body;
  const run = runRight(first);
  await keeper.ask('POST', `/courses/${id}/proof`, { run });
  expect((await keeper.ask('POST', `/courses/${id}/publish`)).status).toBe(200);
  expect((await somebody().ask('POST', '/courses', { course: first })).status).toBe(201);
});
