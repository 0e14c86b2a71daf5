import type { Request } from 'express';
import * as v from 'valibot';
import { MAKERS_RUN } from '@/core/protocol';
import { HttpError } from './http';

/** A random name of a course, a kit, a recording and the like, or a digest. */
const Id = v.pipe(
  v.string(),
  v.regex(
    /^[\w.-]{1,100}$/,
    'has to have 1 to 100 letters, digits, points, hyphens and underscores',
  ),
);
const Count = v.pipe(
  v.string(),
  v.regex(/^\d{1,9}$/, 'has to be a whole number of at most 9 digits'),
  v.transform(Number),
);
const MakerName = v.pipe(v.string(), v.maxLength(100, 'has to have at most 100 characters'));

/** Every path parameter of every route. */
const PARAMS = {
  attempt: Id,
  edition: Count,
  file: Id,
  id: Id,
  look: Id,
  name: MakerName,
  note: Count,
  revision: Count,
  run: v.union([v.literal(MAKERS_RUN), Count], `has to be "${MAKERS_RUN}" or a whole number`),
  slug: Id,
};
type Params = typeof PARAMS;

/** Values after the question mark, for routes that read them one by one. */
const QUERIES = { before: v.optional(Count), edition: v.optional(Count) };
type Queries = typeof QUERIES;

/**
 * A path parameter of a request.
 * @throws HttpError 400 with the parameter's name and what it has to be
 */
export const param = <Name extends keyof Params>(
  req: Pick<Request, 'params'>,
  name: Name,
): v.InferOutput<Params[Name]> => read(PARAMS[name], name, req.params[name]);

/**
 * A value that follows the question mark; undefined where it is not there.
 * @throws HttpError 400 with the value's name and what it has to be
 */
export const query = <Name extends keyof Queries>(
  req: Pick<Request, 'query'>,
  name: Name,
): v.InferOutput<Queries[Name]> => read(QUERIES[name], name, req.query[name]);

function read<Schema extends v.GenericSchema>(
  schema: Schema,
  name: string,
  sent: unknown,
): v.InferOutput<Schema> {
  const result = v.safeParse(schema, sent);
  if (result.success) return result.output;
  const { message } = result.issues[0];
  throw new HttpError(400, 'broken', `The address is wrong: ${name} ${message}.`, {
    places: [`${name}: ${message}`],
  });
}
