import type { Request, Response } from 'express';
import type { DeviceRow } from '../db/rows';
import { digestOf } from '../base/digest';
import { KNOWN_DEVICE_TIME } from '../base/lifetimes';
import type { Context } from './context';
import { newId } from './ids';

const cookieName = (secure: boolean): string =>
  secure ? '__Host-stonehop-device' : 'stonehop-device';

/** The digest of the cookie by which a device is known; of none an empty one. */
function digestOfDevice({ config }: Context, req: Request): string {
  const token: unknown = req.cookies?.[cookieName(config.secureCookies)];
  return typeof token === 'string' ? digestOf(token) : '';
}

/** True if the maker has signed in on this device before. */
export async function isKnownDevice(
  context: Context,
  req: Request,
  maker: string | undefined,
): Promise<boolean> {
  if (maker === undefined) return false;
  const asked = { digest: digestOfDevice(context, req), maker };
  return !!(await context.db<DeviceRow>('devices').where(asked).first('maker'));
}

/** Remembers that somebody signed in as a maker on the device that asks. */
export async function knowDevice(
  context: Context,
  req: Request,
  res: Response,
  maker: string,
): Promise<void> {
  const { db, config } = context;
  const used = Date.now();
  const before = digestOfDevice(context, req);
  const known = await db<DeviceRow>('devices').where({ digest: before, maker }).update({ used });
  if (known > 0) return;
  const token = newId(32);
  await db.transaction(async (trx) => {
    await trx<DeviceRow>('devices').where('digest', before).delete();
    await trx<DeviceRow>('devices').insert({ digest: digestOf(token), maker, used });
  });
  const secure = config.secureCookies;
  const age = { maxAge: KNOWN_DEVICE_TIME, path: '/' };
  res.cookie(cookieName(secure), token, { httpOnly: true, sameSite: 'lax', secure, ...age });
}

/** Forgets all devices of a maker but the one that asks: whoever had the old passphrase is a stranger. */
export const forgetDevices = (context: Context, req: Request, maker: string) =>
  context
    .db<DeviceRow>('devices')
    .where({ maker })
    .whereNot('digest', digestOfDevice(context, req))
    .delete();
