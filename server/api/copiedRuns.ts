import type { Knex } from 'knex';
import { TICKS_PER_SECOND } from '@/core/motion';
import { normalRun, type Run } from '@/core/run';
import { inputsDigest } from '../base/digest';
import { HttpError } from '../base/http';
import type { CourseRow, PublishedRow, RunRow } from '../db/rows';

/** Stretches from which on two people do not press the same by chance. */
const UNLIKELY = 8;

/**
 * Refuses the run of somebody else. Runs of few stretches pass: two people may press the same.
 * @param edition the course it was run on
 * @param run its stretches, the digest of its inputs, and the way it took: inputs without effect make no other run
 * @param maker whose run it is said to be
 * @throws HttpError 409 when somebody else sent in the very same run
 */
export async function refuseCopies(
  db: Knex,
  { slug, hash, course }: Pick<PublishedRow, 'slug' | 'hash' | 'course'>,
  { stretches, inputs, way }: Pick<RunRow, 'inputs' | 'way'> & { readonly stretches: number },
  maker: string,
): Promise<void> {
  if (stretches < UNLIKELY) return;
  const same = await db<RunRow>('runs')
    .where({ slug, hash })
    .whereNot({ maker })
    .andWhere((either) => void either.where({ inputs }).orWhere({ way }))
    .first('id');
  if (!same && !(await isProof(db, { course, hash, inputs }, maker))) return;
  throw new HttpError(409, 'same-run', 'Somebody else has sent in this very run, press by press.');
}

/** True for the run by which somebody else proved the course: anybody may look at that. */
async function isProof(
  db: Knex,
  { course, hash, inputs }: Pick<PublishedRow, 'course' | 'hash'> & Pick<RunRow, 'inputs'>,
  maker: string,
): Promise<boolean> {
  const row = await db<CourseRow>('courses')
    .join('bodies', 'bodies.course', 'courses.id')
    .where({ 'courses.id': course, 'courses.proof_hash': hash })
    .whereNot('courses.maker', maker)
    .first<{ proof: string | null; proof_time: number } | undefined>(
      'bodies.proof',
      'courses.proof_time',
    );
  if (!row?.proof) return false;
  const ticks = Math.ceil(row.proof_time * TICKS_PER_SECOND);
  return inputsDigest(normalRun(JSON.parse(row.proof) as Run, ticks)) === inputs;
}
