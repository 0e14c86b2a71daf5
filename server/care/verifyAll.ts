import type { Knex } from 'knex';
import { CORE_VERSION, type Run, type Score } from '@/core/run';
import { earlierEdition } from '../api/editions';
import type { BodyRow, CourseRow, EditionRow, PublishedRow, RunRow } from '../db/rows';
import { verify, type Verdict } from '../threads/verify';

/** What became of all runs that are kept. */
export interface Verified {
  readonly held: number;
  /** Runs on lists that no longer hold, or not as they were. */
  readonly stale: number;
  /** Courses whose proof no longer holds. */
  readonly unproved: number;
}

/**
 * Replays every run on the lists of published courses and of their earlier editions, and every proof. One that no longer reaches the
 * goal, or not in the same time, stays on record as of an earlier simulation and counts for no list; one that does so
 * again counts again.
 * @param seconds that one run may take
 * @param told is told of each that was looked at
 */
export async function verifyAll(
  db: Knex,
  seconds: number,
  told: (line: string) => void,
): Promise<Verified> {
  const counts = { held: 0, stale: 0, unproved: 0 };
  for await (const { slug, hash, document } of editions(db)) {
    const ids = (await db<RunRow>('runs').where({ slug, hash }).pluck('id')) as number[];
    for (const id of ids) {
      const row = (await db<RunRow>('runs').where({ id }).first())!;
      const holds = same(await replayed(document, row.run, seconds), row);
      await db<RunRow>('runs')
        .where({ id })
        .update({ stale: holds ? 0 : 1 });
      counts[holds ? 'held' : 'stale']++;
      if (!holds) told(`${slug}: the run ${id} of ${row.player} is of an earlier simulation.`);
    }
  }
  for (const { id } of await db<CourseRow>('courses').whereNotNull('proof_hash').select('id')) {
    const course = (await db<CourseRow>('courses').where({ id }).first())!;
    // A proof of the course as it was is stale already.
    if (course.proof_hash !== course.hash) continue;
    const body = (await db<BodyRow>('bodies').where('course', id).first('document', 'proof'))!;
    if (body.proof === null) continue;
    const verdict = await replayed(body.document, body.proof, seconds);
    const proved = { time: course.proof_time!, strokes: course.proof_strokes ?? 0 };
    if (same(verdict, proved, course.proof_strokes === null)) continue;
    await db<CourseRow>('courses').where({ id }).update({ proof_hash: EARLIER });
    counts.unproved++;
    told(`${course.name}: its proof is of an earlier simulation.`);
  }
  return counts;
}

/** What is published, and the editions before it that can still be read; what came back as it was is told once. */
async function* editions(
  db: Knex,
): AsyncGenerator<Pick<PublishedRow, 'slug' | 'hash' | 'document'>> {
  for (const { slug } of await db<PublishedRow>('published').select('slug')) {
    const { document, hash } = (await db<PublishedRow>('published').where({ slug }).first())!;
    yield { slug, hash, document };
    const told = new Set([hash]);
    const numbers = (await db<EditionRow>('editions')
      .where({ slug })
      .whereNotNull('document')
      .orderBy('edition', 'desc')
      .pluck('edition')) as number[];
    for (const edition of numbers) {
      const earlier = await earlierEdition(db, slug, edition);
      if (told.has(earlier.hash)) continue;
      told.add(earlier.hash);
      yield { slug, hash: earlier.hash, document: earlier.document };
    }
  }
}

/** Stands for a course as an earlier simulation felt it: no course has it. */
export const EARLIER = 'earlier';

/** By the simulation of now, whichever made it: what holds in both is worth what it was. */
const replayed = (document: string, run: string, budget: number): Promise<Verdict> =>
  verify({ document, run: { ...(JSON.parse(run) as Run), core: CORE_VERSION }, budget });

/** Whether a replay came to what was kept; strokes count only where they were kept. */
const same = (verdict: Verdict, { time, strokes }: Score, timeOnly = false): boolean =>
  'time' in verdict &&
  verdict.time === time &&
  (timeOnly || strokes === 0 || verdict.strokes === strokes);
