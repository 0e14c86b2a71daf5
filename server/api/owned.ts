import type { Request } from 'express';
import type { BodyRow, CourseRow, MakerRow } from '../db/rows';
import { notFound, param } from '../http';
import type { Context } from './context';
import { requireMaker } from './session';

/** What is long of a course, read where it is asked for. */
type Long = Exclude<keyof BodyRow, 'course'>;

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
  'folder',
  'tags',
] as const;
export type Listed = Pick<CourseRow, (typeof LISTED)[number]>;

/**
 * The course a request is about, as far as it is asked for.
 * @throws HttpError 401 without an account, 404 unless the course is there and the request's maker owns it
 */
export async function ownCourse<More extends Long = never>(
  context: Context,
  req: Request,
  ...more: More[]
): Promise<Listed & Pick<BodyRow, More>> {
  const maker: MakerRow = await requireMaker(context, req);
  const row = await context
    .db<CourseRow>('courses')
    .where({ id: param(req, 'id'), maker: maker.id, deleted: null })
    .first(...LISTED);
  if (!row) throw notFound('The course');
  const body =
    more.length > 0 ? await context.db('bodies').where('course', row.id).first(more) : {};
  return { ...row, ...(body as Pick<BodyRow, More>) };
}
