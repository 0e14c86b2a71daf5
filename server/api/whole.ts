import type { Knex } from 'knex';
import type { PublishedRow } from '../db/rows';
import { HttpError } from '../base/http';
import type { TakenCourse } from '../threads/intake';

/** Part of a course's own pieces from which on another course is a copy of it. */
const ALIKE = 0.8;

/**
 * Holds to the promise that a course is kept whole: others run it and take no copy of it, however they say it came about.
 * Whoever had a copy from before goes on with it.
 * @param db the database
 * @param course what is to be kept
 * @param maker for whom
 * @throws HttpError 403 for a copy of a course that somebody else keeps whole
 */
export async function refuseCopy(
  db: Knex,
  { copyOf, marks }: Pick<TakenCourse, 'copyOf' | 'marks'>,
  maker: string,
): Promise<void> {
  const copied = new Set(await alike(db, marks, maker));
  if (copyOf !== null && (await isKeptWhole(db, copyOf, maker))) copied.add(copyOf);
  for (const slug of copied) {
    if (await hadCopy(db, slug, maker)) continue;
    throw new HttpError(403, 'whole', 'Its maker keeps this course whole: it can be run.');
  }
}

/** The courses of others, kept whole, that have most of their pieces in common with one. */
async function alike(db: Knex, marks: readonly string[], maker: string): Promise<string[]> {
  if (marks.length === 0 || !(await db('whole_pieces').first('slug'))) return [];
  const shared: { slug: string; count: number }[] = await db('whole_pieces')
    .join('published', 'published.slug', 'whole_pieces.slug')
    .join('courses', 'courses.id', 'published.course')
    .whereNot('courses.maker', maker)
    .whereRaw('mark in (select value from json_each(?))', [JSON.stringify(marks)])
    .groupBy('whole_pieces.slug')
    .select('whole_pieces.slug', db.raw('count(*) as count'));
  const found: string[] = [];
  for (const { slug, count } of shared) {
    const [{ all }] = await db('whole_pieces').where({ slug }).count({ all: '*' });
    if (count >= ALIKE * Number(all)) found.push(slug);
  }
  return found;
}

async function isKeptWhole(db: Knex, slug: string, maker: string): Promise<boolean> {
  const kept = await db<PublishedRow>('published')
    .join('courses', 'courses.id', 'published.course')
    .where({ slug })
    .whereNot('courses.maker', maker)
    .whereRaw("json_extract(published.document, '$.mayCopy') = 0")
    .first('slug');
  return kept !== undefined;
}

/** True if a maker already has a copy of a course. */
async function hadCopy(db: Knex, slug: string, maker: string): Promise<boolean> {
  const had = await db('courses')
    .join('bodies', 'bodies.course', 'courses.id')
    .where({ maker })
    .whereRaw("json_extract(document, '$.origins[0].slug') = ?", slug)
    .first('courses.id');
  return had !== undefined;
}

/** Remembers by what copies of a published course are told; of none where it may be copied. */
export async function noteWhole(
  trx: Knex.Transaction,
  slug: string,
  marks: readonly string[],
): Promise<void> {
  await trx('whole_pieces').where({ slug }).delete();
  const rows = marks.map((mark) => ({ slug, mark }));
  if (rows.length > 0) await trx.batchInsert('whole_pieces', rows, 200);
}
