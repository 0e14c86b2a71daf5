import type { Knex } from 'knex';
import type { TimesSpread } from '@/core/protocol';
import type { PublishedRow, RunRow } from '../db/rows';

/** How many of the best times are shown; where the viewer's own is not among them, the first and those about it. */
const SHOWN = 5;
const FIRST = 3;

type OfEdition = Pick<PublishedRow, 'slug' | 'hash'>;

const RANK = ['strokes', 'time', 'made', 'id'] as const;
const COLUMNS = ['id', 'player', 'maker', 'time', 'strokes', 'made', 'open'] as const;
/** A run with the name its maker has now, if any: names belong to makers, and the words they once sent do not. */
type Shown = Pick<RunRow, (typeof COLUMNS)[number]> & { readonly name: string | null };

/** Runs of an edition that hold, with what a list tells of each. */
const listedRuns = (db: Knex, { slug, hash }: OfEdition) =>
  db('runs')
    .join('makers', 'makers.id', 'runs.maker')
    .where({ slug, hash, stale: 0 })
    .select(...COLUMNS.map((column) => `runs.${column}`), 'makers.name');

/** The best runs on a course as it is published now, one a player: by strokes, then time, then date. */
export async function bestTimes(db: Knex, edition: OfEdition, viewer: string | undefined) {
  const ranked = (from: number, count: number): Promise<Shown[]> =>
    listedRuns(db, edition)
      .orderBy(RANK.map((column) => `runs.${column}`))
      .offset(from)
      .limit(count);
  const rowsOf = (rows: readonly Shown[], from: number) =>
    rows.map((row, i) => rowOf(row, from + i + 1, viewer));
  const first = rowsOf(await ranked(0, SHOWN), 0);
  const own: Shown | undefined =
    viewer === undefined
      ? undefined
      : await listedRuns(db, edition).where('runs.maker', viewer).first();
  const before = own ? await countBefore(db, edition, own) : 0;
  if (before < SHOWN) return first;
  // One before it and one after.
  return [...first.slice(0, FIRST), ...rowsOf(await ranked(before - 1, 3), before - 1)];
}

const rowOf = (
  { id, name, player, maker, time, strokes, open }: Shown,
  place: number,
  viewer: string | undefined,
) => ({
  place,
  player: name ?? player,
  ...(name === null ? { guest: true } : {}),
  time,
  ...(strokes > 0 ? { strokes } : {}),
  own: maker === viewer,
  ...(open === 1 || maker === viewer ? { run: String(id) } : {}),
});

/** How many runs stand before one on the list. */
async function countBefore(db: Knex, { slug, hash }: OfEdition, run: Shown): Promise<number> {
  const [{ before }] = await db<RunRow>('runs')
    .where({ slug, hash, stale: 0 })
    .whereRaw(
      '(strokes, time, made, id) < (?, ?, ?, ?)',
      RANK.map((key) => run[key]),
    )
    .count({ before: '*' });
  return Number(before);
}

/** Players below which nothing is said of how their times spread, and parts it is told in. */
const FEWEST = 8;
const PARTS = 18;
/** Times of more than so many of the best count with the last part. */
const LONGEST = 3;

/** How many have finished a course as it is published now, and how their times spread. */
export async function spreadOf(
  db: Knex,
  { slug, hash }: OfEdition,
): Promise<{ players: number; spread: TimesSpread | null }> {
  const runs = () => db<RunRow>('runs').where({ slug, hash, stale: 0 });
  const [{ players, from, most }] = (await runs()
    .count({ players: '*' })
    .min({ from: 'time' })
    .max({ most: 'time' })) as { players: number; from: number; most: number }[];
  if (players < FEWEST || most === from) return { players, spread: null };
  const to = Math.min(most, LONGEST * from);
  const rows = (await runs()
    .select(
      db.raw('min(?, cast((time - ?) / ? as integer)) as part', [
        PARTS - 1,
        from,
        (to - from) / PARTS,
      ]),
    )
    .groupBy('part')
    .count({ count: '*' })) as unknown as { part: number; count: number }[];
  const counts = new Array<number>(PARTS).fill(0);
  for (const { part, count } of rows) counts[part] = count;
  return { players, spread: { from, to, counts } };
}

/** The place a result has among what others have run. */
export async function placeOf(
  db: Knex,
  { slug, hash }: OfEdition,
  { maker, strokes, time }: Pick<RunRow, 'maker' | 'strokes' | 'time'>,
): Promise<number> {
  const [{ before }] = await db<RunRow>('runs')
    .where({ slug, hash, stale: 0 })
    .whereNot({ maker })
    .andWhere((better) =>
      better
        .where('strokes', '<', strokes)
        .orWhere((equal) => equal.where({ strokes }).andWhere('time', '<=', time)),
    )
    .count({ before: '*' });
  return Number(before) + 1;
}
