import { Router, type Request, type Response } from 'express';
import type * as v from 'valibot';
import { DoneAnswer, ShelfBody, type SavedAnswer } from '@/core/protocol';
import type { BodyRow, CourseRow, SummaryColumns } from '../db/rows';
import { readDocument, readJson } from '../base/bodies';
import { handler, HttpError, NoBody, sendJson, sendPicture } from '../base/http';
import { partyOf } from './limits';
import type { TakenCourse } from '../threads/intake';
import type { Context } from './context';
import { LISTED, ownCourse, type Listed, withPublished } from './owned';
import { newId } from './ids';
import { known, knownOrNew, makerOf, makerOrNew } from './session';
import { takeIn } from './takeIn';
import { refuseCopy } from './whole';
import { keepVersion, makeRoom } from './versions';

/** Most courses a list tells of. */
const MOST_LISTED = 500;

type Whole = Listed & Pick<BodyRow, 'document' | 'proof'>;

/** A maker's own courses: kept, and saved by revision. */
export function courses(context: Context): Router {
  const { db } = context;

  return Router()
    .get('/courses', (req, res) => sendList(context, req, res))
    .post('/courses', knownOrNew(context), readDocument, (req, res) => keepNew(context, req, res))
    .get('/courses/:id', async (req, res) => {
      sendCourse(res, await ownCourse(context, req, 'document', 'proof'));
    })
    .put('/courses/:id', known(context), readDocument, (req, res) => save(context, req, res))
    .get('/courses/:id/picture', (req, res) => picture(context, req, res))
    .put(
      '/courses/:id/shelf',
      known(context),
      readJson,
      handler({ body: ShelfBody, answer: DoneAnswer }, async ({ folder, tags }, req) => {
        const { id } = await ownCourse(context, req);
        await db<CourseRow>('courses')
          .where({ id })
          .update({ folder, tags: JSON.stringify(tags) });
        return { done: true };
      }),
    )
    .delete(
      '/courses/:id',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const { id } = await ownCourse(context, req);
        await db<CourseRow>('courses').where('id', id).update({ deleted: Date.now() });
        return { done: true };
      }),
    );
}

/** Keeps a course as a new one of the maker's. */
async function keepNew(context: Context, req: Request, res: Response): Promise<void> {
  const { db, limits } = context;
  await limits.room();
  const course = await takeIn(context, req, 'takeCourse');
  const maker = await makerOrNew(context, req, res);
  await refuseCopy(db, course, maker.id);
  const now = Date.now();
  const row: CourseRow = {
    ...columnsOf(course),
    id: course.id ?? newId(),
    maker: maker.id,
    revision: 1,
    proof_hash: null,
    proof_time: null,
    proof_strokes: null,
    created: now,
    changed: now,
    deleted: null,
    folder: null,
    tags: '[]',
    versions_bytes: 0,
  };
  const there = await db.transaction(async (trx) => {
    if (course.id !== null) {
      const known = await trx<CourseRow>('courses').where('id', course.id).first('maker');
      if (known) return known;
    }
    await limits.anotherCourse(trx, maker.id);
    await limits.keep(trx, maker.id, course.bytes + course.packed.length);
    await trx<CourseRow>('courses').insert(row);
    const body = { course: row.id, document: course.document, picture: null, proof: null };
    await trx<BodyRow>('bodies').insert(body);
    await keepVersion(trx, row.id, 1, course, now);
    return null;
  });
  if (there) return sendSame(context, res, row, course);
  res.status(201);
  const unpublished = { slug: null, published_shown: null, taken: null, held: null };
  sendCourse(res, { ...row, ...unpublished, document: course.document, proof: null });
}

/**
 * Answers a course that is sent as a new one and is there already.
 * @throws HttpError 409 unless it is the same course of the same maker: its answer was lost on the way
 */
async function sendSame(
  { db }: Context,
  res: Response,
  { id, maker }: CourseRow,
  { document }: TakenCourse,
): Promise<void> {
  const there: Listed | undefined = await withPublished(db)
    .where({ 'courses.id': id, 'courses.maker': maker, 'courses.deleted': null })
    .first(...LISTED);
  if (!there) throw new HttpError(409, 'taken', 'There is another course by that id.');
  const body = (await db<BodyRow>('bodies').where('course', id).first('document', 'proof'))!;
  if (body.document !== document) throw stale(there.revision, body.document);
  res.status(201);
  sendCourse(res, { ...there, ...body });
}

/** Whoever saves has not seen what was saved from elsewhere. */
const stale = (revision: number, document: string) =>
  new HttpError(409, 'stale', 'The course was saved from somewhere else in the meantime.', {
    theirs: { revision, course: JSON.parse(document) },
  });

/**
 * Saves a course over the revision it was made from.
 * @throws HttpError 409 with the course as it is where that was saved from elsewhere
 */
async function save(context: Context, req: Request, res: Response): Promise<void> {
  const { db, limits } = context;
  await limits.room();
  // Whose it is comes first: nobody else's document is worth reading.
  const { id, maker } = await ownCourse(context, req);
  const course = await takeIn(context, req, 'takeCourse');
  await refuseCopy(db, course, maker);
  const { revision } = course;
  const now = Date.now();
  const saved = await db.transaction(async (trx) => {
    const asked = { id, revision, deleted: null };
    const before = await trx<CourseRow>('courses').where(asked).first('bytes');
    if (!before) return false;
    const more = course.bytes - before.bytes + course.packed.length;
    await makeRoom(trx, limits, { id, maker }, more);
    const changed = await trx<CourseRow>('courses')
      .where(asked)
      .update({ ...changedColumns(course), revision: revision + 1, changed: now });
    if (changed === 0) return false;
    const body = { document: course.document, picture: null };
    await trx<BodyRow>('bodies').where('course', id).update(body);
    await keepVersion(trx, id, revision + 1, course, now);
    return true;
  });
  if (saved) return void res.json(answerSaved(revision + 1, now));
  const there = await ownCourse(context, req, 'document');
  // The same save again: its answer was lost on the way.
  if (there.revision === revision + 1 && there.document === course.document) {
    return void res.json(answerSaved(there.revision, there.changed));
  }
  throw stale(there.revision, there.document);
}

/** Sends a course's picture, drawn when it is first asked for. */
async function picture(context: Context, req: Request, res: Response): Promise<void> {
  const { db, pictures } = context;
  const {
    id,
    maker,
    document,
    picture: drawn,
    revision,
  } = await ownCourse(context, req, 'document', 'picture');
  const scope = req.query.of === String(revision) ? 'private' : null;
  if (drawn !== null) return sendPicture(res, drawn, scope);
  const party = partyOf(req, maker);
  const { svg, length } = await pictures.run(party, 'drawDocument', document);
  await db.transaction(async (trx) => {
    // Unless it was saved anew in the meantime.
    const kept = await trx<BodyRow>('bodies')
      .where({ course: id, document })
      .update({ picture: svg });
    if (kept > 0) await trx<CourseRow>('courses').where({ id }).update({ length });
  });
  sendPicture(res, svg, scope);
}

const answerSaved = (revision: number, changed: number): v.InferOutput<typeof SavedAnswer> => ({
  revision,
  changed,
});

/** What lists tell of a course, as columns. */
const columnsOf = (course: TakenCourse): SummaryColumns => {
  const { name, kind, runner, pieces, bytes, length, hash, shown } = course;
  return { name, kind, runner, pieces, bytes, length, hash, shown };
};

/** The same as a save changes it: a length that would have to be looked for stays until it is, with the picture. */
function changedColumns(course: TakenCourse): Partial<SummaryColumns> {
  const { length, ...columns } = columnsOf(course);
  return course.measured ? { ...columns, length } : columns;
}

/** What is published of a course, and whether it is as the course is now. */
const publishedOf = ({ slug, shown, published_shown, taken, held }: Listed) =>
  slug === null
    ? null
    : { slug, current: published_shown === shown, shown: taken === null && held === null };

/**
 * A course as lists show it, written as JSON by SQLite: a list has hundreds, and making an object of each row, holding it
 * to its schema and writing it took four times as long.
 */
const LISTED_AS_JSON = `json_object(
  'id', courses.id, 'revision', courses.revision, 'name', courses.name, 'kind', courses.kind,
  'runner', courses.runner, 'pieces', courses.pieces, 'length', courses.length, 'changed', courses.changed,
  'folder', courses.folder, 'tags', json(courses.tags),
  'proof', iif(courses.proof_time is null, null, json_object(
    'time', courses.proof_time, 'strokes', coalesce(courses.proof_strokes, 0),
    'fresh', json(iif(courses.proof_hash = courses.hash, 'true', 'false')))),
  'published', iif(published.slug is null, null, json_object(
    'slug', published.slug,
    'current', json(iif(published.shown = courses.shown, 'true', 'false')),
    'shown', json(iif(listings.taken is null and listings.held is null, 'true', 'false'))))
) as listed`;

/** Sends the list of a maker's courses, the one changed last first. */
async function sendList(context: Context, req: Request, res: Response): Promise<void> {
  const maker = await makerOf(context, req);
  const rows: { listed: string }[] = maker
    ? await withPublished(context.db)
        .where({ 'courses.maker': maker.id, 'courses.deleted': null })
        .orderBy('courses.changed', 'desc')
        .limit(MOST_LISTED)
        .select(context.db.raw(LISTED_AS_JSON))
    : [];
  sendJson(res, {}, { courses: `[${rows.map(({ listed }) => listed).join(',')}]` });
}

function sendCourse(res: Response, row: Whole): void {
  const { id, revision, changed, proof, proof_time: time, proof_strokes: strokes } = row;
  const published = publishedOf(row);
  const fresh = row.proof_hash === row.hash;
  sendJson(
    res,
    { id, revision, changed, published },
    {
      course: row.document,
      proof:
        proof === null
          ? 'null'
          : `{"time":${time},"strokes":${strokes ?? 0},"fresh":${fresh},"run":${proof}}`,
    },
  );
}
