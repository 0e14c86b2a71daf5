import type { CourseFound, MakerPage } from '@/core/protocol';
import { Somebody, testServer } from './testing/client';
import { runRight, walk } from './testing/courses';
import { publish } from './testing/publish';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => (server = await testServer()));
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);

async function maker(name: string): Promise<Somebody> {
  const who = somebody();
  await who.ask('PUT', '/me', { name, passphrase: 'salt on the slipway' });
  return who;
}
const pageOf = async (name: string, who = somebody()) =>
  (await who.ask('GET', `/makers/${encodeURIComponent(name)}`)).body as MakerPage;
const follow = (who: Somebody, name: string, followed: boolean) =>
  who.ask('PUT', `/makers/${encodeURIComponent(name)}/follow`, { followed });
const explored = async (query: string, who: Somebody) =>
  ((await who.ask('GET', `/explore?${query}`)).body.courses as CourseFound[]).map(
    ({ name }) => name,
  );

test('a maker’s page tells of what is up, how it is run, and their series', async () => {
  const maura = await maker('Maura');
  const course = { ...walk(), name: 'Gull Ledges' };
  const { slug } = await publish(course, maura);
  const down = await publish({ ...walk(), name: 'Eel Run' }, maura);
  await maura.ask('PUT', `/courses/${down.id}/published`, { shown: false });
  await somebody().play(slug, runRight(course));
  await maura.ask('POST', '/series', { name: 'Ledges', courses: [slug] });
  expect(await pageOf('maura')).toMatchObject({
    ...{ name: 'Maura', courses: 1, tries: 1, finishes: 1, followers: 0 },
    ...{ followed: false, own: false, series: [{ name: 'Ledges', courses: 1 }] },
  });
  expect((await pageOf('Maura', maura)).own).toBe(true);
  expect(await explored('maker=Maura', somebody())).toEqual(['Gull Ledges']);
  expect((await somebody().ask('GET', '/makers/Nobody')).status).toBe(404);
});

test('who follows is counted once, finds what those they follow made, and may end it', async () => {
  const fenn = await maker('Fenn');
  await publish({ ...walk(), name: 'Weir Hop' }, fenn);
  const fan = somebody();
  expect((await follow(fan, 'fenn', true)).body).toEqual({ followers: 1 });
  expect((await follow(fan, 'Fenn', true)).body).toEqual({ followers: 1 });
  expect((await follow(somebody(), 'Fenn', true)).body).toEqual({ followers: 2 });
  expect((await follow(fenn, 'Fenn', true)).status).toBe(409);
  expect((await pageOf('Fenn', fan)).followed).toBe(true);
  expect(await explored('followed=yes', fan)).toEqual(['Weir Hop']);
  expect(await explored('followed=yes', somebody())).toEqual([]);
  expect((await follow(fan, 'Fenn', false)).body).toEqual({ followers: 1 });
  expect(await explored('followed=yes', fan)).toEqual([]);
  expect((await follow(fan, 'Nobody', true)).status).toBe(404);
});

test('who leaves is followed by nobody, and follows nobody', async () => {
  const wren = await maker('Wren');
  const fan = await maker('Wick');
  await follow(fan, 'Wren', true);
  await follow(wren, 'Wick', true);
  await wren.ask('DELETE', '/me', { passphrase: 'salt on the slipway' });
  expect((await somebody().ask('GET', '/makers/Wren')).status).toBe(404);
  expect((await pageOf('Wick')).followers).toBe(0);
});
