import type { Knex } from 'knex';
import { noteEdition } from '../api/editions';
import { closeEdition } from '../threads/picture';
import type { ListingRow, PublishedRow } from '../db/rows';

/** The published course before and now, and changes to its listing. */
interface Anew {
  readonly before: Pick<PublishedRow, 'document' | 'hash'>;
  readonly now: Pick<PublishedRow, 'document' | 'hash' | 'length' | 'published'>;
  readonly listing: Partial<ListingRow>;
}

/**
 * Updates listing and editions of a course that this version publishes anew: a new edition where its hash changed.
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
