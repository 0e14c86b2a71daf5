import { Router, type Request } from 'express';
import type { Knex } from 'knex';
import type { InferOutput } from 'valibot';
import { BlockBody, DoneAnswer, MOST_NOTES, NoteBody, NotesAnswer, UNNAMED } from '@/core/protocol';
import type { BlockRow, CourseRow, NoteRow, PublishedRow } from '../db/rows';
import { readJson } from '../base/bodies';
import { handler, HttpError, NoBody, notFound } from '../base/http';
import { param, query } from '../base/params';
import type { Context } from './context';
import { findPublished } from './found';
import { ownCourse } from './owned';
import { known, knownOrNew, makerOrNew } from './session';

/** Most notes that are told of at once. */
const SHOWN = 50;

/** Short notes to the maker of a published course, which nobody else reads. */
export function notes(context: Context): Router {
  const { db, limits } = context;
  /** A note on one of one's own courses. */
  const noteOf = async (req: Request) => {
    const { id } = await ownCourse(context, req);
    const published = await db<PublishedRow>('published').where('course', id).first('slug');
    return { slug: published?.slug ?? '', id: param(req, 'note') };
  };
  return Router()
    .post(
      '/published/:slug/notes',
      knownOrNew(context),
      readJson,
      handler({ body: NoteBody, answer: DoneAnswer }, async ({ words }, req, res) => {
        await limits.room();
        const { slug, course } = await findPublished(db, param(req, 'slug'));
        const { id: maker } = await makerOrNew(context, req, res);
        if (await db<CourseRow>('courses').where({ id: course, maker }).first('id')) {
          throw new HttpError(409, 'own', 'It is your own course: keep notes in its plan.');
        }
        await db.transaction((trx) => addNote(trx, course, { slug, maker, words }));
        res.status(201);
        return { done: true };
      }),
    )
    .get(
      '/courses/:id/notes',
      handler({ body: NoBody, answer: NotesAnswer }, async (_, req) => {
        const { id, maker } = await ownCourse(context, req);
        return notesOn(db, id, maker, query(req, 'before') ?? Infinity);
      }),
    )
    .put(
      '/courses/:id/notes/:note/blocked',
      known(context),
      readJson,
      handler({ body: BlockBody, answer: DoneAnswer }, async ({ blocked }, req) => {
        const { maker } = await ownCourse(context, req);
        const note = await db<NoteRow>('notes')
          .where(await noteOf(req))
          .first('maker');
        if (!note) throw notFound('The note');
        await setBlocked(db, { maker, blocked: note.maker }, blocked);
        return { done: true };
      }),
    )
    .put(
      '/courses/:id/notes/:note/reported',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const reported = { reported: Date.now() };
        const done = await db<NoteRow>('notes')
          .where(await noteOf(req))
          .update(reported);
        if (done === 0) throw notFound('The note');
        return { done: true };
      }),
    )
    .delete(
      '/courses/:id/notes/:note',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const done = await db<NoteRow>('notes')
          .where(await noteOf(req))
          .delete();
        if (done === 0) throw notFound('The note');
        return { done: true };
      }),
    );
}

/**
 * Keeps a note to the maker of a course.
 * @throws HttpError 403 from somebody whom its maker has blocked; 409 where too many wait to be read
 */
async function addNote(
  trx: Knex.Transaction,
  course: string,
  note: Pick<NoteRow, 'slug' | 'maker' | 'words'>,
): Promise<void> {
  const { slug, maker } = note;
  const blocked = await trx('courses')
    .join('blocks', 'blocks.maker', 'courses.maker')
    .where({ 'courses.id': course, 'blocks.blocked': maker })
    .first('blocks.maker');
  if (blocked) {
    throw new HttpError(403, 'blocked', 'The maker of this course takes no notes from you.');
  }
  const [{ count }] = await trx<NoteRow>('notes').where({ slug, maker }).count({ count: '*' });
  if (Number(count) >= MOST_NOTES) {
    const most = `You have ${MOST_NOTES} notes on this course; its maker has to read them first.`;
    throw new HttpError(409, 'full', most);
  }
  await trx<NoteRow>('notes').insert({ ...note, made: Date.now() });
}

/** A page of the notes on a maker's course, the newest first, from the one before an id on. */
async function notesOn(
  db: Knex,
  course: string,
  maker: string,
  before: number,
): Promise<InferOutput<typeof NotesAnswer>> {
  const query = db('notes')
    .join('published', 'published.slug', 'notes.slug')
    .join('makers', 'makers.id', 'notes.maker')
    .where('published.course', course)
    .orderBy('notes.id', 'desc')
    .limit(SHOWN + 1)
    .select('notes.*', { by: 'makers.name' });
  if (before < Infinity) void query.where('notes.id', '<', before);
  const rows: (NoteRow & { by: string | null })[] = await query;
  const blocked = new Set(await db<BlockRow>('blocks').where({ maker }).pluck('blocked'));
  return {
    notes: rows.slice(0, SHOWN).map(({ by, reported, ...note }) => ({
      ...note,
      by: by ?? UNNAMED,
      reported: reported !== null,
      blocked: blocked.has(note.maker),
    })),
    next: rows.length > SHOWN ? rows[SHOWN - 1].id : null,
  };
}

/** Blocks somebody from writing notes to a maker, or allows it again. */
async function setBlocked(
  db: Knex,
  row: Pick<BlockRow, 'maker' | 'blocked'>,
  on: boolean,
): Promise<void> {
  if (!on) return void (await db<BlockRow>('blocks').where(row).delete());
  await db<BlockRow>('blocks')
    .insert({ ...row, made: Date.now() })
    .onConflict(['maker', 'blocked'])
    .ignore();
}
