import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { escaped } from '@/core/formats';
import { Somebody, testServer } from './testing/client';
import { walk } from './testing/courses';
import { publish } from './testing/publish';

const webDir = mkdtempSync(path.join(tmpdir(), 'stonehop-web-'));
const PAGE =
  '<html><head><title>Stone Hop</title><meta name="description" content="All." /></head><body></body></html>';
let server: Awaited<ReturnType<typeof testServer>>;

beforeAll(async () => {
  writeFileSync(path.join(webDir, 'index.html'), PAGE);
  server = await testServer({ webDir });
});
afterAll(async () => {
  await server.remove();
  rmSync(webDir, { recursive: true });
});

const get = (at: string) => fetch(`http://127.0.0.1:${server.running.port}${at}`);
const page = async (at: string) => (await get(at)).text();

async function out(name: string) {
  const course = { ...walk(), name };
  return { ...(await publish(course, new Somebody(server.running.port))), course };
}

/** Width and height of a PNG: the first numbers of its header (PNG, second edition, 11.2.2). */
function sizeOf(png: Buffer): [number, number] {
  expect(png.subarray(0, 8)).toEqual(Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]));
  return [png.readUInt32BE(16), png.readUInt32BE(20)];
}

test('a link shows the course: its name, a line about it and a picture', async () => {
  const { slug } = await out('Ferry Walk');
  const html = await page(`/play/${slug}`);
  expect(html).toContain('<title>Ferry Walk · Stone Hop</title>');
  expect(html).toContain('<meta property="og:title" content="Ferry Walk" />');
  expect(html).toMatch(/<meta name="description" content="by [^"]* · Point to point · \d+ m" \/>/);
  const [, address] = /og:image" content="([^"]*)"/.exec(html)!;
  expect(address).toContain(`http://127.0.0.1:${server.running.port}/api/`);
  const answer = await fetch(address);
  expect(answer.headers.get('content-type')).toBe('image/png');
  const png = Buffer.from(await answer.arrayBuffer());
  expect(sizeOf(png)).toEqual([1200, 630]);
  // Drawn once, and the same from then on.
  expect(Buffer.from(await (await fetch(address)).arrayBuffer()).equals(png)).toBe(true);
});

test('the picture is another when the course is called otherwise', async () => {
  const { maker, id, slug, course } = await out('First Name');
  const address = async () => /og:image" content="([^"]*)"/.exec(await page(`/play/${slug}`))![1];
  const before = await address();
  const first = Buffer.from(await (await fetch(before)).arrayBuffer());
  await maker.ask('PUT', `/courses/${id}`, {
    revision: 1,
    course: { ...course, name: 'Second Name' },
  });
  await maker.ask('POST', `/courses/${id}/publish`);
  const after = await address();
  expect(after).not.toBe(before);
  expect(Buffer.from(await (await fetch(after)).arrayBuffer()).equals(first)).toBe(false);
});

test('what is not there, and what was taken down, is shown as any page', async () => {
  expect(await page('/play/nothing-here')).toBe(PAGE);
  expect((await get('/api/published/nothing-here/preview.png')).status).toBe(404);
  const { maker, id, slug } = await out('Taken Away');
  await maker.ask('PUT', `/courses/${id}/published`, { shown: false });
  expect(await page(`/play/${slug}`)).toBe(PAGE);
  expect((await get(`/api/published/${slug}/preview.png`)).status).toBe(410);
});

test.each([
  '"><script>alert(1)</script>',
  '$& $1 $` </title>',
  "it's <b>bold</b> & more",
  'W'.repeat(60),
])('a course called %p is shown so and does nothing else', async (name) => {
  const { slug } = await out(name);
  const html = await page(`/play/${slug}`);
  expect(html).toContain(`<title>${escaped(name)} · Stone Hop</title>`);
  expect(html).not.toContain('<script>');
  expect(html.match(/<title>/g)).toHaveLength(1);
  const png = await get(`/api/published/${slug}/preview.png`);
  expect(sizeOf(Buffer.from(await png.arrayBuffer()))).toEqual([1200, 630]);
});

test('text that would be read as something else is written so that it is not', () => {
  expect(escaped('a\u0000b\u202ec')).toBe('a b c');
  expect(escaped(`<&>"'`)).toBe('&lt;&amp;&gt;&quot;&#39;');
});
