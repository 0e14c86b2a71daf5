import { Somebody, testServer } from './testing/client';
import { walk } from './testing/courses';
import { publish } from './testing/publish';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => (server = await testServer()));
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);

test.each([
  ['GET', `/published/${'a'.repeat(101)}`, 'slug'],
  ['GET', '/published/a%20b/picture', 'slug'],
  ['GET', '/courses/%00', 'id'],
  ['DELETE', '/recordings/..%2F..%2Fpasswd', 'file'],
  ['GET', `/makers/${'a'.repeat(101)}`, 'name'],
])('%s %s says that %s is wrong, and why', async (method, address, name) => {
  const who = somebody();
  await who.ask('PUT', '/me', {
    name: `Wren ${name} ${method}`,
    passphrase: 'salt on the slipway',
  });
  const { status, body } = await who.ask(method as 'GET', address);
  expect(status).toBe(400);
  expect(body.error.message).toContain(`The address is wrong: ${name} has to `);
  expect(body.error.details.places[0]).toMatch(new RegExp(`^${name}: has to `));
});

test('numbers in an address are whole, and what they count may be missing', async () => {
  const { maker, id, slug } = await publish(walk(), somebody());
  const asked = async (address: string) => (await maker.ask('GET', address)).status;
  expect(await asked(`/courses/${id}/versions/one`)).toBe(400);
  expect(await asked(`/courses/${id}/versions/-1`)).toBe(400);
  expect(await asked(`/courses/${id}/versions/999`)).toBe(404);
  expect(await asked(`/courses/${id}/notes?before=1e3`)).toBe(400);
  expect(await asked(`/courses/${id}/notes?before=5&before=6`)).toBe(400);
  expect(await asked(`/courses/${id}/notes?before=5`)).toBe(200);
  expect(await asked(`/published/${slug}?edition=1.5`)).toBe(400);
  expect(await asked(`/published/${slug}?edition=7`)).toBe(404);
  expect(await asked(`/published/${slug}?edition=1`)).toBe(200);
  expect(await asked(`/published/${slug}/runs/mine`)).toBe(400);
  expect(await asked(`/published/${slug}/runs/0`)).toBe(404);
  expect(await asked(`/published/${slug}/runs/maker`)).toBe(200);
});
