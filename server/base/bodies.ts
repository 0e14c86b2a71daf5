import express, { type RequestHandler } from 'express';
import { HttpError } from './http';
import { jsonOf, NO_JSON } from './json';

// Bodies are read last: who asks is settled before, each route says how long they may be, unpacked, and what is nested
// deeper than anything here is refused before it is looked into.

const KB = 1024;
/** Bodies of more characters than this are read on another thread. */
export const LONG_BODY = 64 * KB;

const text = (kilobytes: number): RequestHandler =>
  express.text({ type: 'application/json', limit: kilobytes * KB });

/** The text a request brought. */
export const textOf = (req: { body?: unknown }): string =>
  typeof req.body === 'string' ? req.body : '';

const parse: RequestHandler = (req, _res, next) => {
  const sent = textOf(req);
  req.body = sent === '' ? {} : jsonOf(sent);
  if (req.body === undefined) throw new HttpError(400, 'broken', NO_JSON);
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
