import { Router, type Request } from 'express';
import type { Knex } from 'knex';
import { ClaimBody, DoneAnswer, MakerAnswer, SignInBody, UNNAMED } from '@/core/protocol';
import type { CourseRow, KeepRow, KitRow, MakerRow, NoteRow, RunRow, SeriesRow } from '../db/rows';
import { readJson } from '../bodies';
import { handler, HttpError, NoBody } from '../http';
import { nameKey, refuseReserved } from '../names';
import type { Context } from './context';
import { digestPassphrase, inTurn, matchesPassphrase } from './passphrase';
import {
  knownOrNew,
  beginSession,
  endOtherSessions,
  endSession,
  makerOf,
  makerOrNew,
  renewSession,
} from './session';

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
          limits.signIn(req, maker.name_key ?? maker.id);
          const { passphrase: stored } = maker;
          if (!(await inTurn(context, req, () => matchesPassphrase(old ?? '', stored)))) {
            throw new HttpError(401, 'no-match', 'That is not the passphrase you have now.');
          }
        }
        const digest = await inTurn(context, req, () => digestPassphrase(passphrase));
        await claim(db, maker.id, name, digest);
        if (maker.passphrase !== null) await endOtherSessions(context, req, maker.id);
        return { known: true, name };
      }),
    )
    .post(
      '/session',
      readJson,
      handler({ body: SignInBody, answer: MakerAnswer }, async (body, req, res) => {
        const key = nameKey(body.name);
        limits.signIn(req, key);
        const maker = await db<MakerRow>('makers').where('name_key', key).first();
        // A name nobody has, or that has no passphrase, costs as much time as a wrong passphrase.
        const stored = maker?.passphrase ?? null;
        const fits = await inTurn(context, req, () => matchesPassphrase(body.passphrase, stored));
        if (!maker || !fits) throw noMatch();
        await bringAlong(context, req, maker.id);
        await beginSession(context, req, res, maker.id);
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
 * Gives a maker a name. Runs that somebody else sent in under it are nobody's from then on.
 * @throws HttpError 409 when another maker has it
 */
async function claim(db: Knex, id: string, name: string, passphrase: string): Promise<void> {
  const key = nameKey(name);
  try {
    await db.transaction(async (trx) => {
      await trx<MakerRow>('makers').where({ id }).update({ name, name_key: key, passphrase });
      await trx<RunRow>('runs')
        .where('player_key', key)
        .whereNot('maker', id)
        .update({ player: UNNAMED, player_key: nameKey(UNNAMED) });
    });
  } catch (error) {
    // Two may ask for one name at once: the database says who was first.
    if ((error as { code?: string }).code !== 'SQLITE_CONSTRAINT_UNIQUE') throw error;
    throw new HttpError(409, 'name-taken', `Another maker is called ${name}.`);
  }
}

/** What was made here without a name comes along when somebody signs in. */
async function bringAlong(context: Context, req: Request, to: string): Promise<void> {
  const here = await makerOf(context, req);
  if (!here || here.passphrase !== null || here.id === to) return;
  const from = { maker: here.id };
  await context.db.transaction(async (trx) => {
    await trx<CourseRow>('courses').where(from).update({ maker: to });
    await trx<KitRow>('kits').where(from).update({ maker: to });
    await trx<SeriesRow>('series').where(from).update({ maker: to });
    await trx<NoteRow>('notes').where(from).update({ maker: to });
    // Where both have one, of a recording or a course's best run, the one that is there stays.
    const others = (table: string, column: string) =>
      trx(table).where('maker', to).select(column) as Knex.QueryBuilder;
    await trx<KeepRow>('keeps')
      .where(from)
      .whereNotIn('file', others('keeps', 'file'))
      .update({ maker: to });
    await trx<RunRow>('runs')
      .where(from)
      .whereNotIn('slug', others('runs', 'slug'))
      .update({ maker: to });
    await trx<MakerRow>('makers').where('id', here.id).delete();
  });
}
