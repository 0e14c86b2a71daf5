import { existsSync } from 'node:fs';
import { toKit } from '@/core/edit';
import path from 'node:path';
import { Somebody, testServer } from './testing/client';
import { walk } from './testing/courses';
import { publish } from './testing/publish';
import { silence } from './testing/sounds';

// What caches are told of every kind of answer: what is addressed by what it holds may be kept for ever, nothing else.

const FOR_EVER = 'public, max-age=31536000, immutable';
let server: Awaited<ReturnType<typeof testServer>>;
const web = path.join(__dirname, '..', 'dist', 'web');
beforeAll(async () => {
  server = await testServer({ webDir: existsSync(path.join(web, 'index.html')) ? web : null });
});
afterAll(() => server.remove());
const somebody = () => new Somebody(server.running.port);

test('only what is addressed by what it holds may be kept', async () => {
  const isla = somebody();
  const out = await publish(walk(), isla);
  const { body } = await isla.ask('GET', `/published/${out.slug}`);
  const { revision } = (await isla.ask('GET', `/courses/${out.id}`)).body;
  const kit = (
    await isla.ask('POST', '/kits', { kit: toKit(walk(), new Set(['p1']), 'Quay slab') })
  ).body;
  const [{ changed }] = (await isla.ask('GET', '/kits')).body.kits;
  const { file } = (await isla.send('/recordings', silence())).body;
  const preview = '/published/low-tide-steps/preview.png';
  const TABLE: [string, string][] = [
    ['/me', 'no-store'],
    ['/me/devices', 'no-store'],
    ['/me/data', 'no-store'],
    ['/health', 'no-store'],
    ['/courses', 'no-store'],
    [`/courses/${out.id}`, 'no-store'],
    [`/courses/${out.id}/versions`, 'no-store'],
    [`/courses/${out.id}/versions/1`, 'no-store'],
    [`/courses/${out.id}/notes`, 'no-store'],
    [`/courses/${out.id}/picture`, 'no-store'],
    [`/courses/${out.id}/picture?of=${revision - 1}`, 'no-store'],
    [`/courses/${out.id}/picture?of=${revision}`, FOR_EVER.replace('public', 'private')],
    ['/kits', 'no-store'],
    [`/kits/${kit.id}`, 'no-store'],
    [`/kits/${kit.id}/picture`, 'no-store'],
    [`/kits/${kit.id}/picture?of=${changed}`, FOR_EVER.replace('public', 'private')],
    ['/recordings', 'no-store'],
    [`/recordings/${file}`, FOR_EVER],
    ['/bin', 'no-store'],
    ['/demos', 'no-store'],
    ['/explore', 'no-store'],
    [`/published/${out.slug}`, 'no-store'],
    [`/published/${out.slug}?edition=1`, 'no-store'],
    [`/published/${out.slug}/documents/${body.look}`, FOR_EVER],
    [`/published/${out.slug}/documents/nothing`, 'no-store'],
    [`/published/${out.slug}/picture`, 'no-store'],
    [`/published/${out.slug}/picture?of=${body.hash}`, 'no-store'],
    [`/published/${out.slug}/picture?of=${body.look}`, FOR_EVER],
    [`/published/${out.slug}/ends`, 'no-store'],
    [`/published/${out.slug}/runs/own`, 'no-store'],
    [preview, 'no-store'],
    ['/series', 'no-store'],
    ['/series/lantern-week', 'no-store'],
    ['/makers/Isla', 'no-store'],
    ['/nothing/there', 'no-store'],
  ];
  const told: [string, string | null][] = [];
  for (const [asked] of TABLE) {
    told.push([asked, (await isla.ask('GET', asked)).headers.get('cache-control')]);
  }
  expect(told).toEqual(TABLE);
});

test('the same document has one address, another one another, and a changed look another picture', async () => {
  const isla = somebody();
  const course = walk();
  const out = await publish(course, isla);
  const look = async () => (await somebody().ask('GET', `/published/${out.slug}`)).body.look;
  const first = await look();
  // What a run feels stays as it is; what is seen changes.
  const painted = {
    ...course,
    pieces: course.pieces.map((piece, i) =>
      i === 0 ? { ...piece, look: { material: 'ice' } } : piece,
    ),
  };
  await isla.ask('PUT', `/courses/${out.id}`, {
    revision: 1,
    course: { ...painted, light: 'dusk' },
  });
  await isla.ask('PUT', `/courses/${out.id}`, {
    revision: 2,
    course: { ...course, name: 'Quay Way' },
  });
  expect((await isla.ask('POST', `/courses/${out.id}/publish`)).status).toBe(200);
  const second = await look();
  expect(second).not.toBe(first);
  const document = (of: string) => somebody().ask('GET', `/published/${out.slug}/documents/${of}`);
  expect((await document(second)).body.course.name).toBe('Quay Way');
  expect((await document(first)).status).toBe(404);
});

test('taken down it is gone for whoever looks, and is there again once it is put back', async () => {
  const isla = somebody();
  const out = await publish(walk(), isla);
  const { look } = (await isla.ask('GET', `/published/${out.slug}`)).body;
  const paths = ['', '/ends', `/documents/${look}`, `/picture?of=${look}`];
  const all = async () => {
    const answers = [];
    for (const end of paths) {
      const { status, headers } = await somebody().ask('GET', `/published/${out.slug}${end}`);
      answers.push([status, status === 200 || headers.get('cache-control')]);
    }
    return answers;
  };
  await isla.ask('PUT', `/courses/${out.id}/published`, { shown: false });
  expect(await all()).toEqual(paths.map(() => [410, 'no-store']));
  await isla.ask('PUT', `/courses/${out.id}/published`, { shown: true });
  expect(await all()).toEqual(paths.map(() => [200, true]));
});
