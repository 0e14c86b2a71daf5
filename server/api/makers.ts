import { Router } from 'express';
import { ClaimBody, DoneAnswer, MakerAnswer } from '@/core/protocol';
import type { MakerRow } from '../db/rows';
import { handler, HttpError, NoBody } from '../http';
import type { Context } from './context';
import { digestPassphrase, matchesPassphrase } from './passphrase';
import { beginSession, endSession, makerOf, makerOrNew } from './session';

/** Who is making: an account by cookie, a name and passphrase to use it elsewhere. */
export function makers(context: Context): Router {
  const { db } = context;
  return Router()
    .get(
      '/me',
      handler({ body: NoBody, answer: MakerAnswer }, async (_, req) => {
        const maker = await makerOf(context, req);
        return { known: !!maker, name: maker?.name ?? null };
      }),
    )
    .put(
      '/me',
      handler({ body: ClaimBody, answer: MakerAnswer }, async ({ name, passphrase }, req, res) => {
        const maker = await makerOrNew(context, req, res);
        const taken = await db<MakerRow>('makers').whereRaw('lower(name) = lower(?)', name).first();
        if (taken && taken.id !== maker.id) {
          throw new HttpError(409, 'name-taken', `Another maker is called ${name}.`);
        }
        await db<MakerRow>('makers')
          .where('id', maker.id)
          .update({ name, passphrase: await digestPassphrase(passphrase) });
        return { known: true, name };
      }),
    )
    .post(
      '/session',
      handler({ body: ClaimBody, answer: MakerAnswer }, async ({ name, passphrase }, req, res) => {
        const maker = await db<MakerRow>('makers').whereRaw('lower(name) = lower(?)', name).first();
        // A name nobody has costs as much time as a wrong passphrase.
        const stored = maker?.passphrase ?? (await digestPassphrase('nobody has this name'));
        if (!(await matchesPassphrase(passphrase, stored)) || !maker) {
          throw new HttpError(401, 'no-match', 'The name and the passphrase do not go together.');
        }
        await moveCourses(context, req, maker.id);
        await beginSession(context, res, maker.id);
        return { known: true, name: maker.name };
      }),
    )
    .delete(
      '/session',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req, res) => {
        await endSession(context, req, res);
        return { done: true };
      }),
    );
}

/** Courses made here without a name come along when somebody signs in. */
async function moveCourses(
  context: Context,
  req: Parameters<typeof makerOf>[1],
  to: string,
): Promise<void> {
  const here = await makerOf(context, req);
  if (here && !here.name) await context.db('courses').where('maker', here.id).update({ maker: to });
}
