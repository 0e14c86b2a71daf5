import { existsSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import createDatabase, { type Database } from 'better-sqlite3';

/** The database file of a data folder. */
const fileOf = (dataDir: string): string => path.join(dataDir, 'stonehop.sqlite');

/** A name for the database before a restore, with the time, so that none overwrites another. */
const nameBefore = (file: string): string =>
  `${file}.before-${new Date().toISOString().replace(/[:.]/g, '-')}`;

export const BACKUP_USAGE = `./stonehop backup FILE    a copy of the database as it is at one moment, beside the server that goes on
./stonehop restore FILE   the copy in place of the database; stop the server first. What was there is kept beside it`;

/**
 * Copies the database in SQLite's own way (its online backup): as it is at one moment, while others read and write.
 * @param dataDir the data folder
 * @param file the copy
 * @returns its length, bytes
 * @throws Error where there is no database, or the copy is not whole
 */
export async function backUp(dataDir: string, file: string): Promise<number> {
  const from = fileOf(dataDir);
  if (!existsSync(from)) throw new Error(`There is no database in ${dataDir}.`);
  await copy(from, file);
  return statSync(file).size;
}

/**
 * Puts a copy in place of the database. What was there stays beside it.
 * @param dataDir the data folder
 * @param file the copy
 * @returns where the database from before is, or null where there was none
 * @throws Error for a file that is no whole copy; nothing is changed then
 */
export async function restore(dataDir: string, file: string): Promise<string | null> {
  if (!existsSync(file)) throw new Error(`There is no file ${file}.`);
  refuseBroken(file);
  const now = fileOf(dataDir);
  const before = existsSync(now) ? nameBefore(now) : null;
  if (before) await copy(now, before);
  await copy(file, now);
  return before;
}

/** Copies a database page by page and looks whether the copy is whole before it takes the name. */
async function copy(from: string, to: string): Promise<void> {
  const making = `${to}.making`;
  rmSync(making, { force: true });
  const source = createDatabase(from, { fileMustExist: true });
  try {
    // In one step: in several, whatever is written in between has it begin anew, for ever under load.
    await source.backup(making, { progress: () => 2 ** 30 });
  } finally {
    source.close();
  }
  refuseBroken(making);
  for (const rest of ['-wal', '-shm']) rmSync(`${to}${rest}`, { force: true });
  renameSync(making, to);
}

/** @throws Error for a file that is not a whole database of this program */
function refuseBroken(file: string): void {
  let db: Database | null = null;
  try {
    db = createDatabase(file, { fileMustExist: true, readonly: true });
    const [{ integrity_check: whole }] = db.pragma('integrity_check') as {
      integrity_check: string;
    }[];
    if (whole !== 'ok') throw new Error(whole);
    db.prepare('select count(*) from makers').get();
  } catch (error) {
    throw new Error(`${file} is no whole database of Stone Hop: ${(error as Error).message}.`, {
      cause: error,
    });
  } finally {
    db?.close();
  }
}
