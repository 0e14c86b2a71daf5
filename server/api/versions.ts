import { Router } from 'express';
import type { Knex } from 'knex';
import { DoneAnswer, VersionBody, VersionsAnswer } from '@/core/protocol';
import type { VersionRow } from '../db/rows';
import { toThin } from '../db/thin';
import { readJson } from '../bodies';
import { handler, NoBody, notFound, param, sendJson } from '../http';
import { unpack, type TakenCourse } from '../threads/intake';
import type { Context } from './context';
import { known } from './session';
import { ownCourse } from './owned';

/** Most versions a list tells of. */
const MOST_LISTED = 400;
/** How many saves go by before earlier versions are thinned out. */
const THIN_EVERY = 20;
/** Bytes of packed versions of one course above which its last hour is thinned out as well. */
const DENSE_BYTES = 100 * 1024 * 1024;

/** Earlier versions of a maker's courses. */
export function versions(context: Context): Router {
  const { db } = context;
  return Router()
    .get(
      '/courses/:id/versions',
      handler({ body: NoBody, answer: VersionsAnswer }, async (_, req) => {
        const { id } = await ownCourse(context, req);
        return {
          versions: await db<VersionRow>('versions')
            .where('course', id)
            .orderBy('revision', 'desc')
            .limit(MOST_LISTED)
            .select('revision', 'saved', 'pieces', 'label'),
        };
      }),
    )
    .get('/courses/:id/versions/:revision', async (req, res) => {
      const { id } = await ownCourse(context, req);
      const row = await db<VersionRow>('versions')
        .where({ course: id, revision: Number(param(req, 'revision')) })
        .first('document');
      if (!row) throw notFound('That version');
      sendJson(res, {}, { course: unpack(row.document) });
    })
    .put(
      '/courses/:id/versions/:revision',
      known(context),
      readJson,
      handler({ body: VersionBody, answer: DoneAnswer }, async ({ label }, req) => {
        const { id } = await ownCourse(context, req);
        const named = await db<VersionRow>('versions')
          .where({ course: id, revision: Number(param(req, 'revision')) })
          .update({ label: label || null });
        if (named === 0) throw notFound('That version');
        return { done: true };
      }),
    );
}

/** Keeps a course as it is saved, and now and then lets go of what is between. */
export async function keepVersion(
  db: Knex,
  course: string,
  revision: number,
  { packed, pieces }: Pick<TakenCourse, 'packed' | 'pieces'>,
  saved: number,
): Promise<void> {
  const document = Buffer.from(packed);
  await db<VersionRow>('versions').insert({
    course,
    revision,
    document,
    pieces,
    label: null,
    saved,
  });
  if (revision % THIN_EVERY === 0) await thin(db, course);
}

async function thin(db: Knex, course: string): Promise<void> {
  const rows = await db<VersionRow>('versions')
    .where({ course })
    .orderBy('revision', 'desc')
    .select('revision', 'saved', 'label', db.raw('length(document) as bytes'));
  const bytes = rows.reduce(
    (sum, row) => sum + Number((row as unknown as { bytes: number }).bytes),
    0,
  );
  const gone = toThin(rows, bytes > DENSE_BYTES);
  for (let i = 0; i < gone.length; i += 500) {
    await db('versions')
      .where({ course })
      .whereIn('revision', gone.slice(i, i + 500))
      .delete();
  }
}
