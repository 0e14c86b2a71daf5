import type { Database, Statement } from 'better-sqlite3';

/** Statements that are kept of a connection. */
const MOST = 500;

/**
 * Has a connection keep its statements: to compile one takes about as long as to run it. What is asked for least of
 * late goes when there are too many.
 */
export function keepStatements(connection: Pick<Database, 'prepare'>): void {
  const prepare = connection.prepare.bind(connection);
  const kept = new Map<string, Statement>();
  connection.prepare = ((sql: string) => {
    const statement = kept.get(sql) ?? prepare(sql);
    kept.delete(sql);
    kept.set(sql, statement);
    if (kept.size > MOST) kept.delete(kept.keys().next().value!);
    return statement;
  }) as typeof connection.prepare;
}
