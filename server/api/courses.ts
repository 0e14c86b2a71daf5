import { Router, type Request } from 'express';
import type { Knex } from 'knex';
import { checkPieces } from '@/core/check';
import { toCourse, type Course } from '@/core/course';
import {
  CourseAnswer,
  CourseListAnswer,
  CreateBody,
  DoneAnswer,
  ProofAnswer,
  PublishAnswer,
  RevisionAnswer,
  RevisionsAnswer,
  RunBody,
  SaveBody,
  SavedAnswer,
  type CourseOnServer,
} from '@/core/protocol';
import { courseHash, ranksBefore, type Run } from '@/core/run';
import { slugOf } from '@/core/formats';
import type { CourseRow, PublishedRow, RevisionRow } from '../db/rows';
import { toThin } from '../db/thin';
import { handler, HttpError, NoBody, notFound, param } from '../http';
import type { Context } from './context';
import { makerOf, makerOrNew, newId, requireMaker } from './session';

/** A maker's own courses: kept, saved by revision, proved and published. */
export function courses(context: Context): Router {
  const { db } = context;

  /** @throws HttpError 404 unless the course is there and the request's maker owns it */
  const own = async (req: Request, deleted = false): Promise<CourseRow> => {
    const maker = await requireMaker(context, req);
    const row = await db<CourseRow>('courses').where('id', param(req, 'id')).first();
    if (!row || row.maker !== maker.id || (row.deleted !== null && !deleted)) {
      throw notFound('The course');
    }
    return row;
  };

  return Router()
    .get(
      '/courses',
      handler({ body: NoBody, answer: CourseListAnswer }, async (_, req) => {
        const maker = await makerOf(context, req);
        if (!maker) return { courses: [] };
        const rows = await db<CourseRow>('courses')
          .where({ maker: maker.id, deleted: null })
          .orderBy('changed', 'desc')
          .limit(500);
        return { courses: await answersOf(db, rows) };
      }),
    )
    .post(
      '/courses',
      handler({ body: CreateBody, answer: CourseAnswer }, async ({ course }, req, res) => {
        const maker = await makerOrNew(context, req, res);
        const now = Date.now();
        const document = JSON.stringify(sound(course));
        const row: CourseRow = {
          id: newId(),
          maker: maker.id,
          revision: 1,
          document,
          hash: courseHash(course),
          proof: null,
          proof_hash: null,
          proof_time: null,
          proof_strokes: null,
          created: now,
          changed: now,
          deleted: null,
        };
        await db.transaction(async (trx) => {
          await trx('courses').insert(row);
          await trx('revisions').insert({ course: row.id, revision: 1, document, saved: now });
        });
        res.status(201);
        return (await answersOf(db, [row]))[0];
      }),
    )
    .get(
      '/courses/:id',
      handler({ body: NoBody, answer: CourseAnswer }, async (_, req) => {
        return (await answersOf(db, [await own(req)]))[0];
      }),
    )
    .put(
      '/courses/:id',
      handler({ body: SaveBody, answer: SavedAnswer }, async ({ revision, course }, req) => {
        const { id } = await own(req);
        const now = Date.now();
        const document = JSON.stringify(sound(course));
        const saved = await db.transaction(async (trx) => {
          const changed = await trx<CourseRow>('courses')
            .where({ id, revision })
            .update({ revision: revision + 1, document, hash: courseHash(course), changed: now });
          if (changed === 0) return false;
          await trx('revisions').insert({
            course: id,
            revision: revision + 1,
            document,
            saved: now,
          });
          return true;
        });
        if (!saved) {
          const row = await own(req);
          throw new HttpError(
            409,
            'stale',
            'The course was saved from somewhere else in the meantime.',
            { theirs: { revision: row.revision, course: JSON.parse(row.document) } },
          );
        }
        if (revision % 10 === 0) await thin(db, id);
        return { revision: revision + 1, changed: now };
      }),
    )
    .delete(
      '/courses/:id',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const { id } = await own(req);
        await db<CourseRow>('courses').where('id', id).update({ deleted: Date.now() });
        return { done: true };
      }),
    )
    .post(
      '/courses/:id/restore',
      handler({ body: NoBody, answer: CourseAnswer }, async (_, req) => {
        const row = await own(req, true);
        await db<CourseRow>('courses').where('id', row.id).update({ deleted: null });
        return (await answersOf(db, [{ ...row, deleted: null }]))[0];
      }),
    )
    .get(
      '/courses/:id/revisions',
      handler({ body: NoBody, answer: RevisionsAnswer }, async (_, req) => {
        const { id } = await own(req);
        const rows = await db<RevisionRow>('revisions')
          .where('course', id)
          .orderBy('revision', 'desc')
          .limit(200);
        return {
          revisions: rows.map(({ revision, saved, document }) => ({
            revision,
            saved,
            pieces: (JSON.parse(document) as Course).pieces.length,
          })),
        };
      }),
    )
    .get(
      '/courses/:id/revisions/:revision',
      handler({ body: NoBody, answer: RevisionAnswer }, async (_, req) => {
        const { id } = await own(req);
        const row = await db<RevisionRow>('revisions')
          .where({ course: id, revision: Number(param(req, 'revision')) })
          .first();
        if (!row) throw notFound('That version');
        return { course: toCourse(JSON.parse(row.document)) };
      }),
    )
    .post(
      '/courses/:id/proof',
      handler({ body: RunBody, answer: ProofAnswer }, async ({ run }, req) => {
        const row = await own(req);
        const result = await context.verifier.verify(row.document, run);
        const { kind } = toCourse(JSON.parse(row.document));
        const kept =
          row.proof_hash === row.hash && row.proof_time !== null
            ? { time: row.proof_time, strokes: row.proof_strokes ?? 0 }
            : null;
        const best = !kept || ranksBefore(kind, result, kept);
        if (best) {
          await db<CourseRow>('courses')
            .where('id', row.id)
            .update({
              proof: JSON.stringify({ ...run, claim: result.time }),
              proof_hash: run.course,
              proof_time: result.time,
              proof_strokes: result.strokes,
            });
        }
        return { time: result.time, best };
      }),
    )
    .post(
      '/courses/:id/publish',
      handler({ body: NoBody, answer: PublishAnswer }, async (_, req) => {
        const row = await own(req);
        if (row.proof_hash !== row.hash) {
          throw new HttpError(
            409,
            'no-proof',
            'Finish the course as it now is, from its start and without help, before publishing it.',
          );
        }
        const course = toCourse(JSON.parse(row.document));
        const known = await db<PublishedRow>('published').where('course', row.id).first();
        const slug =
          known?.slug ?? `${slugOf(course.name)}-${newId(4).replace(/[-_]/g, 'x').toLowerCase()}`;
        await db<PublishedRow>('published')
          .insert({
            slug,
            course: row.id,
            document: row.document,
            hash: row.hash,
            published: Date.now(),
          })
          .onConflict('slug')
          .merge();
        return { slug };
      }),
    );
}

/**
 * The course, if its pieces are ones that can be built and run.
 * @throws HttpError 400 naming what is wrong
 */
function sound(course: Course): Course {
  const wrong = checkPieces(course)[0];
  if (wrong) throw new HttpError(400, 'broken', wrong.message, { piece: wrong.piece });
  return course;
}

async function answersOf(db: Knex, rows: readonly CourseRow[]): Promise<CourseOnServer[]> {
  const published = await db<PublishedRow>('published')
    .whereIn(
      'course',
      rows.map(({ id }) => id),
    )
    .select('slug', 'course', 'document');
  return rows.map((row) => {
    const out = published.find(({ course }) => course === row.id);
    return {
      id: row.id,
      revision: row.revision,
      course: JSON.parse(row.document) as Course,
      changed: row.changed,
      proof: row.proof
        ? {
            time: row.proof_time!,
            fresh: row.proof_hash === row.hash,
            run: JSON.parse(row.proof) as Run,
          }
        : null,
      published: out ? { slug: out.slug, current: out.document === row.document } : null,
    };
  });
}

async function thin(db: Knex, course: string): Promise<void> {
  const rows = await db<RevisionRow>('revisions')
    .where('course', course)
    .orderBy('revision', 'desc')
    .select('revision', 'saved');
  const gone = toThin(rows);
  if (gone.length > 0) {
    await db('revisions').where('course', course).whereIn('revision', gone).delete();
  }
}
