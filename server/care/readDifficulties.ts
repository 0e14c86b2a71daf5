import type { Knex } from 'knex';
import type { Run } from '@/core/run';
import type { ListingRow } from '../db/rows';
import type { Pool } from '../threads/pool';

/** How hard a published course is takes seconds to find out: it is read after publishing, one course at a time. */

/** What is to be read next. */
interface Unread {
  readonly slug: string;
  readonly hash: string;
  readonly document: string;
  readonly proof: string | null;
}

/** The course that was published last and is not read yet as it is. */
async function nextUnread(db: Knex): Promise<Unread | undefined> {
  const row = await db<ListingRow>('listings')
    .whereRaw('read_hash is not hash')
    .orderBy('published', 'desc')
    .first('slug', 'hash', 'course');
  if (!row) return undefined;
  const { slug, hash, course } = row;
  const published = await db('published').where({ slug }).first<{ document: string }>('document');
  const proved = await db('courses')
    .join('bodies', 'bodies.course', 'courses.id')
    .where({ 'courses.id': course, 'courses.proof_hash': hash })
    .first<{ proof: string | null } | undefined>('bodies.proof');
  return { slug, hash, document: published.document, proof: proved?.proof ?? null };
}

/**
 * Reads how hard one more published course is.
 * @returns whether there was one
 */
export async function readOneDifficulty(db: Knex, pool: Pool, tries: number): Promise<boolean> {
  const unread = await nextUnread(db);
  if (!unread) return false;
  const { slug, hash, document, proof } = unread;
  const difficulty =
    proof === null
      ? null
      : await pool
          .run('readDifficulty', { document, run: JSON.parse(proof) as Run, tries })
          // One that cannot be read is not tried again and again.
          .catch(() => null);
  // What was published meanwhile is read by itself.
  await db<ListingRow>('listings').where({ slug, hash }).update({ difficulty, read_hash: hash });
  return true;
}
