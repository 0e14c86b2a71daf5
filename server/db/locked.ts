import type { Database } from 'better-sqlite3';
import type { Knex } from 'knex';

/** The wait for another program that holds the file, ms. */
const PATIENCE = 1000;

/**
 * Lets one statement wait for another program that holds the file, and refuses the next ones at once for as long again:
 * each wait stops the whole server.
 */
export function waitOnce(db: Knex, connection: () => Database | null): void {
  const patience = (ms: number) => void connection()?.pragma(`busy_timeout = ${ms}`);
  let impatient: unknown = null;
  patience(PATIENCE);
  db.on('query-error', ({ code }: { code?: string }) => {
    if (impatient || !/^SQLITE_(BUSY|LOCKED)/.test(code ?? '')) return;
    patience(0);
    impatient = setTimeout(() => {
      impatient = null;
      patience(PATIENCE);
    }, PATIENCE);
    // The server may end meanwhile.
    (impatient as NodeJS.Timeout).unref();
  });
}
