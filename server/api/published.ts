import { Router } from 'express';
import type { Knex } from 'knex';
import type { InferOutput } from 'valibot';
import type { CourseRow, LikeRow, ListingRow, MakerRow, PublishedRow } from '../db/rows';
import { DEMO_MAKER } from '../db/demoMaker';
import { DemosAnswer, DoneAnswer, PublishedAnswer, UNNAMED } from '@/core/protocol';
import { FOR_EVER, handler, NoBody, notFound, sendJson, sendPicture } from '../base/http';
import { param, query } from '../base/params';
import { partyOf } from './limits';
import { bestTimes, spreadOf } from './boards';
import type { Context } from './context';
import {
  documentByLook,
  earlierEdition,
  editionsOf,
  removeEdition,
  type EditionTold,
} from './editions';
import { lookOf } from '../threads/intake';
import { findPublished } from './found';
import { makerOf, requireMaker } from './session';

/** What is told of a published course beside itself, to a viewer. */
async function listingOf(db: Knex, slug: string, viewer: string) {
  const row = (await db<ListingRow>('listings')
    .where({ slug })
    .first('edition', 'tries', 'finishes', 'likes', 'difficulty', 'maker_id'))!;
  const { maker_id: owner, ...told } = row;
  const liked = await db<LikeRow>('likes').where({ slug, maker: viewer }).first('slug');
  return { ...told, liked: liked !== undefined, own: owner === viewer };
}

/** The edition that an address asks for; the one that is published now where it names none. */
async function editionAsked(
  db: Knex,
  slug: string,
  asked: number | undefined,
): Promise<EditionTold & { readonly newest: boolean }> {
  const { edition } = (await db<ListingRow>('listings').where({ slug }).first('edition'))!;
  if (asked !== undefined && asked !== edition) {
    const { document, ...told } = await earlierEdition(db, slug, asked);
    return { ...told, look: lookOf(document), newest: false };
  }
  const row = (await db<PublishedRow>('published')
    .where({ slug })
    .first('hash', 'length', 'published', { look: 'shown' }))!;
  return { ...(row as typeof row & { look: string }), edition, newest: true };
}

/** The published demo courses, in the order they were laid down in. */
const demosOf = async (db: Knex): Promise<InferOutput<typeof DemosAnswer>['demos']> =>
  db('published')
    .join('courses', 'courses.id', 'published.course')
    .join('makers', 'makers.id', 'courses.maker')
    .where('makers.id', 'like', `${DEMO_MAKER}%`)
    .orderBy('published.rowid')
    .select('slug', 'courses.name', 'courses.kind', 'published.length')
    .select({ look: 'published.shown', maker: 'makers.name' });

/** Published courses, for everyone. */
export function published(context: Context): Router {
  const { db, pictures } = context;
  return Router()
    .get(
      '/demos',
      handler({ body: NoBody, answer: DemosAnswer }, async () => {
        return { demos: await demosOf(db) };
      }),
    )
    .get(
      '/published/:slug',
      handler({ body: NoBody, answer: PublishedAnswer }, async (_, req) => {
        const { slug, course } = await findPublished(db, param(req, 'slug'));
        const edition = await editionAsked(db, slug, query(req, 'edition'));
        const maker = await db<MakerRow>('makers')
          .join('courses', 'courses.maker', 'makers.id')
          .where('courses.id', course)
          .first('makers.name', 'courses.proof_hash', 'courses.proof_time');
        const player = await makerOf(context, req);
        const makerTime = maker?.proof_hash === edition.hash ? maker.proof_time : null;
        return {
          ...{ slug, maker: maker?.name ?? UNNAMED, makerTime },
          ...(await listingOf(db, slug, player?.id ?? '')),
          ...edition,
          ...(edition.newest ? {} : { difficulty: null }),
          editions: await editionsOf(db, slug),
          best: await bestTimes(db, { slug, hash: edition.hash }, player?.id),
          ...(await spreadOf(db, { slug, hash: edition.hash })),
        };
      }),
    )
    .delete(
      '/published/:slug/editions/:edition',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const { slug, course } = await findPublished(db, param(req, 'slug'));
        const { id: maker } = await requireMaker(context, req);
        if (!(await db<CourseRow>('courses').where({ id: course, maker }).first('id'))) {
          throw notFound('That edition');
        }
        const edition = param(req, 'edition');
        await db.transaction((trx) => removeEdition(trx, slug, edition));
        return { done: true };
      }),
    )
    .get('/published/:slug/documents/:look', async (req, res) => {
      const look = param(req, 'look');
      const { slug, shown, document } = await findPublished(db, param(req, 'slug'), [
        'shown',
        'document',
      ]);
      const asked = shown === look ? document : await documentByLook(db, slug, look);
      if (asked === null) throw notFound('That course');
      res.set('Cache-Control', FOR_EVER);
      sendJson(res, {}, { course: asked });
    })
    .get('/published/:slug/picture', async (req, res) => {
      const row = await findPublished(db, param(req, 'slug'), ['document', 'picture', 'shown']);
      const scope = req.query.of === row.shown ? 'public' : null;
      if (row.picture !== null) return sendPicture(res, row.picture, scope);
      const { svg: picture } = await pictures.run(
        partyOf(req, undefined),
        'drawDocument',
        row.document,
      );
      const { slug, shown } = row;
      await db<PublishedRow>('published').where({ slug, shown }).update({ picture });
      sendPicture(res, picture, scope);
    });
}
