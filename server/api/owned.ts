import type { Request } from 'express';
import type { Knex } from 'knex';
import type { BodyRow, CourseRow, ListingRow, MakerRow } from '../db/rows';
import { notFound } from '../base/http';
import { param } from '../base/params';
import type { Context } from './context';
import { requireMaker } from './session';

/** What is long of a course, read where it is asked for. */
type Long = Exclude<keyof BodyRow, 'course'>;

const OF_COURSE = [
  'id',
  'maker',
  'revision',
  'name',
  'kind',
  'runner',
  'pieces',
  'length',
  'hash',
  'shown',
  'proof_hash',
  'proof_time',
  'proof_strokes',
  'changed',
  'folder',
  'tags',
] as const;

/** What is read of a course where its document is not asked for, and of what is published of it. */
export const LISTED = [
  ...OF_COURSE.map((column) => `courses.${column}`),
  'published.slug',
  'published.shown as published_shown',
  'listings.taken',
  'listings.held',
];
export type Listed = Pick<CourseRow, (typeof OF_COURSE)[number]> &
  Pick<ListingRow, 'taken' | 'held'> & {
    /** Null where nothing is published of it. */
    readonly slug: string | null;
    readonly published_shown: string | null;
  };

/** Courses, each beside what is published of it. */
export const withPublished = (db: Knex) =>
  db('courses')
    .leftJoin('published', 'published.course', 'courses.id')
    .leftJoin('listings', 'listings.slug', 'published.slug');

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
  const asked = withPublished(context.db)
    .where({
      'courses.id': param(req, 'id'),
      'courses.maker': maker.id,
      'courses.deleted': null,
    })
    .first(...LISTED, ...more.map((column) => `bodies.${column}`));
  if (more.length > 0) void asked.join('bodies', 'bodies.course', 'courses.id');
  const row = (await asked) as (Listed & Pick<BodyRow, More>) | undefined;
  if (!row) throw notFound('The course');
  return row;
}
