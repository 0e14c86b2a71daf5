import { Router, type Response } from 'express';
import { DoneAnswer, KitsAnswer } from '@/core/protocol';
import type { KitRow } from '../db/rows';
import { readDocument } from '../base/bodies';
import { handler, HttpError, NoBody, notFound, sendJson, sendPicture } from '../base/http';
import { param } from '../base/params';
import { partyOf } from './limits';
import type { Context } from './context';
import { newId } from './ids';
import { known, knownOrNew, makerOf, makerOrNew, requireMaker } from './session';
import { takeIn } from './takeIn';

/** Most assemblies a maker keeps. */
export const MOST_KITS = 300;

/** A maker's kit: assemblies to be laid in any course. */
export function kits(context: Context): Router {
  const { db, limits, pictures } = context;
  const own = async (req: Parameters<typeof requireMaker>[1]) => {
    const { id: maker } = await requireMaker(context, req);
    const row = await db<KitRow>('kits')
      .where({ id: param(req, 'id'), maker })
      .first();
    if (!row || row.deleted !== null) throw notFound('The assembly');
    return row;
  };
  return Router()
    .get(
      '/kits',
      handler({ body: NoBody, answer: KitsAnswer }, async (_, req) => {
        const maker = await makerOf(context, req);
        if (!maker) return { kits: [] };
        return {
          kits: await db<KitRow>('kits')
            .where({ maker: maker.id, deleted: null })
            .orderBy('changed', 'desc')
            .select('id', 'name', 'pieces', 'changed'),
        };
      }),
    )
    .post('/kits', knownOrNew(context), readDocument, async (req, res) => {
      await limits.room();
      const kit = await takeIn(context, req, 'takeKit');
      const { id: maker } = await makerOrNew(context, req, res);
      const row = { ...kit, id: newId(), maker, picture: null, changed: Date.now(), deleted: null };
      await db.transaction(async (trx) => {
        const [{ count }] = await trx<KitRow>('kits').where({ maker }).count({ count: '*' });
        if (Number(count) >= MOST_KITS) {
          throw new HttpError(
            409,
            'full',
            `A kit holds at most ${MOST_KITS} assemblies, those in the bin included.`,
          );
        }
        await limits.keep(trx, maker, kit.bytes);
        await trx<KitRow>('kits').insert(row);
      });
      res.status(201);
      sendKit(res, row);
    })
    .get('/kits/:id', async (req, res) => sendKit(res, await own(req)))
    .put('/kits/:id', known(context), readDocument, async (req, res) => {
      await limits.room();
      const { id, maker } = await own(req);
      const kit = await takeIn(context, req, 'takeKit');
      await db.transaction(async (trx) => {
        const before = await trx<KitRow>('kits').where({ id }).first('bytes');
        await limits.keep(trx, maker, kit.bytes - (before?.bytes ?? 0));
        await trx<KitRow>('kits')
          .where({ id })
          .update({ ...kit, picture: null, changed: Date.now() });
      });
      sendKit(res, { id, document: kit.document });
    })
    .get('/kits/:id/picture', async (req, res) => {
      const { id, maker, document, changed, picture } = await own(req);
      const svg = picture ?? (await pictures.run(partyOf(req, maker), 'drawKit', document));
      if (picture === null)
        await db<KitRow>('kits').where({ id, changed }).update({ picture: svg });
      sendPicture(res, svg, req.query.of === String(changed) ? 'private' : null);
    })
    .delete(
      '/kits/:id',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const { id } = await own(req);
        await db<KitRow>('kits').where({ id }).update({ deleted: Date.now() });
        return { done: true };
      }),
    );
}

const sendKit = (res: Response, { id, document }: Pick<KitRow, 'id' | 'document'>): void =>
  sendJson(res, { id }, { kit: document });
