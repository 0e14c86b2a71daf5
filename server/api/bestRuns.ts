import type { Knex } from 'knex';
import type { CourseKind } from '@/core/course';
import { ranksBefore } from '@/core/run';
import type { ListingRow, RunRow } from '../db/rows';

/** Keeps a run if it is its maker's best on the course. */
export async function keepBest(db: Knex, kind: CourseKind, run: Omit<RunRow, 'id'>): Promise<void> {
  const { slug, hash, maker } = run;
  const best = await db<RunRow>('runs')
    .where({ slug, hash, maker })
    .first('id', 'time', 'strokes', 'stale');
  if (!best) await db<RunRow>('runs').insert(run);
  // One that no longer holds gives way to any that does.
  else if (best.stale === 1 || ranksBefore(kind, run, best))
    await db<RunRow>('runs').where('id', best.id).update(run);
}

/** Counts a finish, and how near the best three now are to each other. */
export async function noteFinish(
  db: Knex,
  { slug, hash }: Pick<RunRow, 'slug' | 'hash'>,
  kind: CourseKind,
): Promise<void> {
  const best = await db<RunRow>('runs')
    .where({ slug, hash })
    .orderBy(['strokes', 'time', 'made', 'id'])
    .limit(3)
    .select('time', 'strokes');
  const [first, , third] = best.map(({ time, strokes }) => (kind === 'strokes' ? strokes : time));
  const closeness = third === undefined ? null : (third - first) / first;
  await db<ListingRow>('listings').where({ slug }).increment('finishes', 1).update({ closeness });
}
