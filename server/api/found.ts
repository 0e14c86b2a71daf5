import type { Knex } from 'knex';
import type { PublishedRow } from '../db/rows';
import { notFound } from '../http';

/**
 * What is published under a name, as far as it is asked for.
 * @throws HttpError 404 when there is nothing, or its course is in the bin
 */
export async function findPublished<More extends keyof PublishedRow = 'slug'>(
  db: Knex,
  slug: string,
  more: readonly More[] = [],
): Promise<Pick<PublishedRow, 'slug' | 'course' | 'hash' | More>> {
  const row = await db<PublishedRow>('published')
    .join('courses', 'courses.id', 'published.course')
    .where({ slug, 'courses.deleted': null })
    .first(['slug', 'course', 'hash', ...more].map((column) => `published.${column}`));
  if (!row) throw notFound('The course');
  return row as Pick<PublishedRow, 'slug' | 'course' | 'hash' | More>;
}
