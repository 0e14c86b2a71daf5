import { Router } from 'express';
import type { Knex } from 'knex';
import type { LikeRow, ListingRow, MakerRow, PublishedRow } from '../db/rows';
import { DEMO_MAKER } from '../db/seed';
import { DemosAnswer, UNNAMED, type CourseListed } from '@/core/protocol';
import { handler, NoBody, param, sendJson, sendPicture } from '../http';
import { bestTimes, spreadOf } from './boards';
import type { Context } from './context';
import { findPublished } from './found';
import { makerOf } from './session';

/** What is told of a published course beside itself, to a viewer. */
async function listingOf(db: Knex, slug: string, viewer: string) {
  const row = (await db<ListingRow>('listings')
    .where({ slug })
    .first('edition', 'tries', 'finishes', 'likes', 'maker_id'))!;
  const { maker_id: owner, ...told } = row;
  const liked = await db<LikeRow>('likes').where({ slug, maker: viewer }).first('slug');
  return { ...told, liked: liked !== undefined, own: owner === viewer };
}

/** Published courses, for everyone. */
export function published(context: Context): Router {
  const { db, pool } = context;
  return Router()
    .get(
      '/demos',
      handler({ body: NoBody, answer: DemosAnswer }, async () => {
        const rows: {
          slug: string;
          name: string;
          maker: string;
          kind: CourseListed['kind'];
          length: number;
          hash: string;
        }[] = await db('published')
          .join('courses', 'courses.id', 'published.course')
          .join('makers', 'makers.id', 'courses.maker')
          .where('makers.id', 'like', `${DEMO_MAKER}%`)
          .orderBy('published.rowid')
          .select('slug', 'courses.name', 'courses.kind', 'published.length', 'published.hash')
          .select({ maker: 'makers.name' });
        return { demos: rows };
      }),
    )
    .get('/published/:slug', async (req, res) => {
      const row = await findPublished(db, param(req, 'slug'), ['document', 'published', 'length']);
      const maker = await db<MakerRow>('makers')
        .join('courses', 'courses.maker', 'makers.id')
        .where('courses.id', row.course)
        .first('makers.name', 'courses.proof_hash', 'courses.proof_time');
      const player = await makerOf(context, req);
      const best = await bestTimes(db, row, player?.id);
      const { slug, hash, length, published: since } = row;
      const makerTime = maker?.proof_hash === hash ? maker.proof_time : null;
      const made = { maker: maker?.name ?? UNNAMED, makerTime, published: since };
      const told = await listingOf(db, slug, player?.id ?? '');
      const fields = { slug, hash, ...made, ...told, length, best, ...(await spreadOf(db, row)) };
      sendJson(res, fields, { course: row.document });
    })
    .get('/published/:slug/picture', async (req, res) => {
      const row = await findPublished(db, param(req, 'slug'), ['document', 'picture', 'shown']);
      if (row.picture !== null) return sendPicture(res, row.picture, true);
      const { svg: picture } = await pool.run('drawDocument', row.document);
      const { slug, shown } = row;
      await db<PublishedRow>('published').where({ slug, shown }).update({ picture });
      sendPicture(res, picture, true);
    });
}
