import { Router } from 'express';
import type { Knex } from 'knex';
import { nameProblem, type CourseKind } from '@/core/course';
import { slugOf } from '@/core/formats';
import { DoneAnswer, ProofAnswer, PublishAnswer, ShownBody, UNNAMED } from '@/core/protocol';
import { normalRun, ranksBefore, type Run } from '@/core/run';
import type { BodyRow, CourseRow, ListingRow, MakerRow, PublishedRow } from '../db/rows';
import { noteEdition } from './editions';
import { readJson, readRunText } from '../base/bodies';
import { handler, HttpError, NoBody, notFound } from '../base/http';
import type { Party } from '../threads/turns';
import type { Replayed } from '../threads/verify';
import { partyOf } from './limits';
import type { Context } from './context';
import { type Listed, ownCourse } from './owned';
import { sentRun } from './sentRun';
import { newId } from './ids';
import { known } from './session';
import { noteWhole } from './whole';

/** That a maker's course can be finished, and its publishing. */
export function proofs(context: Context): Router {
  const { db, limits, verifier } = context;
  return Router()
    .post(
      '/courses/:id/proof',
      known(context),
      readRunText,
      handler({ body: NoBody, answer: ProofAnswer }, async (_, req, res) => {
        await limits.room();
        const { run } = await sentRun(context, req, 'proof');
        const row = await ownCourse(context, req, 'document');
        const result = await verifier.verify(partyOf(req, row.maker), row.document, run, res);
        const kept =
          row.proof_hash === row.hash && row.proof_time !== null
            ? { time: row.proof_time, strokes: row.proof_strokes ?? 0 }
            : null;
        const best = !kept || ranksBefore(row.kind as CourseKind, result, kept);
        if (best) await db.transaction((trx) => keepProof(trx, row.id, run, result));
        return { time: result.time, best };
      }),
    )
    .post(
      '/courses/:id/publish',
      handler({ body: NoBody, answer: PublishAnswer }, async (_, req) => {
        await limits.room();
        const row = await ownCourse(context, req, 'document');
        return { slug: await publish(context, row, partyOf(req, row.maker)) };
      }),
    )
    .put(
      '/courses/:id/published',
      known(context),
      readJson,
      handler({ body: ShownBody, answer: DoneAnswer }, async ({ shown }, req) => {
        const { id } = await ownCourse(context, req);
        const listing = await db<ListingRow>('listings').where('course', id).first('held');
        if (!listing) throw notFound('What is published of it');
        if (shown && listing.held !== null) {
          const words = 'It was taken down after a report: whoever runs the server puts it back.';
          throw new HttpError(409, 'held', words);
        }
        await db<ListingRow>('listings')
          .where('course', id)
          .update({ taken: shown ? null : Date.now() });
        return { done: true };
      }),
    );
}

/** Keeps a run as the proof of a course. */
async function keepProof(
  trx: Knex.Transaction,
  course: string,
  run: Run,
  { time, strokes, ticks }: Pick<Replayed, 'time' | 'strokes' | 'ticks'>,
): Promise<void> {
  await trx<CourseRow>('courses')
    .where('id', course)
    .update({ proof_hash: run.course, proof_time: time, proof_strokes: strokes });
  const proof = JSON.stringify({ ...normalRun(run, ticks), claim: time });
  await trx<BodyRow>('bodies').where('course', course).update({ proof });
}

/**
 * Publishes a course as it is now, and closes the edition before where a run feels the difference.
 * @param party who asks, for the turns of drawing
 * @returns its slug: the same for all its editions
 * @throws HttpError 400 for a course without a name; 409 for one that nobody has proved as it is now
 */
async function publish(
  { db, pictures }: Context,
  row: Listed & Pick<BodyRow, 'document'>,
  party: Party,
): Promise<string> {
  const wrong = nameProblem(row.name);
  if (wrong) throw new HttpError(400, 'no-name', wrong);
  if (row.proof_hash !== row.hash) {
    const words =
      'Finish the course as it now is, from its start and without help, before publishing it.';
    throw new HttpError(409, 'no-proof', words);
  }
  const origin = await originOf(db, row.document);
  const shownDocument = { document: row.document, origin };
  const drawn = await pictures.run(party, 'showDocument', shownDocument);
  const { document, svg, length, description, marks } = drawn;
  const before = await db<PublishedRow>('published')
    .where('course', row.id)
    .first('slug', 'hash', 'document');
  const closed =
    before && before.hash !== row.hash
      ? await pictures.run(party, 'closeEdition', { before: before.document, document })
      : null;
  const slug = before?.slug ?? newSlug(row.name);
  const { id: course, hash, shown } = row;
  const now = Date.now();
  await db.transaction(async (trx) => {
    await trx<PublishedRow>('published')
      .insert({ slug, course, document, hash, shown, length, picture: svg, published: now })
      .onConflict('slug')
      .merge();
    await list(trx, row, { slug, length, description, published: now });
    await noteEdition(trx, { slug, hash, length, published: now }, closed);
    await noteWhole(trx, slug, marks);
  });
  return slug;
}

const newSlug = (name: string): string =>
  `${slugOf(name)}-${newId(4).replace(/[-_]/g, 'x').toLowerCase()}`;

/** The document a course was copied from, as published now; null where it is not. */
async function originOf(db: Knex, document: string): Promise<string | null> {
  const row = await db<PublishedRow>('published')
    .whereRaw("slug = json_extract(?, '$.origins[0].slug')", document)
    .first('document');
  return row?.document ?? null;
}

/** Has a course be found as it is published now. Where a run feels a change it is another edition, with tries of its own. */
async function list(
  trx: Knex.Transaction,
  { id: course, ...row }: Listed,
  told: Pick<ListingRow, 'slug' | 'length' | 'description' | 'published'>,
): Promise<void> {
  const { slug } = told;
  const { name, kind, runner, hash } = row;
  const { name: maker } = (await trx<MakerRow>('makers').where('id', row.maker).first('name'))!;
  const own = { course, maker_id: row.maker, maker: maker ?? UNNAMED };
  const proof = { time: row.proof_time!, strokes: row.proof_strokes };
  const columns = { ...told, ...own, ...proof, name, kind, runner, hash, taken: null };
  const before = await trx<ListingRow>('listings').where({ slug }).first('hash', 'edition');
  if (!before) await trx<ListingRow>('listings').insert(columns);
  else if (before.hash === hash) await trx<ListingRow>('listings').where({ slug }).update(columns);
  else {
    const none = { tries: 0, finishes: 0, closeness: null, difficulty: null };
    const anew = { edition: before.edition + 1, ...none };
    await trx<ListingRow>('listings')
      .where({ slug })
      .update({ ...columns, ...anew });
  }
}
