import type { Request } from 'express';
import type { CourseRow, MakerRow } from '../db/rows';
import { notFound, param } from '../http';
import type { Context } from './context';
import { requireMaker } from './session';

type Columns = readonly (keyof CourseRow)[];

/** What is read of a course where its document is not asked for. */
export const LISTED = [
  'id',
  'maker',
  'revision',
  'name',
  'kind',
  'runner',
  'pieces',
  'bytes',
  'length',
  'hash',
  'shown',
  'proof_hash',
  'proof_time',
  'proof_strokes',
  'changed',
  'deleted',
] as const;
export type Listed = Pick<CourseRow, (typeof LISTED)[number]>;

/**
 * The course a request is about, as far as it is asked for.
 * @throws HttpError 401 without an account, 404 unless the course is there and the request's maker owns it
 */
export async function ownCourse<Row extends Listed = Listed>(
  context: Context,
  req: Request,
  more: Columns = [],
  binned = false,
): Promise<Row> {
  const maker: MakerRow = await requireMaker(context, req);
  const row = await context
    .db<CourseRow>('courses')
    .where({ id: param(req, 'id'), maker: maker.id })
    .first(...LISTED, ...more);
  if (!row || (row.deleted !== null && !binned)) throw notFound('The course');
  return row as unknown as Row;
}
