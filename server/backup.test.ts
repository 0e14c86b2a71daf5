import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { backUp, restore } from './care/backup';
import { configFromEnvironment } from './base/config';
import { serve } from './serve';
import { Somebody, testServer } from './testing/client';
import { walk } from './testing/courses';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'stonehop-backup-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const saves = async (who: Somebody, id: string, from: number, to: number) => {
  for (let revision = from; revision < to; revision++) {
    const course = { ...walk(), name: `Quay ${revision + 1}` };
    expect((await who.ask('PUT', `/courses/${id}`, { revision, course })).status).toBe(200);
  }
};

test('a copy made while others save has all that was acknowledged before, and is served as it is', async () => {
  const server = await testServer();
  const file = path.join(folder, 'copy.sqlite');
  const isla = new Somebody(server.running.port);
  const { id } = (await isla.ask('POST', '/courses', { course: walk() })).body;
  await saves(isla, id, 1, 6);
  const others = Array.from({ length: 4 }, async () => {
    const one = new Somebody(server.running.port);
    const made = (await one.ask('POST', '/courses', { course: walk() })).body;
    await saves(one, made.id, 1, 15);
  });
  expect(await backUp(server.config.dataDir, file)).toBeGreaterThan(100_000);
  await saves(isla, id, 6, 9);
  await Promise.all(others);
  await server.remove();

  const dataDir = path.join(folder, 'data');
  const config = { ...configFromEnvironment({}, path.join(__dirname, '..')), dataDir };
  const started = () =>
    serve({ ...config, port: 0, webDir: null, logLevel: 'silent', difficultyTries: 0 });
  // Over a database that is there, which is kept.
  const before = await started();
  const tam = new Somebody(before.port);
  await tam.ask('POST', '/courses', { course: { ...walk(), name: 'Before' } });
  await before.close();
  const kept = await restore(dataDir, file);
  expect(kept && existsSync(kept)).toBe(true);
  const after = await started();
  const back = new Somebody(after.port);
  back.cookie = isla.cookie;
  const { revision, course } = (await back.ask('GET', `/courses/${id}`)).body;
  expect(revision).toBeGreaterThanOrEqual(6);
  expect(course.name).toBe(`Quay ${revision}`);
  await saves(back, id, revision, revision + 2);
  const gone = new Somebody(after.port);
  gone.cookie = tam.cookie;
  expect((await gone.ask('GET', '/me')).body.known).toBe(false);
  await after.close();
  // And back again to what was there.
  await restore(dataDir, kept!);
  const again = await started();
  const tamAgain = new Somebody(again.port);
  tamAgain.cookie = tam.cookie;
  expect((await tamAgain.ask('GET', '/courses')).body.courses[0].name).toBe('Before');
  await again.close();
});

test('what is no whole database is refused, and nothing is changed by it', async () => {
  const server = await testServer();
  const { dataDir } = server.config;
  const file = path.join(folder, 'copy.sqlite');
  await expect(backUp(path.join(folder, 'none'), file)).rejects.toThrow('There is no database');
  await expect(restore(dataDir, file)).rejects.toThrow('There is no file');
  writeFileSync(file, 'not a database, however long it goes on '.repeat(200));
  await expect(restore(dataDir, file)).rejects.toThrow('no whole database');
  await backUp(dataDir, file);
  const whole = readFileSync(file);
  writeFileSync(file, whole.subarray(0, whole.length / 2));
  await expect(restore(dataDir, file)).rejects.toThrow('no whole database');
  expect((await new Somebody(server.running.port).ask('GET', '/demos')).status).toBe(200);
  await server.remove();
});
