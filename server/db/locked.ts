import type { Database } from 'better-sqlite3';
import type { Knex } from 'knex';

/** How long a statement waits for another program that has the file, ms. */
const PATIENCE = 1000;

/**
 * Has one statement wait for another program that has the file, not each of many in a row: waiting holds up everybody.
 * Once one has waited in vain, others are refused at once until as long again is over.
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
