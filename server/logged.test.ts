import { openDatabase } from './db/open';
import { Somebody, testServer } from './testing/client';
import { walk } from './testing/courses';

// What the running server writes, through the routes and their errors: not what its logger would write by itself.

test('at its most talkative the log holds no cookie, no passphrase and no value of a statement', async () => {
  const lines: string[] = [];
  const server = await testServer(
    { logLevel: 'debug' },
    { write: (line: string) => void lines.push(line) },
  );
  try {
    const isla = new Somebody(server.running.port);
    const secrets = ['a very long passphrase of hers', 'Private name of hers'];
    const { id } = (await isla.ask('POST', '/courses', { course: walk() })).body;
    await isla.ask('PUT', '/me', { name: 'Isla', passphrase: secrets[0] });
    await isla.ask('GET', `/courses?secret=${encodeURIComponent(secrets[1])}`);
    await isla.ask('PUT', '/me', { name: 'Isla', passphrase: secrets[0], old: 'wrong and long' });
    await isla.ask('PUT', `/courses/${id}/shelf`, { folder: secrets[1], tags: 'none' });
    await isla.ask('POST', '/courses', '{"course":');
    const token = isla.cookie.split('=')[1];
    expect(token.length).toBeGreaterThan(20);
    // Behind the server's back the tables are gone: everything is an error from here on.
    const db = await openDatabase(server.config.dataDir);
    for (const table of ['kits', 'notes', 'versions', 'bodies', 'listings']) {
      await db.raw('pragma foreign_keys = off');
      await db.schema.dropTable(table);
    }
    const statuses: number[] = [];
    for (const [method, path, body] of [
      ['GET', '/kits'],
      ['GET', `/courses/${id}`],
      ['PUT', `/courses/${id}/versions/1`, { label: secrets[1] }],
      ['GET', '/explore'],
      ['GET', '/published/low-tide-steps'],
      ['POST', '/courses', { course: { ...walk(), name: secrets[1] } }],
    ] as const) {
      statuses.push((await isla.ask(method, path, body)).status);
    }
    expect(statuses.filter((status) => status === 500).length).toBeGreaterThan(3);
    await db.destroy();
    const all = lines.join('');
    expect(all).toContain('no such table');
    expect(all).toContain('"statusCode":500');
    for (const secret of [...secrets, token, 'set-cookie', 'user-agent']) {
      expect([secret, all.includes(secret)]).toEqual([secret, false]);
    }
    // Of a statement only what the database says of it is told.
    expect(all).not.toMatch(/select .* from|insert into/i);
  } finally {
    await server.remove();
  }
});
