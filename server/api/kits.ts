import { Router } from 'express';
import { KitError, readKit, type Kit } from '@/core/assemble';
import { DoneAnswer, KitAnswer, KitBody, KitsAnswer } from '@/core/protocol';
import type { KitRow } from '../db/rows';
import { handler, HttpError, NoBody, notFound, param } from '../http';
import type { Context } from './context';
import { makerOf, makerOrNew, newId, requireMaker } from './session';

/** Most assemblies a maker keeps. */
const MOST_KITS = 300;

/** A maker's kit: assemblies to be laid in any course. */
export function kits(context: Context): Router {
  const { db } = context;
  return Router()
    .get(
      '/kits',
      handler({ body: NoBody, answer: KitsAnswer }, async (_, req) => {
        const maker = await makerOf(context, req);
        if (!maker) return { kits: [] };
        const rows = await db<KitRow>('kits').where('maker', maker.id).orderBy('changed', 'desc');
        return { kits: rows.map(toAnswer) };
      }),
    )
    .post(
      '/kits',
      handler({ body: KitBody, answer: KitAnswer }, async ({ kit }, req, res) => {
        const maker = await makerOrNew(context, req, res);
        const [{ count }] = await db('kits').where('maker', maker.id).count({ count: '*' });
        if (Number(count) >= MOST_KITS) {
          throw new HttpError(409, 'full', `A kit holds at most ${MOST_KITS} assemblies.`);
        }
        const row: KitRow = {
          id: newId(),
          maker: maker.id,
          document: JSON.stringify(sound(kit)),
          changed: Date.now(),
        };
        await db('kits').insert(row);
        res.status(201);
        return toAnswer(row);
      }),
    )
    .put(
      '/kits/:id',
      handler({ body: KitBody, answer: KitAnswer }, async ({ kit }, req) => {
        const maker = await requireMaker(context, req);
        const id = param(req, 'id');
        const row = { document: JSON.stringify(sound(kit)), changed: Date.now() };
        const changed = await db('kits').where({ id, maker: maker.id }).update(row);
        if (changed === 0) throw notFound('The assembly');
        return toAnswer({ ...row, id, maker: maker.id });
      }),
    )
    .delete(
      '/kits/:id',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const maker = await requireMaker(context, req);
        const gone = await db('kits')
          .where({ id: param(req, 'id'), maker: maker.id })
          .delete();
        if (gone === 0) throw notFound('The assembly');
        return { done: true };
      }),
    );
}

const toAnswer = ({ id, document }: KitRow) => ({ id, kit: JSON.parse(document) as Kit });

/** @throws HttpError 422 in words when it has a piece that is not known here */
function sound(kit: Kit): Kit {
  try {
    return readKit(JSON.stringify(kit));
  } catch (problem) {
    if (problem instanceof KitError) throw new HttpError(422, 'unsound', problem.message);
    throw problem;
  }
}
