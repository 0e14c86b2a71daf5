import type { Knex } from 'knex';
import type { EditionChange } from '@/core/protocol';
import type { EditionRow, ListingRow } from '../db/rows';
import { HttpError, notFound } from '../base/http';
import { unpack } from '../threads/intake';

/** Most editions of a course that stay; of more the oldest goes. */
const MOST_EDITIONS = 20;

/** What became of the edition before, and its document, packed. */
interface Closed {
  readonly changes: EditionChange;
  readonly packed: Uint8Array;
  readonly look: string;
}

/**
 * Notes what is published now as an edition of its course.
 * @param closed the one before; null where a run feels nothing of what changed, or there was none
 */
export async function noteEdition(
  db: Knex,
  { slug, hash, length, published }: Pick<EditionRow, 'slug' | 'hash' | 'length' | 'published'>,
  closed: Closed | null,
): Promise<void> {
  const { edition } = (await db<ListingRow>('listings').where({ slug }).first('edition'))!;
  if (closed) {
    await db<EditionRow>('editions')
      .where({ slug, edition: edition - 1 })
      .update({ document: Buffer.from(closed.packed), look: closed.look });
  }
  const changes = closed && JSON.stringify(closed.changes);
  await db<EditionRow>('editions')
    .insert({ slug, edition, hash, length, published, changes, document: null, look: null })
    .onConflict(['slug', 'edition'])
    .ignore();
  await db<EditionRow>('editions')
    .where({ slug })
    .where('edition', '<=', edition - MOST_EDITIONS)
    .delete();
}

/** The editions a course has, the newest first. */
export async function editionsOf(db: Knex, slug: string) {
  const rows = await db<EditionRow>('editions')
    .where({ slug })
    .orderBy('edition', 'desc')
    .select('edition', 'published', 'changes');
  return rows.map(({ changes, ...row }) => ({
    ...row,
    changes: changes === null ? null : (JSON.parse(changes) as EditionChange),
  }));
}

type EditionKey = Pick<EditionRow, 'edition' | 'hash' | 'length' | 'published'>;

/** An edition with the digest of what it shows. */
export interface EditionTold extends EditionKey {
  readonly look: string;
}

/** An edition that is asked for by its number, with its document as text. */
export interface EditionRead extends EditionKey {
  readonly document: string;
}

/**
 * An edition that another has taken the place of.
 * @throws HttpError 404 when there is none
 */
export async function earlierEdition(
  db: Knex,
  slug: string,
  edition: number,
): Promise<EditionRead> {
  const row = await db<EditionRow>('editions').where({ slug, edition }).first();
  if (!row?.document) throw notFound('That edition');
  const { hash, length, published, document } = row;
  return { edition, hash, length, published, document: unpack(document) };
}

/** The document of an earlier edition by its hash, as text; null when there is none. */
export async function editionByHash(db: Knex, slug: string, hash: string): Promise<string | null> {
  const row = await db<EditionRow>('editions')
    .where({ slug, hash })
    .whereNotNull('document')
    .orderBy('edition', 'desc')
    .first('document');
  return row?.document ? unpack(row.document) : null;
}

/** The document of an earlier edition by the digest of what it shows, as text; null when there is none. */
export async function documentByLook(db: Knex, slug: string, look: string): Promise<string | null> {
  const row = await db<EditionRow>('editions').where({ slug, look }).first('document');
  return row?.document ? unpack(row.document) : null;
}

/**
 * Removes an earlier edition with its runs and whatever else is told of it, unless another edition is the same to a run.
 * @throws HttpError 404 when there is none, 409 for the one that is published now
 */
export async function removeEdition(
  trx: Knex.Transaction,
  slug: string,
  edition: number,
): Promise<void> {
  const row = await trx<EditionRow>('editions').where({ slug, edition }).first('hash', 'document');
  if (!row) throw notFound('That edition');
  const now = await trx<ListingRow>('listings').where({ slug }).first('edition');
  if (now?.edition === edition) {
    const words = 'That is the edition as it is now: take the course down instead.';
    throw new HttpError(409, 'newest', words);
  }
  await trx<EditionRow>('editions').where({ slug, edition }).delete();
  const { hash } = row;
  if (await trx<EditionRow>('editions').where({ slug, hash }).first('edition')) return;
  for (const table of ['runs', 'ends', 'attempts']) await trx(table).where({ slug, hash }).delete();
}
