import { Router, type Request } from 'express';
import type { Knex } from 'knex';
import {
  DoneAnswer,
  MOST_SERIES,
  SeriesAnswer,
  SeriesBody,
  SeriesListAnswer,
  UNNAMED,
  type SeriesCourseTold,
  type SeriesListed,
  type SeriesWritten,
} from '@/core/protocol';
import { slugOf } from '@/core/formats';
import type { MakerRow, SeriesCourseRow, SeriesRow } from '../db/rows';
import { jsonUpTo } from '../base/bodies';
import { handler, HttpError, NoBody, notFound } from '../base/http';
import { param } from '../base/params';
import type { Context } from './context';
import { newId } from './ids';
import { known, knownOrNew, makerOf, makerOrNew, requireMaker } from './session';

/** A hundred links, and words about them. */
const readSeries = jsonUpTo(64);

/** Published courses in an order, to be run one after the other. */
export function series(context: Context): Router {
  const { db, limits } = context;
  const own = async (req: Request) => {
    const { id: maker } = await requireMaker(context, req);
    const asked = { id: param(req, 'id'), maker, deleted: null };
    const row = await db<SeriesRow>('series').where(asked).first();
    if (!row) throw notFound('The series');
    return row;
  };
  return Router()
    .get(
      '/series',
      handler({ body: NoBody, answer: SeriesListAnswer }, async (_, req) => {
        const maker = await makerOf(context, req);
        return { series: maker ? await seriesOf(db, maker.id) : [] };
      }),
    )
    .post(
      '/series',
      knownOrNew(context),
      readSeries,
      handler({ body: SeriesBody, answer: SeriesAnswer }, async (body, req, res) => {
        await limits.room();
        const { id: maker } = await makerOrNew(context, req, res);
        const [{ count }] = await db<SeriesRow>('series').where({ maker }).count({ count: '*' });
        if (Number(count) >= MOST_SERIES) {
          const words = `A maker has at most ${MOST_SERIES} series, those in the bin included.`;
          throw new HttpError(409, 'full', words);
        }
        const id = `${slugOf(body.name)}-${newId(4).replace(/[-_]/g, 'x').toLowerCase()}`;
        await db.transaction((trx) => write(trx, { id, maker }, body));
        res.status(201);
        return told(db, id, maker);
      }),
    )
    .get(
      '/series/:id',
      handler({ body: NoBody, answer: SeriesAnswer }, async (_, req) =>
        told(db, param(req, 'id'), (await makerOf(context, req))?.id ?? ''),
      ),
    )
    .put(
      '/series/:id',
      known(context),
      readSeries,
      handler({ body: SeriesBody, answer: SeriesAnswer }, async (body, req) => {
        await limits.room();
        const { id, maker } = await own(req);
        await db.transaction((trx) => write(trx, { id, maker }, body));
        return told(db, id, maker);
      }),
    )
    .delete(
      '/series/:id',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const { id } = await own(req);
        await db<SeriesRow>('series').where({ id }).update({ deleted: Date.now() });
        return { done: true };
      }),
    );
}

/** How many courses a series has, to be put into a query of series. */
export const coursesOf = (db: Knex) =>
  db('series_courses').whereRaw('series = series.id').count('*');

/** A maker's series, the last changed first. */
export async function seriesOf(db: Knex, maker: string): Promise<SeriesListed[]> {
  const rows: (SeriesRow & { courses: number })[] = await db('series')
    .where({ maker, deleted: null })
    .orderBy('changed', 'desc')
    .select('id', 'name', 'sitting', 'changed')
    .select({ courses: coursesOf(db) });
  return rows.map((row) => ({ ...row, sitting: row.sitting === 1 }));
}

/**
 * Keeps a series as its maker wrote it.
 * @throws HttpError 400 when one of its courses is not published
 */
async function write(
  trx: Knex.Transaction,
  { id, maker }: Pick<SeriesRow, 'id' | 'maker'>,
  { name, words, sitting, courses }: SeriesWritten,
): Promise<void> {
  const row = { name, words, sitting: sitting ? 1 : 0, changed: Date.now() };
  await trx<SeriesRow>('series')
    .insert({ id, maker, ...row, deleted: null })
    .onConflict('id')
    .merge(row);
  const known = await trx('published').whereIn('slug', courses).pluck('slug');
  const unknown = courses.find((slug) => !known.includes(slug));
  if (unknown !== undefined) {
    throw new HttpError(400, 'broken', `No course is published under “${unknown}”.`);
  }
  await trx<SeriesCourseRow>('series_courses').where({ series: id }).delete();
  const rows = courses.map((slug, place) => ({ series: id, place, slug }));
  if (rows.length > 0) await trx.batchInsert('series_courses', rows, 100);
}

/** What of a course is read for its line. */
type Line = Omit<SeriesCourseTold, 'shown'> & {
  taken: number | null;
  held: number | null;
  deleted: number | null;
};

/**
 * A series as a viewer sees it.
 * @throws HttpError 404 when there is none
 */
async function told(db: Knex, id: string, viewer: string) {
  const row = await db<SeriesRow>('series').where({ id, deleted: null }).first();
  if (!row) throw notFound('The series');
  const maker = await db<MakerRow>('makers').where('id', row.maker).first('name');
  const own = row.maker === viewer;
  const best = () =>
    db('runs as r').whereRaw('r.slug = l.slug and r.hash = l.hash and r.stale = 0').min('r.time');
  const lines: Line[] = await db('series_courses as s')
    .join('listings as l', 'l.slug', 's.slug')
    .join('courses as c', 'c.id', 'l.course')
    .where('s.series', id)
    .orderBy('s.place')
    .join('published as p', 'p.slug', 's.slug')
    .select({ look: 'p.shown' })
    .select('l.slug', 'l.name', 'l.maker', 'l.kind', 'l.runner', 'l.length')
    .select('l.taken', 'l.held', 'c.deleted')
    .select({ best: best(), own: best().where('r.maker', viewer) });
  const courses = lines.map(({ taken, held, deleted, ...line }) => ({
    ...line,
    shown: taken === null && held === null && deleted === null,
  }));
  return {
    ...{ id, name: row.name, words: row.words, sitting: row.sitting === 1, own },
    maker: maker?.name ?? UNNAMED,
    courses: own ? courses : courses.filter(({ shown }) => shown),
  };
}
