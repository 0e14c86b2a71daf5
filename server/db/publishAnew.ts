import type { Knex } from 'knex';
import { noteEdition } from '../api/editions';
import { closeEdition } from '../threads/picture';
import type { ListingRow, PublishedRow } from './rows';

/** What was published, what is now, and what its listing tells besides. */
interface Anew {
  readonly before: Pick<PublishedRow, 'document' | 'hash'>;
  readonly now: Pick<PublishedRow, 'document' | 'hash' | 'length' | 'published'>;
  readonly listing: Partial<ListingRow>;
}

/**
 * Has what a newer version of this program publishes of a course be found: where a run feels a difference it is another
 * edition.
 */
export async function publishAnew(
  trx: Knex.Transaction,
  slug: string,
  { before, now, listing }: Anew,
): Promise<void> {
  const { hash, length, published, document } = now;
  const isOther = before.hash !== hash;
  if (isOther) await trx<ListingRow>('listings').where({ slug }).increment('edition', 1);
  const none = { tries: 0, finishes: 0, closeness: null, difficulty: null, read_hash: null };
  await trx<ListingRow>('listings')
    .where({ slug })
    .update({ hash, length, ...(isOther ? none : {}), ...listing });
  const closed = isOther ? closeEdition({ before: before.document, document }) : null;
  await noteEdition(trx, { slug, hash, length, published }, closed);
}
