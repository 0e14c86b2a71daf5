import type { Knex } from 'knex';
import { BIN_DAYS } from '@/core/protocol';
import { DEMO_MAKER } from './demoMaker';
import { A_DAY, KNOWN_DEVICE_TIME, SESSION_TIME } from '../base/lifetimes';

/** Time for which an attempt may be sent in, and after which a maker of nothing goes, ms. */
const ATTEMPT_TIME = 7 * A_DAY;
const EMPTY_TIME = A_DAY;
/** Tables of what is deleted by going to the bin first. */
export const BINNED = ['courses', 'kits', 'keeps', 'series'] as const;
/** Most makers let go at a time, so that nobody waits for it. */
const MOST_AT_ONCE = 500;

/**
 * Clears what has had its time: ended sessions, devices nobody signs in on any more, the bin, attempts, and makers nobody can be any more or who
 * never made anything. What is published stays, whoever made it.
 */
export async function sweep(db: Knex, now = Date.now()): Promise<void> {
  await db('sessions')
    .where('created', '<', now - SESSION_TIME)
    .delete();
  await db('devices')
    .where('used', '<', now - KNOWN_DEVICE_TIME)
    .delete();
  await db('attempts')
    .where('given', '<', now - ATTEMPT_TIME)
    .delete();
  for (const table of BINNED) {
    await db(table)
      .where('deleted', '<', now - BIN_DAYS * A_DAY)
      .delete();
  }
  await clearMakers(db, now);
  await clearRecordings(db);
}

/** Recordings that nobody keeps any more, not even in a bin. */
export const clearRecordings = (db: Knex): Promise<number> =>
  db('recordings').whereNotIn('file', db('keeps').select('file')).delete();

/** Makers without a name: those who have nothing, and those whose sessions have all ended. */
async function clearMakers(db: Knex, now: number): Promise<void> {
  const makers = () =>
    db('makers')
      .whereNull('passphrase')
      .where('makers.created', '<', now - EMPTY_TIME)
      .whereNot('makers.id', 'like', `${DEMO_MAKER}%`);
  const owning = (table: string) =>
    db(table).whereRaw(`${table}.maker = makers.id`).select('maker');
  const empty = makers()
    .whereNotExists(owning('courses'))
    .whereNotExists(owning('kits'))
    .whereNotExists(owning('keeps'))
    .whereNotExists(owning('series'))
    .whereNotExists(owning('runs'));
  const lost = makers()
    .whereNotExists(owning('sessions'))
    .whereNotExists(owning('runs'))
    .whereNotExists(owning('courses').join('published', 'published.course', 'courses.id'));
  for (const gone of [empty, lost]) {
    const ids = await gone.limit(MOST_AT_ONCE).pluck('makers.id');
    await db('makers').whereIn('id', ids).delete();
  }
}
