import { Router } from 'express';
import type { Knex } from 'knex';
import * as v from 'valibot';
import {
  DIFFICULTIES,
  ExploreAnswer,
  ExploreQuery,
  LENGTHS,
  LikeAnswer,
  LikeBody,
  type CourseFound,
  type EXPLORE_ORDERS,
} from '@/core/protocol';
import type { LikeRow, ListingRow, MakerRow } from '../db/rows';
import { readJson } from '../base/bodies';
import { handler, HttpError, NoBody } from '../base/http';
import { param } from '../base/params';
import { nameKey } from '../base/names';
import type { Context } from './context';
import { findPublished } from './found';
import { knownOrNew, makerOf, makerOrNew } from './session';

/** Courses an answer tells of. */
const PAGE = 24;
const A_WEEK = 7 * 86_400_000;

/** The column courses are ordered by, the greatest first; of what is close the least. */
const ORDERS = {
  new: ['published', 'desc'],
  liked: ['likes', 'desc'],
  run: ['tries', 'desc'],
  close: ['closeness', 'asc'],
} as const satisfies Record<(typeof EXPLORE_ORDERS)[number], readonly [keyof ListingRow, string]>;

type Asked = v.InferOutput<typeof ExploreQuery>;

/** Published courses found, and liked. */
export function explore(context: Context): Router {
  const { db, limits } = context;
  return Router()
    .get(
      '/explore',
      handler({ body: NoBody, answer: ExploreAnswer }, async (_, req) => {
        const read = v.safeParse(ExploreQuery, req.query);
        if (!read.success) {
          const [{ message }] = read.issues;
          const field = v.getDotPath(read.issues[0]) ?? 'What was asked';
          throw new HttpError(400, 'broken', `${field}: ${message}.`);
        }
        const viewer = await makerOf(context, req);
        const rows = await found(db, read.output, viewer?.id ?? '');
        const page = rows.slice(0, PAGE);
        const last = rows.length > PAGE ? page[PAGE - 1] : null;
        return {
          courses: page.map(listing),
          next: last && cursorOf(last[ORDERS[read.output.order][0]] as number, last.id),
        };
      }),
    )
    .put(
      '/published/:slug/like',
      knownOrNew(context),
      readJson,
      handler({ body: LikeBody, answer: LikeAnswer }, async ({ liked }, req, res) => {
        await limits.room();
        const { slug, course } = await findPublished(db, param(req, 'slug'));
        const { id: maker } = await makerOrNew(context, req, res);
        if (await db('courses').where({ id: course, maker }).first('id')) {
          throw new HttpError(
            409,
            'own',
            'It is your own course: others say whether they like it.',
          );
        }
        const row = { slug, maker };
        if (liked) {
          await db<LikeRow>('likes')
            .insert({ ...row, made: Date.now() })
            .onConflict(['slug', 'maker'])
            .ignore();
        } else await db<LikeRow>('likes').where(row).delete();
        const { likes } = (await db<ListingRow>('listings').where({ slug }).first('likes'))!;
        return { likes };
      }),
    );
}

type Found = ListingRow & { look: string; finished: number };

/** One more than a page of what is asked for. */
async function found(db: Knex, asked: Asked, viewer: string): Promise<Found[]> {
  const [column, direction] = ORDERS[asked.order];
  const { kind, runner, length, unfinished, week, maker, followed, difficulty } = asked;
  const finished = db('runs as r')
    .whereRaw('r.slug = l.slug and r.hash = l.hash and r.maker = ? and r.stale = 0', [viewer])
    .select(db.raw('1'));
  const query = db('listings as l')
    .join('courses as c', 'c.id', 'l.course')
    .join('published as p', 'p.slug', 'l.slug')
    .where({ 'l.taken': null, 'l.held': null, 'c.deleted': null })
    .orderBy([
      { column: `l.${column}`, order: direction },
      { column: 'l.id', order: direction },
    ])
    .limit(PAGE + 1)
    .select('l.*', 'p.shown as look', db.raw('exists ? as finished', [finished]));
  const match = matchOf(asked.words);
  if (match !== null) void query.whereRaw(await matching(db, match), match);
  if (maker !== undefined) {
    // Told by id: what nobody is called has no courses.
    const named = await db<MakerRow>('makers').where('name_key', nameKey(maker)).first('id');
    void query.where('l.maker_id', named?.id ?? '');
  }
  if (followed) {
    void query.whereIn('l.maker_id', db('follows').where('follower', viewer).select('maker'));
  }
  if (kind) void query.where('l.kind', kind);
  if (runner) void query.where('l.runner', runner);
  if (length) {
    const [from, to] = LENGTHS[length];
    void query.where('l.length', '>=', from);
    if (to < Infinity) void query.where('l.length', '<', to);
  }
  if (difficulty) {
    const [from, to] = DIFFICULTIES[difficulty];
    void query.where('l.difficulty', '>=', from).where('l.difficulty', '<', to);
  }
  if (unfinished) void query.whereNotExists(finished.clone());
  if (week) void query.where('l.published', '>', Date.now() - A_WEEK);
  if (column === 'closeness') void query.whereNotNull('l.closeness');
  if (asked.after !== undefined) {
    const past = direction === 'desc' ? '<' : '>';
    void query.whereRaw(`(l.${column}, l.id) ${past} (?, ?)`, fromCursor(asked.after));
  }
  return query as unknown as Promise<Found[]>;
}

/** Matches above which courses are looked through in their order instead of all that match being gathered first. */
const MANY = 500;

/**
 * How a query asks for what words match. Of few it begins with these; of many it goes along the order (the plus keeps
 * the id from being begun with) and looks each up among them, so that it soon has an answer's worth.
 */
async function matching(db: Knex, match: string): Promise<string> {
  const some = db('listing_words')
    .whereRaw('listing_words match ?', match)
    .limit(MANY + 1)
    .select('rowid');
  const [{ count }] = (await db(some.as('some')).count({ count: '*' })) as { count: number }[];
  const id = count > MANY ? '+l.id' : 'l.id';
  return `${id} in (select rowid from listing_words where listing_words match ?)`;
}

/**
 * Words as the index is asked for them: each has to begin a word of the name, the description or the maker's name.
 * Null where there are none.
 */
export function matchOf(words: string): string | null {
  const asked = words.normalize('NFC').match(/[\p{L}\p{N}\p{M}]+/gu);
  if (!asked) return words.trim() ? '""' : null;
  return asked.map((word) => `"${word}"*`).join(' ');
}

const cursorOf = (key: number, id: number): string =>
  Buffer.from(JSON.stringify([key, id])).toString('base64url');

const Cursor = v.tuple([v.number(), v.pipe(v.number(), v.integer())]);

/** @throws HttpError 400 for what no answer ended with */
function fromCursor(text: string): [number, number] {
  try {
    return v.parse(Cursor, JSON.parse(Buffer.from(text, 'base64url').toString()));
  } catch {
    throw new HttpError(400, 'broken', 'There is nothing after that.');
  }
}

const listing = ({ strokes, finished, ...row }: Found): CourseFound => ({
  ...row,
  kind: row.kind as CourseFound['kind'],
  runner: row.runner as CourseFound['runner'],
  ...(row.kind === 'strokes' && strokes !== null ? { strokes } : {}),
  finished: finished === 1,
});
