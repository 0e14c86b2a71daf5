import { Router } from 'express';
import { BinAnswer, DoneAnswer } from '@/core/protocol';
import type { CourseRow, KeepRow, KitRow } from '../db/rows';
import { handler, NoBody, notFound } from '../base/http';
import { param } from '../base/params';
import { BINNED, clearRecordings } from '../db/sweep';
import type { Context } from './context';
import { coursesOf } from './series';
import { makerOf, requireMaker } from './session';

/** What is deleted waits in the bin, and comes back by a tap. */
export function bin(context: Context): Router {
  const { db } = context;
  const binned = async <Row extends { deleted: number | null }>(
    table: string,
    maker: string,
    ...columns: (keyof Row & string)[]
  ) =>
    (await db(table)
      .where({ maker })
      .whereNotNull('deleted')
      .orderBy('deleted', 'desc')
      .select(...columns, 'deleted')) as (Row & { deleted: number })[];
  /** Takes one thing out of the bin. */
  const back = (path: string, table: string, key: string, what: string) =>
    Router().post(
      path,
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const { id: maker } = await requireMaker(context, req);
        const back = await db(table)
          .where({ [key]: param(req, 'id'), maker })
          .update({ deleted: null });
        if (back === 0) throw notFound(what);
        return { done: true };
      }),
    );
  return Router()
    .get(
      '/bin',
      handler({ body: NoBody, answer: BinAnswer }, async (_, req) => {
        const maker = (await makerOf(context, req))?.id;
        if (maker === undefined) return { courses: [], kits: [], recordings: [], series: [] };
        return {
          courses: await binned<CourseRow>('courses', maker, 'id', 'name', 'pieces'),
          kits: await binned<KitRow>('kits', maker, 'id', 'name', 'pieces'),
          recordings: await binned<KeepRow>('keeps', maker, 'file', 'bytes'),
          series: await db('series')
            .where({ maker })
            .whereNotNull('deleted')
            .orderBy('deleted', 'desc')
            .select('id', 'name', 'deleted')
            .select({ courses: coursesOf(db) }),
        };
      }),
    )
    .delete(
      '/bin',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const { id: maker } = await requireMaker(context, req);
        await db.transaction(async (trx) => {
          for (const table of BINNED) {
            await trx(table).where({ maker }).whereNotNull('deleted').delete();
          }
        });
        await clearRecordings(db);
        return { done: true };
      }),
    )
    .use(back('/courses/:id/restore', 'courses', 'id', 'The course'))
    .use(back('/kits/:id/restore', 'kits', 'id', 'The assembly'))
    .use(back('/recordings/:id/restore', 'keeps', 'file', 'The recording'))
    .use(back('/series/:id/restore', 'series', 'id', 'The series'));
}
