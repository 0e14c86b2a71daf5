// Makes the database that tests of the server begin with: the demo laid in, once for all of them.
import { rmSync } from 'node:fs';
import { bringUp } from '../care/bringUp';
import { seedDemo } from '../care/seed';
import { openDatabase } from '../db/open';

async function main(folder: string): Promise<void> {
  rmSync(folder, { recursive: true, force: true });
  const db = await openDatabase(folder);
  await bringUp(db, () => {});
  await seedDemo(db);
  // All of it in the one file that is copied.
  await db.raw('PRAGMA wal_checkpoint(TRUNCATE)');
  await db.destroy();
}

void main(process.argv[2]);
