import path from 'node:path';
import { backUp, BACKUP_USAGE, restore } from './care/backup';
import { moderate, MODERATE_USAGE } from './care/moderate';
import { verifyAll } from './care/verifyAll';
import { configFromEnvironment, type Config } from './base/config';
import { openDatabase } from './db/open';

/** What whoever runs a server does with its database, while it serves or not. */
async function main([command, ...args]: string[]): Promise<number> {
  const config = configFromEnvironment(process.env, path.join(__dirname, '..'));
  if (command === 'backup' || command === 'restore') return copies(config, command, args);
  const db = await openDatabase(config.dataDir);
  try {
    if (command === 'verify-all' && args.length === 0) {
      const { held, stale, unproved } = await verifyAll(db, config.verifySeconds, console.log);
      console.log(`${held} runs hold, ${stale} do not; ${unproved} courses are to be proved anew.`);
      return 0;
    }
    const lines = command === 'moderate' ? await moderate(db, args) : null;
    if (lines) console.log(lines.join('\n'));
    else console.error(MODERATE_USAGE);
    return lines ? 0 : 2;
  } finally {
    await db.destroy();
  }
}

/** Copies are made without bringing the database up to date: they are as it is. */
async function copies(
  { dataDir }: Config,
  command: 'backup' | 'restore',
  [file, ...more]: string[],
): Promise<number> {
  if (!file || more.length > 0) {
    console.error(BACKUP_USAGE);
    return 2;
  }
  if (command === 'backup') {
    const bytes = await backUp(dataDir, file);
    console.log(`The database is copied to ${file}: ${Math.ceil(bytes / 1024)} kB.`);
  } else {
    const before = await restore(dataDir, file);
    console.log(`The database is as it was in ${file}.`);
    if (before) console.log(`What was there before is ${before}.`);
  }
  return 0;
}

main(process.argv.slice(2)).then(
  (code) => (process.exitCode = code),
  (error: Error) => {
    console.error(error.message);
    process.exitCode = 1;
  },
);
