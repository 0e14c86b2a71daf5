import type { Knex } from 'knex';
import type { ListingRow, PublishedRow } from '../db/rows';
import { HttpError, notFound } from '../base/http';

/**
 * What is published under a name, as far as it is asked for.
 * @throws HttpError 404 when there is nothing, or its course is in the bin; 410 while it is taken down
 */
export async function findPublished<More extends keyof PublishedRow = 'slug'>(
  db: Knex,
  slug: string,
  more: readonly More[] = [],
): Promise<Pick<PublishedRow, 'slug' | 'course' | 'hash' | More>> {
  const row = await db<PublishedRow>('published')
    .join('courses', 'courses.id', 'published.course')
    .join('listings', 'listings.slug', 'published.slug')
    .where({ 'published.slug': slug, 'courses.deleted': null })
    .first([
      ...['slug', 'course', 'hash', ...more].map((column) => `published.${column}`),
      'listings.taken',
      'listings.held',
    ]);
  if (!row) throw notFound('The course');
  const { taken, held, ...found } = row as Pick<ListingRow, 'taken' | 'held'> & PublishedRow;
  if (held !== null) throw new HttpError(410, 'held', 'The course was taken down after a report.');
  if (taken !== null)
    throw new HttpError(410, 'taken-down', 'Its maker has taken the course down.');
  return found;
}
