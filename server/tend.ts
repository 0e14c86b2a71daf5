import path from 'node:path';
import { moderate, MODERATE_USAGE } from './care/moderate';
import { verifyAll } from './care/verifyAll';
import { configFromEnvironment } from './config';
import { openDatabase } from './db/open';

/** What whoever runs a server does with its database, while it serves or not. */
async function main([command, ...args]: string[]): Promise<number> {
  const config = configFromEnvironment(process.env, path.join(__dirname, '..'));
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

main(process.argv.slice(2)).then(
  (code) => (process.exitCode = code),
  (error: Error) => {
    console.error(error.message);
    process.exitCode = 1;
  },
);
