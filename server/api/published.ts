import { Router } from 'express';
import type { Knex } from 'knex';
import type { LikeRow, ListingRow, MakerRow, PublishedRow } from '../db/rows';
import { DEMO_MAKER } from '../db/seed';
import { DemosAnswer, UNNAMED, type CourseListed } from '@/core/protocol';
import { handler, NoBody, param, sendJson, sendPicture } from '../http';
import { partyOf } from '../limits';
import { bestTimes, spreadOf } from './boards';
import type { Context } from './context';
import { earlierEdition, editionsOf, type EditionRead } from './editions';
import { findPublished } from './found';
import { makerOf } from './session';

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
  asked: unknown,
): Promise<EditionRead & { readonly newest: boolean }> {
  const { edition } = (await db<ListingRow>('listings').where({ slug }).first('edition'))!;
  if (asked !== undefined && Number(asked) !== edition) {
    return { ...(await earlierEdition(db, slug, Number(asked) || 0)), newest: false };
  }
  const row = (await db<PublishedRow>('published')
    .where({ slug })
    .first('hash', 'length', 'published', 'document'))!;
  return { ...row, edition, newest: true };
}

/** Published courses, for everyone. */
export function published(context: Context): Router {
  const { db, pictures } = context;
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
      const { slug, course } = await findPublished(db, param(req, 'slug'));
      const asked = await editionAsked(db, slug, req.query.edition);
      const { document, ...edition } = asked;
      const maker = await db<MakerRow>('makers')
        .join('courses', 'courses.maker', 'makers.id')
        .where('courses.id', course)
        .first('makers.name', 'courses.proof_hash', 'courses.proof_time');
      const player = await makerOf(context, req);
      const makerTime = maker?.proof_hash === edition.hash ? maker.proof_time : null;
      const fields = {
        ...{ slug, maker: maker?.name ?? UNNAMED, makerTime },
        ...(await listingOf(db, slug, player?.id ?? '')),
        ...edition,
        ...(edition.newest ? {} : { difficulty: null }),
        editions: await editionsOf(db, slug),
        best: await bestTimes(db, { slug, hash: edition.hash }, player?.id),
        ...(await spreadOf(db, { slug, hash: edition.hash })),
      };
      sendJson(res, fields, { course: document });
    })
    .get('/published/:slug/picture', async (req, res) => {
      const row = await findPublished(db, param(req, 'slug'), ['document', 'picture', 'shown']);
      if (row.picture !== null) return sendPicture(res, row.picture, true);
      const { svg: picture } = await pictures.run(
        partyOf(req, undefined),
        'drawDocument',
        row.document,
      );
      const { slug, shown } = row;
      await db<PublishedRow>('published').where({ slug, shown }).update({ picture });
      sendPicture(res, picture, true);
    });
}
