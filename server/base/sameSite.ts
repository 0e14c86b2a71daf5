import type { RequestHandler } from 'express';
import { HttpError } from './http';

/** Methods that change nothing. */
const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Turns away changes that a page of another site asks for with the cookie of whoever looks at it. Browsers say where a
 * request comes from; what is no browser says nothing and has no such cookie.
 */
export const sameSiteOnly: RequestHandler = (req, _res, next) => {
  if (READS.has(req.method)) return next();
  const site = req.get('sec-fetch-site');
  if (site === 'same-origin' || site === 'none') return next();
  const origin = req.get('origin');
  if (site !== undefined || (origin !== undefined && hostOf(origin) !== req.host)) {
    throw new HttpError(403, 'other-site', 'Changes are taken from this site’s own pages only.');
  }
  next();
};

/** The host that an origin names, with its port; none of an origin that is none. */
function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}
