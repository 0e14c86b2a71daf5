import { Router, type Request } from 'express';
import type { Knex } from 'knex';
import { ClaimBody, DoneAnswer, MakerAnswer, SignInBody } from '@/core/protocol';
import type { MakerRow } from '../db/rows';
import { readJson } from '../base/bodies';
import { handler, HttpError, NoBody } from '../base/http';
import { looksOf, nameKey, refuseReserved } from '../base/names';
import type { Context } from './context';
import { forgetDevices, isKnownDevice, knowDevice } from './devices';
import { mergeMakers } from './merging';
import {
  type Asking,
  digestPassphrase,
  inTurn,
  isOldDigest,
  matchesPassphrase,
} from './passphrase';
import {
  knownOrNew,
  beginSession,
  endOtherSessions,
  endSession,
  makerOf,
  makerOrNew,
  renewSession,
} from './session';
import { refuseWeak } from './strength';

const noMatch = () =>
  new HttpError(401, 'no-match', 'The name and the passphrase do not go together.');

/** Who is making: an account by cookie, a name and passphrase to use it elsewhere. */
export function makers(context: Context): Router {
  const { db, limits } = context;
  return Router()
    .get(
      '/me',
      handler({ body: NoBody, answer: MakerAnswer }, async (_, req, res) => {
        const maker = await makerOf(context, req);
        if (maker) await renewSession(context, req, res);
        return { known: !!maker, name: maker?.name ?? null };
      }),
    )
    .put(
      '/me',
      knownOrNew(context),
      readJson,
      handler({ body: ClaimBody, answer: MakerAnswer }, async (body, req, res) => {
        const { name, passphrase, old } = body;
        refuseReserved(name);
        const maker = await makerOrNew(context, req, res);
        if (maker.passphrase !== null) {
          limits.signIn(req, maker.name_key ?? maker.id, true);
          const { passphrase: stored } = maker;
          const asking = { req, isKnown: true };
          if (!(await inTurn(context, asking, () => matchesPassphrase(old ?? '', stored)))) {
            throw new HttpError(401, 'no-match', 'That is not the passphrase you have now.');
          }
        }
        const digest = await inTurn(
          context,
          { req, isKnown: maker.passphrase !== null },
          async () => {
            refuseWeak(passphrase, name);
            return digestPassphrase(passphrase);
          },
        );
        await claim(db, maker.id, name, digest);
        if (maker.passphrase !== null) {
          await endOtherSessions(context, req, maker.id);
          await forgetDevices(context, req, maker.id);
        }
        await beginSession(context, req, res, maker.id);
        await knowDevice(context, req, res, maker.id);
        return { known: true, name };
      }),
    )
    .post(
      '/session',
      readJson,
      handler({ body: SignInBody, answer: MakerAnswer }, async (body, req, res) => {
        const { passphrase } = body;
        const key = nameKey(body.name);
        const called = await db<MakerRow>('makers')
          .where('name_key', key)
          .orWhere('former_key', key)
          .orderByRaw('name_key = ? desc', [key]);
        const asking = { req, isKnown: await isKnownDevice(context, req, called[0]?.id) };
        limits.signIn(req, key, asking.isKnown);
        const maker = await whoFits(context, asking, called, passphrase);
        if (isOldDigest(maker.passphrase)) await digestAnew(context, asking, maker.id, passphrase);
        await bringAlong(context, req, maker.id);
        await beginSession(context, req, res, maker.id);
        await knowDevice(context, req, res, maker.id);
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

/**
 * Whoever of those who are or were called so has a passphrase.
 * @throws HttpError 401 when none has it
 */
async function whoFits(
  context: Context,
  asking: Asking,
  called: readonly MakerRow[],
  passphrase: string,
): Promise<MakerRow & { passphrase: string }> {
  // A name nobody has, or that has no passphrase, costs as much time as a wrong passphrase.
  for (const maker of called.length > 0 ? called : [null]) {
    const stored = maker?.passphrase ?? null;
    const fits = await inTurn(context, asking, () => matchesPassphrase(passphrase, stored));
    if (maker && fits && stored !== null) return { ...maker, passphrase: stored };
  }
  throw noMatch();
}

/** Keeps a passphrase by a digest as they are made now. */
async function digestAnew(
  context: Context,
  asking: Asking,
  id: string,
  passphrase: string,
): Promise<void> {
  const digest = await inTurn(context, asking, () => digestPassphrase(passphrase));
  await context.db<MakerRow>('makers').where({ id }).update({ passphrase: digest });
}

/**
 * Gives a maker a name.
 * @throws HttpError 409 when another maker has it, or one that looks like it
 */
async function claim(db: Knex, id: string, name: string, passphrase: string): Promise<void> {
  const key = nameKey(name);
  const looks = looksOf(name);
  const taken = () => new HttpError(409, 'name-taken', `Another maker is called ${name}.`);
  try {
    await db.transaction(async (trx) => {
      const alike = await trx<MakerRow>('makers')
        .whereNot({ id })
        .andWhere((either) => {
          void either
            .where('look_small', looks.look_small)
            .orWhere('look_as_is', looks.look_as_is)
            .orWhere('name_key', key);
        })
        .first('name', 'name_key');
      if (alike) {
        if (alike.name_key === key) throw taken();
        const words = `${name} looks like ${alike.name}, who is a maker here.`;
        throw new HttpError(409, 'name-taken', words);
      }
      await trx<MakerRow>('makers')
        .where({ id })
        .update({ name, name_key: key, passphrase, ...looks });
    });
  } catch (error) {
    // Two may ask for one name at once: the database says who was first.
    if ((error as { code?: string }).code !== 'SQLITE_CONSTRAINT_UNIQUE') throw error;
    throw taken();
  }
}

/** Merges what was done on this device without a name into the account. */
async function bringAlong(context: Context, req: Request, to: string): Promise<void> {
  const here = await makerOf(context, req);
  if (!here || here.passphrase !== null || here.id === to) return;
  await context.db.transaction((trx) => mergeMakers(trx, context.limits, here.id, to));
}
