import { randomBytes } from 'node:crypto';
import { Router } from 'express';
import type { Knex } from 'knex';
import { AttemptAnswer, DoneAnswer } from '@/core/protocol';
import type { Run } from '@/core/run';
import type { AttemptRow, ListingRow } from '../db/rows';
import { handler, HttpError, NoBody, notFound } from '../base/http';
import { param } from '../base/params';
import type { Context } from './context';
import { findPublished } from './found';
import { newId } from './ids';
import { makerOrNew, requireMaker } from './session';

/** Most attempts at a course that one player may have begun and not sent. */
const MOST_OPEN = 5;
/** The shortest try, ms, and how much of it the network may swallow, ms. */
const [TRY_TIME, ON_THE_WAY] = [2000, 500];
/** Tolerance for clocks that differ, ms. */
const CLOCKS = 1000;

/**
 * Attempts at published courses. Whoever runs for the list asks for one first, which says where its chance comes
 * from: a seed one could choose is one to look for.
 */
export function attempts(context: Context): Router {
  const { db, config, limits } = context;
  return Router()
    .post(
      '/published/:slug/attempts',
      handler({ body: NoBody, answer: AttemptAnswer }, async (_, req, res) => {
        await limits.room();
        const { slug, hash } = await findPublished(db, param(req, 'slug'));
        const { id: maker } = await makerOrNew(context, req, res);
        limits.attempt(req, maker);
        const seed = randomBytes(4).readUInt32LE();
        const given = Date.now();
        const row: AttemptRow = {
          ...{ id: newId(12), slug, maker, hash, seed, given, begun: 0, told: 0 },
          ...{ inputs: null, time: null, strokes: null },
        };
        await db.transaction(async (trx) => {
          await trx<AttemptRow>('attempts').insert(row);
          const old = await trx<AttemptRow>('attempts')
            .where({ slug, maker, inputs: null })
            .orderBy([
              { column: 'given', order: 'desc' },
              { column: 'rowid', order: 'desc' },
            ])
            .offset(MOST_OPEN)
            .limit(MOST_OPEN)
            .pluck('id');
          await trx<AttemptRow>('attempts').whereIn('id', old).delete();
        });
        res.status(201);
        return { attempt: row.id, hash, seed };
      }),
    )
    .put(
      '/published/:slug/attempts/:attempt',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const { slug } = await findPublished(db, param(req, 'slug'));
        const { id: maker } = await requireMaker(context, req);
        const asked = { id: param(req, 'attempt'), slug, maker };
        const attempt = await db<AttemptRow>('attempts').where(asked).first('id', 'given');
        if (!attempt) throw notFound('The attempt');
        const lasted = Date.now() - attempt.given;
        if (!config.inRealTime || lasted >= TRY_TIME - ON_THE_WAY) {
          await db.transaction((trx) => noteTry(trx, asked));
        }
        return { done: true };
      }),
    );
}

/** Counts a try, once an attempt. */
export async function noteTry(
  trx: Knex.Transaction,
  { id, slug }: Pick<AttemptRow, 'id' | 'slug'>,
): Promise<void> {
  const begun = await trx<AttemptRow>('attempts').where({ id, begun: 0 }).update({ begun: 1 });
  if (begun > 0) await trx<ListingRow>('listings').where({ slug }).increment('tries', 1);
}

export const otherVersion = () =>
  new HttpError(
    409,
    'other-version',
    'The course has changed since this run began. Load it again and run the new one.',
  );

export const usedUp = () =>
  new HttpError(409, 'no-attempt', 'Another run was sent for this attempt. Begin a new one.');

/**
 * The attempt a run was made in.
 * @throws HttpError 409 when there is none, or the run has another seed or is of another edition
 */
export async function attemptOf(
  db: Knex,
  asked: Pick<AttemptRow, 'id' | 'slug' | 'maker'>,
  run: Run,
): Promise<AttemptRow> {
  const attempt = await db<AttemptRow>('attempts').where(asked).first();
  if (attempt && attempt.hash !== run.course) throw otherVersion();
  if (attempt?.seed === run.seed) return attempt;
  throw new HttpError(
    409,
    'no-attempt',
    'This run was not begun with the server in reach, or too long ago; it counts on this device only.',
  );
}

/**
 * @param attempt that a run was made in
 * @param time it took by the simulation, s
 * @throws HttpError 409 for a run that is longer than the time since its attempt began
 */
export function refuseTooSoon({ given }: Pick<AttemptRow, 'given'>, time: number): void {
  if (Date.now() - given >= 1000 * time - CLOCKS) return;
  throw new HttpError(
    409,
    'too-soon',
    'This run lasts longer than the time since it began: nobody can have run it.',
  );
}
