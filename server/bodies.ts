import express, { type RequestHandler } from 'express';
import { HttpError } from './http';

// Bodies are read last: who asks is settled before, each route says how long they may be, unpacked, and what is nested
// deeper than anything here is refused before it is looked into.

const KB = 1024;
/** Most levels of lists and objects in each other: a course has about ten. */
const MOST_DEEP = 40;

/** Bodies of more characters than this are read on another thread. */
export const LONG_BODY = 64 * KB;

const text = (kilobytes: number): RequestHandler =>
  express.text({ type: 'application/json', limit: kilobytes * KB });

/** The text a request brought. */
export const textOf = (req: { body?: unknown }): string =>
  typeof req.body === 'string' ? req.body : '';

/** Whether JSON text nests lists and objects deeper than anything that is kept does. */
export function isTooDeep(json: string): boolean {
  let depth = 0;
  let quoted = false;
  for (let i = 0; i < json.length; i++) {
    const c = json.charCodeAt(i);
    if (quoted) {
      if (c === BACKSLASH) i++;
      else if (c === QUOTE) quoted = false;
    } else if (c === QUOTE) quoted = true;
    else if (c === LIST || c === OBJECT) {
      if (++depth > MOST_DEEP) return true;
    } else if (c === LIST_END || c === OBJECT_END) depth--;
  }
  return false;
}
const [QUOTE, BACKSLASH, LIST, LIST_END, OBJECT, OBJECT_END] = [...'"\\[]{}'].map((letter) =>
  letter.charCodeAt(0),
);

const broken = () => new HttpError(400, 'broken', 'The request is cut off or is not JSON.');

/**
 * What JSON text holds.
 * @throws HttpError 400 when it is none, or nests too deeply
 */
export function parseBody(json: string): unknown {
  if (json === '') return {};
  if (isTooDeep(json)) throw new HttpError(400, 'broken', 'The request nests too deeply.');
  try {
    return JSON.parse(json) as unknown;
  } catch {
    throw broken();
  }
}

const parse: RequestHandler = (req, _res, next) => {
  req.body = parseBody(textOf(req));
  next();
};

/** Reads a body of at most so many kB as JSON, on the answering thread. */
export const jsonUpTo = (kilobytes: number): RequestHandler[] => [text(kilobytes), parse];

/** Reads a short body as JSON: names, words, choices. */
export const readJson = jsonUpTo(16);

/** Leaves a body as it was sent: a document, which another thread reads. */
export const readDocument = text(8 * KB);

/** Leaves a run as it was sent: half an hour of it may be long. */
export const readRunText = text(2 * KB);
