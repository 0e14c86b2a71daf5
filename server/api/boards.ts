import type { Knex } from 'knex';
import type { PublishedRow, RunRow } from '../db/rows';

/** How many of the best times are shown. */
const SHOWN = 5;

type OfEdition = Pick<PublishedRow, 'slug' | 'hash'>;

/** The best runs on a course as it is published now, one a player: by strokes, then time, then date. */
export async function bestTimes(db: Knex, { slug, hash }: OfEdition, viewer: string | undefined) {
  const rows = await db<RunRow>('runs')
    .where({ slug, hash })
    .orderBy(['strokes', 'time', 'made', 'id'])
    .limit(SHOWN)
    .select('id', 'player', 'maker', 'time', 'strokes', 'open');
  return rows.map(({ id, player, maker, time, strokes, open }) => ({
    player,
    time,
    ...(strokes > 0 ? { strokes } : {}),
    own: maker === viewer,
    ...(open === 1 || maker === viewer ? { run: String(id) } : {}),
  }));
}

/** The place a result has among what others have run. */
export async function placeOf(
  db: Knex,
  { slug, hash }: OfEdition,
  { maker, strokes, time }: Pick<RunRow, 'maker' | 'strokes' | 'time'>,
): Promise<number> {
  const [{ before }] = await db<RunRow>('runs')
    .where({ slug, hash })
    .whereNot({ maker })
    .andWhere((better) =>
      better
        .where('strokes', '<', strokes)
        .orWhere((equal) => equal.where({ strokes }).andWhere('time', '<=', time)),
    )
    .count({ before: '*' });
  return Number(before) + 1;
}
