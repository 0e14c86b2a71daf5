import { mkdtempSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { configFromEnvironment } from './base/config';
import { testServer } from './testing/client';

const webDir = mkdtempSync(path.join(tmpdir(), 'stonehop-web-'));
let server: Awaited<ReturnType<typeof testServer>>;

beforeAll(async () => {
  mkdirSync(path.join(webDir, 'js'));
  writeFileSync(path.join(webDir, 'index.html'), '<title>Stone Hop</title>');
  writeFileSync(path.join(webDir, 'js', 'entry-0123456789abcdef0123.js'), '1');
  const packed = brotliCompressSync('1 packed');
  writeFileSync(path.join(webDir, 'js', 'entry-0123456789abcdef0123.js.br'), packed);
  server = await testServer({ webDir });
});
afterAll(async () => {
  await server.remove();
  rmSync(webDir, { recursive: true });
});

const get = (at: string) => fetch(`http://127.0.0.1:${server.running.port}${at}`);

test('every page address gets the application, a missing file does not', async () => {
  for (const at of ['/', '/course/abc?phase=tune', '/play/nothing-there']) {
    const page = await get(at);
    expect([page.status, await page.text()]).toEqual([200, '<title>Stone Hop</title>']);
    expect(page.headers.get('cache-control')).toBe('no-cache');
  }
  expect((await get('/js/entry-gone.js')).status).toBe(404);
  expect((await get('/api/gone')).status).toBe(404);
});

test('files with a hash in their name are kept for ever, and pages may load nothing from elsewhere', async () => {
  const script = await get('/js/entry-0123456789abcdef0123.js');
  expect(script.headers.get('cache-control')).toContain('immutable');
  const policy = (await get('/')).headers.get('content-security-policy')!;
  expect(policy).toContain("default-src 'self'");
  expect(policy).not.toContain('http');
  expect((await get('/')).headers.get('x-powered-by')).toBeNull();
});

test('what was packed when it was built is sent packed to who understands it', async () => {
  const at = '/js/entry-0123456789abcdef0123.js';
  const ask = (encoding: string) =>
    fetch(`http://127.0.0.1:${server.running.port}${at}`, {
      headers: { 'Accept-Encoding': encoding },
    });
  const packed = await ask('br');
  expect(packed.headers.get('content-encoding')).toBe('br');
  expect(packed.headers.get('content-type')).toContain('javascript');
  expect(packed.headers.get('cache-control')).toContain('immutable');
  expect(await packed.text()).toBe('1 packed');
  const plain = await ask('identity');
  expect(plain.headers.get('content-encoding')).toBeNull();
  expect(await plain.text()).toBe('1');
});

test('settings come from the environment, and a wrong one is said', () => {
  const read = (env: Record<string, string>) =>
    configFromEnvironment(env as unknown as NodeJS.ProcessEnv, '/srv');
  expect(read({})).toMatchObject({ port: 8080, dataDir: '/srv/data', secureCookies: false });
  expect(read({ PORT: '9000', STONEHOP_DATA: '/var/hop', STONEHOP_SECURE: '1' })).toMatchObject({
    port: 9000,
    dataDir: '/var/hop',
    secureCookies: true,
  });
  expect(() => read({ PORT: 'eighty' })).toThrow('PORT is not a whole number.');
});
