import type { Knex } from 'knex';
import type { CourseKind } from '@/core/course';
import { MOST_SERIES } from '@/core/protocol';
import { ranksBefore } from '@/core/run';
import type { BlockRow, FollowRow, KeepRow, LikeRow, ReportRow, RunRow } from '../db/rows';
import { HttpError } from '../base/http';
import type { Limits } from './limits';
import { MOST_KITS } from './kits';
import { MOST_RECORDINGS } from './recordings';

/** Tables whose rows change hands as they are. */
const HANDED_ON = ['courses', 'kits', 'series', 'notes', 'attempts', 'devices'] as const;

/**
 * Makes what somebody did without a name theirs by name: all of it, and of two of one kind the better or the later.
 * The maker without a name is gone then.
 * @param trx the transaction all of it is done in
 * @param limits what a maker may keep
 * @param from the maker without a name
 * @param to the maker by name
 * @throws HttpError 409 when both together are more than is kept for one maker
 */
export async function mergeMakers(
  trx: Knex.Transaction,
  limits: Limits,
  from: string,
  to: string,
): Promise<void> {
  await mergeRuns(trx, from, to);
  await mergeOpinions(trx, from, to);
  await mergeKeeps(trx, from, to);
  for (const table of HANDED_ON) await trx(table).where({ maker: from }).update({ maker: to });
  await refuseTooMuch(trx, limits, to);
  await trx('makers').where('id', from).delete();
}

/** Of each course's edition the better run stays. */
async function mergeRuns(trx: Knex.Transaction, from: string, to: string): Promise<void> {
  const runs: (RunRow & { kind: CourseKind })[] = await trx('runs')
    .join('published', 'published.slug', 'runs.slug')
    .join('courses', 'courses.id', 'published.course')
    .where('runs.maker', from)
    .select('runs.*', 'courses.kind');
  for (const { kind, ...run } of runs) {
    const { id, slug, hash } = run;
    const other = await trx<RunRow>('runs').where({ slug, hash, maker: to }).first();
    if (other) {
      const isBetter = run.stale === 0 && (other.stale === 1 || ranksBefore(kind, run, other));
      const worse = isBetter ? other.id : id;
      await trx<RunRow>('runs').where('id', worse).delete();
      if (!isBetter) continue;
    }
    await trx<RunRow>('runs').where({ id }).update({ maker: to });
  }
}

/** Likes, follows, reports and whom one takes no notes from: one of each, and none of what is one's own. */
async function mergeOpinions(trx: Knex.Transaction, from: string, to: string): Promise<void> {
  const have = (table: string, of: string, column: string): Knex.QueryBuilder =>
    trx(table).where(of, to).select(column);
  const own: Knex.QueryBuilder = trx('published')
    .join('courses', 'courses.id', 'published.course')
    .whereIn('courses.maker', [from, to])
    .select('published.slug');
  await trx<LikeRow>('likes').whereIn('maker', [from, to]).whereIn('slug', own).delete();
  await trx<LikeRow>('likes')
    .where({ maker: from })
    .whereNotIn('slug', have('likes', 'maker', 'slug'))
    .update({ maker: to });
  await trx<FollowRow>('follows')
    .where({ follower: from })
    .whereNot({ maker: to })
    .whereNotIn('maker', have('follows', 'follower', 'maker'))
    .update({ follower: to });
  await trx<BlockRow>('blocks')
    .where({ maker: from })
    .whereNot({ blocked: to })
    .whereNotIn('blocked', have('blocks', 'maker', 'blocked'))
    .update({ maker: to });
  for (const { slug, made, id } of await trx<ReportRow>('reports').where({ maker: from })) {
    const other = await trx<ReportRow>('reports').where({ slug, maker: to }).first('id', 'made');
    if (other && other.made > made) continue;
    if (other) await trx<ReportRow>('reports').where('id', other.id).delete();
    await trx<ReportRow>('reports').where({ id }).update({ maker: to });
  }
}

/** Recordings: one that either keeps is kept, and not in the bin. */
async function mergeKeeps(trx: Knex.Transaction, from: string, to: string): Promise<void> {
  for (const { file, deleted } of await trx<KeepRow>('keeps').where({ maker: from })) {
    const own = { file, maker: to };
    const other = await trx<KeepRow>('keeps').where(own).first('file');
    if (!other) await trx<KeepRow>('keeps').where({ file, maker: from }).update({ maker: to });
    else if (deleted === null) await trx<KeepRow>('keeps').where(own).update({ deleted: null });
  }
}

/** @throws HttpError 409 when a maker keeps more than is kept for one */
async function refuseTooMuch(trx: Knex.Transaction, limits: Limits, maker: string): Promise<void> {
  const most = [
    ['courses', limits.mostCourses],
    ['kits', MOST_KITS],
    ['keeps', MOST_RECORDINGS],
    ['series', MOST_SERIES],
  ] as const;
  let isFull = (await limits.over(trx, maker, 0)) > 0;
  for (const [table, limit] of most) {
    const [{ count }] = await trx(table).where({ maker }).count({ count: '*' });
    isFull ||= Number(count) > limit;
  }
  if (!isFull) return;
  throw new HttpError(
    409,
    'full',
    'What was made on this device is more than there is room for in the account. Delete what is not needed, here or there, and sign in again.',
  );
}
