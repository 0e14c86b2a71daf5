import { statfs } from 'node:fs/promises';
import type { Database } from 'better-sqlite3';
import { Router } from 'express';
import type { Knex } from 'knex';
import { HealthAnswer } from '@/core/protocol';
import { VERSION } from '../base/version';
import { handler, NoBody } from '../base/http';
import type { Context } from './context';

const MB = 1024 * 1024;

/** The state of the server, for a monitor: 503 when nothing can be kept. */
export function health(context: Context): Router {
  const { db, config, intake, pictures, passphrases, knownPassphrases, replays } = context;
  return Router().get(
    '/health',
    handler({ body: NoBody, answer: HealthAnswer }, async (_, _req, res) => {
      const { bavail, bsize } = await statfs(config.dataDir);
      const freeMegabytes = Math.floor((bavail * bsize) / MB);
      const writable = freeMegabytes >= config.freeMegabytes && (await isWritable(db));
      res.status(writable ? 200 : 503);
      return {
        version: VERSION,
        writable,
        freeMegabytes,
        queues: {
          intake: intake.load,
          pictures: pictures.load,
          replays: replays.load,
          passphrases: {
            working: passphrases.load.working + knownPassphrases.load.working,
            waiting: passphrases.load.waiting + knownPassphrases.load.waiting,
          },
        },
      };
    }),
  );
}

/** True if the database grants the write lock. */
async function isWritable(db: Knex): Promise<boolean> {
  const connection = (await db.client.acquireConnection()) as Database;
  try {
    connection.exec('BEGIN IMMEDIATE');
    connection.exec('ROLLBACK');
    return true;
  } catch {
    return false;
  } finally {
    await db.client.releaseConnection(connection);
  }
}
