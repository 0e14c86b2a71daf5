import { Router } from 'express';
import type { CourseKind } from '@/core/course';
import { slugOf } from '@/core/formats';
import { ProofAnswer, PublishAnswer, RunBody } from '@/core/protocol';
import { ranksBefore } from '@/core/run';
import type { BodyRow, CourseRow, PublishedRow } from '../db/rows';
import { handler, HttpError, NoBody, readJson } from '../http';
import type { Context } from './context';
import { ownCourse } from './owned';
import { newId } from './session';

/** That a maker's course can be finished, and its publishing. */
export function proofs(context: Context): Router {
  const { db, limits, pool, verifier } = context;
  return Router()
    .post(
      '/courses/:id/proof',
      readJson,
      handler({ body: RunBody, answer: ProofAnswer }, async ({ run }, req, res) => {
        await limits.room();
        const row = await ownCourse(context, req, 'document');
        const result = await verifier.verify(row.maker, row.document, run, res);
        const kept =
          row.proof_hash === row.hash && row.proof_time !== null
            ? { time: row.proof_time, strokes: row.proof_strokes ?? 0 }
            : null;
        const best = !kept || ranksBefore(row.kind as CourseKind, result, kept);
        if (best) {
          await db.transaction(async (trx) => {
            await trx<CourseRow>('courses').where('id', row.id).update({
              proof_hash: run.course,
              proof_time: result.time,
              proof_strokes: result.strokes,
            });
            const proof = JSON.stringify({ ...run, claim: result.time });
            await trx<BodyRow>('bodies').where('course', row.id).update({ proof });
          });
        }
        return { time: result.time, best };
      }),
    )
    .post(
      '/courses/:id/publish',
      handler({ body: NoBody, answer: PublishAnswer }, async (_, req) => {
        await limits.room();
        const row = await ownCourse(context, req, 'document');
        if (row.proof_hash !== row.hash) {
          throw new HttpError(
            409,
            'no-proof',
            'Finish the course as it now is, from its start and without help, before publishing it.',
          );
        }
        const { document, svg, length } = await pool.run('showDocument', row.document);
        const known = await db<PublishedRow>('published').where('course', row.id).first('slug');
        const slug =
          known?.slug ?? `${slugOf(row.name)}-${newId(4).replace(/[-_]/g, 'x').toLowerCase()}`;
        await db<PublishedRow>('published')
          .insert({
            slug,
            course: row.id,
            document,
            hash: row.hash,
            shown: row.shown,
            length,
            picture: svg,
            published: Date.now(),
          })
          .onConflict('slug')
          .merge();
        return { slug };
      }),
    );
}
