import path from 'node:path';
import createDatabase from 'better-sqlite3';
import { Somebody, testServer } from './testing/client';

test('while another program has the database one change waits for it, not ten in a row', async () => {
  const server = await testServer();
  const other = createDatabase(path.join(server.config.dataDir, 'stonehop.sqlite'));
  try {
    const people = Array.from({ length: 10 }, () => new Somebody(server.running.port));
    const like = (one: Somebody, liked: boolean) =>
      one.ask('PUT', '/published/low-tide-steps/like', { liked });
    for (const one of people) await like(one, false);
    other.exec('BEGIN IMMEDIATE');
    const begun = performance.now();
    const answers = await Promise.all(people.map((one) => like(one, true)));
    const waited = performance.now() - begun;
    expect(answers.map(({ status }) => status)).toEqual(people.map(() => 503));
    expect(answers.every(({ headers }) => Number(headers.get('retry-after')) > 0)).toBe(true);
    // Twice the patience of one; ten in a row would be ten times that.
    expect(waited).toBeLessThan(4000);
    expect((await people[0].ask('GET', '/explore')).status).toBe(200);
    other.exec('ROLLBACK');
    await new Promise((resolve) => setTimeout(resolve, 1100));
    for (const one of people) expect((await like(one, true)).body.likes).toBeGreaterThan(0);
  } finally {
    other.close();
    await server.remove();
  }
});
