import { Router } from 'express';
import { DoneAnswer, END_STEP, EndsAnswer, EndsBody } from '@/core/protocol';
import type { AttemptRow } from '../db/rows';
import { readJson } from '../base/bodies';
import { handler, NoBody, notFound } from '../base/http';
import { param } from '../base/params';
import type { Context } from './context';
import { findPublished } from './found';
import { known, requireMaker } from './session';

/** Most places that are kept of an edition: of more, those that are known already are counted. */
const MOST_PLACES = 1000;

interface EndRow {
  slug: string;
  hash: string;
  x: number;
  y: number;
  z: number;
  count: number;
}

/** Where tries at a published course end, told by players who agreed to it, once an attempt. */
export function ends(context: Context): Router {
  const { db, limits } = context;
  return Router()
    .get(
      '/published/:slug/ends',
      handler({ body: NoBody, answer: EndsAnswer }, async (_, req) => {
        const { slug, hash } = await findPublished(db, param(req, 'slug'));
        const rows = await db<EndRow>('ends').where({ slug, hash }).orderBy('count', 'desc');
        return {
          ends: rows.map(({ x, y, z, count }) => ({
            at: [x * END_STEP, y * END_STEP, z * END_STEP] as [number, number, number],
            count,
          })),
        };
      }),
    )
    .put(
      '/published/:slug/attempts/:attempt/ends',
      known(context),
      readJson,
      handler({ body: EndsBody, answer: DoneAnswer }, async ({ ends: told }, req) => {
        await limits.room();
        const { slug, hash } = await findPublished(db, param(req, 'slug'));
        const { id: maker } = await requireMaker(context, req);
        await db.transaction(async (trx) => {
          const asked = { id: param(req, 'attempt'), slug, maker, hash };
          const first = await trx<AttemptRow>('attempts')
            .where({ ...asked, told: 0 })
            .update({ told: 1 });
          // Told again, because the answer was lost, it counts once.
          if (first === 0) {
            if (await trx<AttemptRow>('attempts').where(asked).first('id')) return;
            throw notFound('The attempt');
          }
          const [{ places }] = await trx<EndRow>('ends')
            .where({ slug, hash })
            .count({ places: '*' });
          const isFull = Number(places) >= MOST_PLACES;
          for (const at of told) {
            const [x, y, z] = at.map((v) => Math.round(v / END_STEP) + 0);
            const place = { slug, hash, x, y, z };
            const known = await trx<EndRow>('ends').where(place).increment('count', 1);
            if (known === 0 && !isFull) await trx<EndRow>('ends').insert({ ...place, count: 1 });
          }
        });
        return { done: true };
      }),
    );
}
