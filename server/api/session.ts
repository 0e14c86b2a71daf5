import type { Request, RequestHandler, Response } from 'express';
import type { Knex } from 'knex';
import type { DeviceKind } from '@/core/protocol';
import type { Config } from '../base/config';
import type { MakerRow, SessionRow } from '../db/rows';
import { digestOf } from '../base/digest';
import { HttpError } from '../base/http';
import { partyOf } from './limits';
import type { Party } from '../threads/turns';
import type { Context } from './context';
import { A_DAY, SESSION_TIME } from '../base/lifetimes';
import { newId } from './ids';

/** Over HTTPS browsers hold the cookie to this host and its root, by its name. */
const cookieName = ({ secureCookies }: Config): string =>
  secureCookies ? '__Host-stonehop' : 'stonehop';
/** Cookies by which the server knows a device: the one it gives, and the one it gave before HTTPS was in use. */
const COOKIES = ['__Host-stonehop', 'stonehop'];

const tokenOf = (req: Request): string | null => {
  const tokens = COOKIES.map((name): unknown => req.cookies?.[name]);
  const token = tokens.find((one) => typeof one === 'string');
  return (token as string | undefined) ?? null;
};

const askers = new WeakMap<Request, Promise<MakerRow | undefined>>();

/** The maker a request's cookie stands for, if any; looked up once a request. */
export function makerOf({ db }: Context, req: Request): Promise<MakerRow | undefined> {
  let asker = askers.get(req);
  if (!asker) askers.set(req, (asker = lookUp(db, tokenOf(req))));
  return asker;
}

async function lookUp(db: Knex, token: string | null): Promise<MakerRow | undefined> {
  if (token === null) return undefined;
  return db<MakerRow>('makers')
    .join('sessions', 'sessions.maker', 'makers.id')
    .where('sessions.digest', digestOf(token))
    .andWhere('sessions.created', '>', Date.now() - SESSION_TIME)
    .first('makers.*');
}

/** Who a request's work is done for. */
export const askerOf = async (context: Context, req: Request): Promise<Party> =>
  partyOf(req, (await makerOf(context, req))?.id);

/** Turns away who has no account, before their request's body is read. */
export const known =
  (context: Context): RequestHandler =>
  async (req, _res, next) => {
    await requireMaker(context, req);
    next();
  };

/** Lets on who has an account or may have one, before their request's body is read. */
export const knownOrNew =
  (context: Context): RequestHandler =>
  async (req, _res, next) => {
    if (!(await makerOf(context, req))) context.limits.mayBegin(req);
    next();
  };

/** The maker of a request; somebody without an account gets one now, kept by the cookie. */
export async function makerOrNew(context: Context, req: Request, res: Response): Promise<MakerRow> {
  const known = await makerOf(context, req);
  if (known) return known;
  context.limits.newMaker(req);
  const maker: MakerRow = {
    id: newId(),
    name: null,
    name_key: null,
    look_small: null,
    look_as_is: null,
    former_key: null,
    passphrase: null,
    created: Date.now(),
  };
  // Both at once: each change that is kept waits for the disk.
  await context.db.transaction(async (trx) => {
    await trx<MakerRow>('makers').insert(maker);
    await beginSession({ ...context, db: trx }, req, res, maker.id);
  });
  askers.set(req, Promise.resolve(maker));
  return maker;
}

/** @throws HttpError 401 for a request without an account */
export async function requireMaker(context: Context, req: Request): Promise<MakerRow> {
  const maker = await makerOf(context, req);
  if (!maker) throw new HttpError(401, 'no-account', 'This needs an account; save a course first.');
  return maker;
}

/** Gives the answer a cookie that stands for a maker from now on; the session the request came by ends. */
export async function beginSession(
  { db, config }: Context,
  req: Request,
  res: Response,
  maker: string,
): Promise<void> {
  const token = newId(32);
  const now = Date.now();
  const row = { digest: digestOf(token), maker, created: now, device: deviceOf(req), begun: now };
  const before = sessionOf(req);
  await db.transaction(async (trx) => {
    await trx<SessionRow>('sessions').where('digest', before).delete();
    await trx<SessionRow>('sessions').insert(row);
  });
  sessions.set(req, row.digest);
  giveCookie(config, res, token);
}

/** What kind of device asks, by what it says of itself. */
function deviceOf(req: Request): DeviceKind {
  const told = req.get('user-agent') ?? '';
  if (/tablet|ipad/i.test(told)) return 'tablet';
  return /mobi/i.test(told) ? 'phone' : 'computer';
}

const giveCookie = (config: Config, res: Response, token: string): void => {
  const age = { maxAge: SESSION_TIME, path: '/' };
  const secure = config.secureCookies;
  res.cookie(cookieName(config), token, { httpOnly: true, sameSite: 'lax', secure, ...age });
};

/** Has a session that is used last on; once a day is often enough. */
export async function renewSession({ db, config }: Context, req: Request, res: Response) {
  const token = tokenOf(req);
  if (token === null) return;
  const now = Date.now();
  const renewed = await db('sessions')
    .where('digest', digestOf(token))
    .andWhere('created', '>', now - SESSION_TIME)
    .andWhere('created', '<', now - A_DAY)
    .update({ created: now });
  if (renewed > 0) giveCookie(config, res, token);
}

/** Ends the session a request's cookie stands for. */
export async function endSession(
  { db, config }: Context,
  req: Request,
  res: Response,
): Promise<void> {
  await db<SessionRow>('sessions').where('digest', sessionOf(req)).delete();
  const secure = config.secureCookies;
  for (const name of COOKIES) {
    if (req.cookies?.[name] !== undefined) res.clearCookie(name, { path: '/', secure });
  }
}

/** Sessions that began with a request's own answer. */
const sessions = new WeakMap<Request, string>();

/** The digest of the session a request goes by; of none an empty one. */
export function sessionOf(req: Request): string {
  const begun = sessions.get(req);
  if (begun !== undefined) return begun;
  const token = tokenOf(req);
  return token === null ? '' : digestOf(token);
}

/** Ends all sessions of a maker but the request's own. */
export async function endOtherSessions({ db }: Context, req: Request, maker: string) {
  await db<SessionRow>('sessions').where({ maker }).whereNot('digest', sessionOf(req)).delete();
}
