import { Router } from 'express';
import type { Knex } from 'knex';
import { FollowAnswer, FollowBody, MakerPageAnswer } from '@/core/protocol';
import type { FollowRow, ListingRow, MakerRow } from '../db/rows';
import { readJson } from '../base/bodies';
import { handler, HttpError, NoBody, notFound } from '../base/http';
import { param } from '../base/params';
import { nameKey } from '../base/names';
import type { Context } from './context';
import { seriesOf } from './series';
import { knownOrNew, makerOf, makerOrNew } from './session';

/** The pages of those who have a name, and who follows them. */
export function makerPages(context: Context): Router {
  const { db, limits } = context;
  return Router()
    .get(
      '/makers/:name',
      handler({ body: NoBody, answer: MakerPageAnswer }, async (_, req) => {
        const maker = await named(db, param(req, 'name'));
        const viewer = (await makerOf(context, req))?.id ?? '';
        const follow = { maker: maker.id, follower: viewer };
        const [counts] = await db<ListingRow>('listings')
          .join('courses', 'courses.id', 'listings.course')
          .where({ maker_id: maker.id, taken: null, held: null, 'courses.deleted': null })
          .count({ courses: '*' })
          .sum({ tries: 'tries', finishes: 'finishes' });
        return {
          name: maker.name!,
          since: maker.created,
          courses: Number(counts.courses),
          tries: Number(counts.tries ?? 0),
          finishes: Number(counts.finishes ?? 0),
          followers: await followersOf(db, maker.id),
          followed: !!(await db<FollowRow>('follows').where(follow).first('maker')),
          own: maker.id === viewer,
          series: await seriesOf(db, maker.id),
        };
      }),
    )
    .put(
      '/makers/:name/follow',
      knownOrNew(context),
      readJson,
      handler({ body: FollowBody, answer: FollowAnswer }, async ({ followed }, req, res) => {
        await limits.room();
        const { id: maker } = await named(db, param(req, 'name'));
        const { id: follower } = await makerOrNew(context, req, res);
        if (maker === follower) throw new HttpError(409, 'own', 'That is you.');
        if (followed) {
          await db<FollowRow>('follows')
            .insert({ maker, follower, made: Date.now() })
            .onConflict(['follower', 'maker'])
            .ignore();
        } else await db<FollowRow>('follows').where({ maker, follower }).delete();
        return { followers: await followersOf(db, maker) };
      }),
    );
}

/** @throws HttpError 404 when nobody has the name */
async function named(db: Knex, name: string): Promise<MakerRow> {
  const maker = await db<MakerRow>('makers').where('name_key', nameKey(name)).first();
  if (!maker) throw notFound('That maker');
  return maker;
}

async function followersOf(db: Knex, maker: string): Promise<number> {
  const [{ count }] = await db<FollowRow>('follows').where({ maker }).count({ count: '*' });
  return Number(count);
}
