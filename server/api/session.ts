import { createHash, randomBytes } from 'node:crypto';
import type { Request, Response } from 'express';
import type { MakerRow } from '../db/rows';
import { HttpError } from '../http';
import type { Context } from './context';

const COOKIE = 'stonehop';
const A_YEAR = 365 * 86_400_000;

const digestOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** A short random name for a row or a link. */
export const newId = (bytes = 9): string => randomBytes(bytes).toString('base64url');

/** The maker a request's cookie stands for, if any. */
export async function makerOf({ db }: Context, req: Request): Promise<MakerRow | undefined> {
  const token: unknown = req.cookies?.[COOKIE];
  if (typeof token !== 'string') return undefined;
  return db<MakerRow>('makers')
    .join('sessions', 'sessions.maker', 'makers.id')
    .where('sessions.digest', digestOf(token))
    .first('makers.*');
}

/** The maker of a request; somebody without an account gets one now, kept by the cookie. */
export async function makerOrNew(context: Context, req: Request, res: Response): Promise<MakerRow> {
  const known = await makerOf(context, req);
  if (known) return known;
  const maker: MakerRow = { id: newId(), name: null, passphrase: null, created: Date.now() };
  await context.db<MakerRow>('makers').insert(maker);
  await beginSession(context, res, maker.id);
  return maker;
}

/** @throws HttpError 401 for a request without an account */
export async function requireMaker(context: Context, req: Request): Promise<MakerRow> {
  const maker = await makerOf(context, req);
  if (!maker) throw new HttpError(401, 'no-account', 'This needs an account; save a course first.');
  return maker;
}

/** Gives the answer a cookie that stands for a maker from now on. */
export async function beginSession(
  { db, config }: Context,
  res: Response,
  maker: string,
): Promise<void> {
  const token = newId(32);
  await db('sessions').insert({ digest: digestOf(token), maker, created: Date.now() });
  res.cookie(COOKIE, token, {
    httpOnly: true,
    sameSite: 'lax',
    secure: config.secureCookies,
    maxAge: A_YEAR,
    path: '/',
  });
}

/** Ends the session a request's cookie stands for. */
export async function endSession({ db }: Context, req: Request, res: Response): Promise<void> {
  const token: unknown = req.cookies?.[COOKIE];
  if (typeof token === 'string') await db('sessions').where('digest', digestOf(token)).delete();
  res.clearCookie(COOKIE, { path: '/' });
}
