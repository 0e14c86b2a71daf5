import { Router } from 'express';
import type { Knex } from 'knex';
import { DoneAnswer, VersionBody, VersionsAnswer } from '@/core/protocol';
import type { CourseRow, VersionRow } from '../db/rows';
import { toThin } from '../db/thin';
import { readJson } from '../base/bodies';
import { handler, NoBody, notFound, sendJson } from '../base/http';
import { param } from '../base/params';
import type { Limits } from './limits';
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
        .where({ course: id, revision: param(req, 'revision') })
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
          .where({ course: id, revision: param(req, 'revision') })
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
  await db<CourseRow>('courses').where('id', course).increment('versions_bytes', document.length);
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

/** Versions of a course that stay whatever room there is. */
const NEWEST = 20;

/**
 * Sees that there is room for a save: where there is not, the course's oldest versions without a name make it.
 * @param trx the transaction of the save
 * @param limits what a maker may keep
 * @param of the course and its maker
 * @param bytes by which what is kept grows
 * @throws HttpError 409 when there is none even so
 */
export async function makeRoom(
  trx: Knex.Transaction,
  limits: Limits,
  of: Pick<CourseRow, 'id' | 'maker'>,
  bytes: number,
): Promise<void> {
  let over = await limits.over(trx, of.maker, bytes);
  if (over <= 0) return;
  const rows = await versionsOf(trx, of.id);
  const gone: number[] = [];
  for (const { revision, label, bytes: freed } of rows.slice(NEWEST).reverse()) {
    if (over <= 0) break;
    if (label !== null) continue;
    gone.push(revision);
    over -= freed;
  }
  await letGo(trx, of.id, gone);
  await limits.keep(trx, of.maker, bytes);
}

type VersionSize = Pick<VersionRow, 'revision' | 'saved' | 'label'> & { readonly bytes: number };

/** The versions of a course, the newest first, and how long each is. */
const versionsOf = (db: Knex, course: string): Promise<VersionSize[]> =>
  db<VersionRow>('versions')
    .where({ course })
    .orderBy('revision', 'desc')
    .select(
      'revision',
      'saved',
      'label',
      db.raw('length(document) as bytes'),
    ) as unknown as Promise<VersionSize[]>;

async function thin(db: Knex, course: string): Promise<void> {
  const rows = await versionsOf(db, course);
  const bytes = rows.reduce((sum, row) => sum + row.bytes, 0);
  await letGo(db, course, toThin(rows, bytes > DENSE_BYTES));
}

async function letGo(db: Knex, course: string, gone: readonly number[]): Promise<void> {
  for (let i = 0; i < gone.length; i += 500) {
    await db('versions')
      .where({ course })
      .whereIn('revision', gone.slice(i, i + 500))
      .delete();
  }
  if (gone.length === 0) return;
  const left = db('versions')
    .where({ course })
    .select(db.raw('coalesce(sum(length(document)), 0)'));
  await db('courses').where('id', course).update({ versions_bytes: left });
}
