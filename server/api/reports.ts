import { Router } from 'express';
import { DoneAnswer, MAKERS_RUN, ReportBody } from '@/core/protocol';
import type { CourseRow, ReportRow, RunRow } from '../db/rows';
import { readJson } from '../base/bodies';
import { handler, NoBody, notFound } from '../base/http';
import { param } from '../base/params';
import type { Context } from './context';
import { findPublished } from './found';
import { knownOrNew, makerOrNew, requireMaker } from './session';

/** What is wrong with what others see: told to whoever runs the server, or put right by the course's maker. */
export function reports(context: Context): Router {
  const { db, limits } = context;
  return Router()
    .post(
      '/published/:slug/reports',
      knownOrNew(context),
      readJson,
      handler({ body: ReportBody, answer: DoneAnswer }, async ({ words }, req, res) => {
        await limits.room();
        const { slug } = await findPublished(db, param(req, 'slug'));
        const { id: maker } = await makerOrNew(context, req, res);
        // One of each person: told again it takes the place of what was told before.
        await db<ReportRow>('reports')
          .insert({ slug, maker, words, made: Date.now(), settled: null })
          .onConflict(['slug', 'maker'])
          .merge();
        res.status(201);
        return { done: true };
      }),
    )
    .delete(
      '/published/:slug/runs/:run',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const { slug, course } = await findPublished(db, param(req, 'slug'));
        const { id: maker } = await requireMaker(context, req);
        const own = await db<CourseRow>('courses').where({ id: course, maker }).first('id');
        const id = param(req, 'run');
        if (
          !own ||
          id === MAKERS_RUN ||
          (await db<RunRow>('runs').where({ slug, id }).delete()) === 0
        ) {
          throw notFound('The run');
        }
        return { done: true };
      }),
    );
}
