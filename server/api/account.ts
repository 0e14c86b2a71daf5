import { Router, type Request } from 'express';
import { DevicesAnswer, DoneAnswer, LeaveBody, type DeviceKind } from '@/core/protocol';
import type { MakerRow, SessionRow } from '../db/rows';
import { clearRecordings } from '../db/sweep';
import { readJson } from '../base/bodies';
import { handler, HttpError, NoBody, notFound } from '../base/http';
import { param } from '../base/params';
import { sendAll } from './allData';
import type { Context } from './context';
import { inTurn, matchesPassphrase } from './passphrase';
import { known, endOtherSessions, endSession, requireMaker, sessionOf } from './session';

/** Letters of a session's digest by which it is named: enough for one maker's, and no way in. */
const ID_LENGTH = 16;

/** What somebody does with the account as a whole: see and end devices, take everything along, leave. */
export function account(context: Context): Router {
  const { db } = context;
  return Router()
    .get(
      '/me/devices',
      handler({ body: NoBody, answer: DevicesAnswer }, async (_, req) => {
        const { id: maker } = await requireMaker(context, req);
        const rows = await db<SessionRow>('sessions').where({ maker }).orderBy('created', 'desc');
        const here = sessionOf(req);
        return {
          devices: rows.map(({ digest, device, begun, created }) => ({
            id: digest.slice(0, ID_LENGTH),
            kind: device as DeviceKind,
            begun,
            used: created,
            here: digest === here,
          })),
        };
      }),
    )
    .delete(
      '/me/devices',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const { id } = await requireMaker(context, req);
        await endOtherSessions(context, req, id);
        return { done: true };
      }),
    )
    .delete(
      '/me/devices/:id',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const { id: maker } = await requireMaker(context, req);
        const asked = param(req, 'id');
        const rows = await db<SessionRow>('sessions').where({ maker }).select('digest');
        const found = rows.find(({ digest }) => digest.slice(0, ID_LENGTH) === asked);
        if (!found) throw notFound('The device');
        await db<SessionRow>('sessions').where(found).delete();
        return { done: true };
      }),
    )
    .get('/me/data', async (req, res) => {
      await sendAll(db, await requireMaker(context, req), res);
    })
    .delete(
      '/me',
      known(context),
      readJson,
      handler({ body: LeaveBody, answer: DoneAnswer }, async ({ passphrase }, req, res) => {
        const maker = await requireMaker(context, req);
        await refuseOthers(context, req, maker, passphrase);
        // Courses, what is published of them, runs and all else go with the maker: the database sees to it.
        await db<MakerRow>('makers').where('id', maker.id).delete();
        await clearRecordings(db);
        await endSession(context, req, res);
        return { done: true };
      }),
    );
}

/** @throws HttpError 401 unless the passphrase is the maker's, where there is one */
async function refuseOthers(
  context: Context,
  req: Request,
  maker: MakerRow,
  passphrase = '',
): Promise<void> {
  const { passphrase: stored } = maker;
  if (stored === null) return;
  context.limits.signIn(req, maker.name_key ?? maker.id, true);
  if (await inTurn(context, { req, isKnown: true }, () => matchesPassphrase(passphrase, stored)))
    return;
  throw new HttpError(401, 'no-match', 'That is not the passphrase you have now.');
}
