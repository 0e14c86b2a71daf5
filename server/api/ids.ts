import { randomBytes } from 'node:crypto';

/** A short random name for a row or a link. */
export const newId = (bytes = 9): string => randomBytes(bytes).toString('base64url');
