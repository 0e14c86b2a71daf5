import { mkdirSync } from 'node:fs';
import path from 'node:path';
import type { Database } from 'better-sqlite3';
import createKnex, { type Knex } from 'knex';
import { waitOnce } from './locked';
import { migrationSource } from './migrations';
import { keepStatements } from './statements';

/**
 * Opens the database file in a folder, making both if needed, and brings it up to date.
 * Every write is on the disk before it is acknowledged (WAL with synchronous FULL).
 */
export async function openDatabase(dataDir: string): Promise<Knex> {
  mkdirSync(dataDir, { recursive: true });
  let opened: Database | null = null;
  const db = createKnex({
    client: 'better-sqlite3',
    connection: { filename: path.join(dataDir, 'stonehop.sqlite') },
    useNullAsDefault: true,
    pool: {
      min: 1,
      max: 1,
      afterCreate: (connection: Database, done: (error: Error | null) => void) => {
        keepStatements(connection);
        opened = connection;
        done(null);
      },
    },
  });
  await db.raw('PRAGMA journal_mode = WAL');
  await db.raw('PRAGMA synchronous = FULL');
  await db.raw('PRAGMA foreign_keys = ON');
  waitOnce(db, () => opened);
  await db.migrate.latest({ migrationSource });
  return db;
}
