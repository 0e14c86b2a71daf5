import { copyOf, type Course } from '@/core/course';
import { Somebody, testServer } from './testing/client';
import { walk } from './testing/courses';
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
