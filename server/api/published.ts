import { Router } from 'express';
import type { Knex } from 'knex';
import { toCourse } from '@/core/course';
import {
  DemosAnswer,
  UNNAMED,
  PlayerRunAnswer,
  PlayerRunBody,
  PublishedAnswer,
} from '@/core/protocol';
import type { MakerRow, PublishedRow, RunRow } from '../db/rows';
import { DEMO_MAKER } from '../db/seed';
import { handler, HttpError, NoBody, notFound, param } from '../http';
import type { Context } from './context';
import { makerOf, makerOrNew } from './session';

/** How many of the best times are shown. */
const SHOWN = 5;

/** Published courses and the runs that players send in. */
export function published(context: Context): Router {
  const { db } = context;

  const find = async (slug: string): Promise<PublishedRow> => {
    const row = await db<PublishedRow>('published').where('slug', slug).first();
    if (!row) throw notFound('The course');
    return row;
  };

  return Router()
    .get(
      '/demos',
      handler({ body: NoBody, answer: DemosAnswer }, async () => {
        const rows: { slug: string; document: string; name: string }[] = await db('published')
          .join('courses', 'courses.id', 'published.course')
          .join('makers', 'makers.id', 'courses.maker')
          .where('makers.id', 'like', `${DEMO_MAKER}%`)
          .orderBy('published.rowid')
          .select('published.slug', 'published.document', 'makers.name');
        return {
          demos: rows.map(({ slug, document, name }) => ({
            slug,
            course: toCourse(JSON.parse(document)),
            maker: name,
          })),
        };
      }),
    )
    .get(
      '/published/:slug',
      handler({ body: NoBody, answer: PublishedAnswer }, async (_, req) => {
        const row = await find(param(req, 'slug'));
        const maker = await db<MakerRow>('makers')
          .join('courses', 'courses.maker', 'makers.id')
          .where('courses.id', row.course)
          .first('makers.name');
        const player = await makerOf(context, req);
        return {
          slug: row.slug,
          course: toCourse(JSON.parse(row.document)),
          hash: row.hash,
          maker: maker?.name ?? UNNAMED,
          published: row.published,
          best: await bestTimes(db, row, player?.id),
        };
      }),
    )
    .post(
      '/published/:slug/runs',
      handler(
        { body: PlayerRunBody, answer: PlayerRunAnswer },
        async ({ run, player }, req, res) => {
          const row = await find(param(req, 'slug'));
          if (run.course !== row.hash) {
            throw new HttpError(
              409,
              'other-version',
              'The course has changed since this run began. Load it again and run the new one.',
            );
          }
          const { time, strokes: made } = await context.verifier.verify(row.document, run);
          const strokes = toCourse(JSON.parse(row.document)).kind === 'strokes' ? made : 0;
          const maker = await makerOrNew(context, req, res);
          await db<RunRow>('runs').insert({
            slug: row.slug,
            hash: row.hash,
            maker: maker.id,
            player: maker.name ?? player ?? UNNAMED,
            time,
            strokes,
            run: JSON.stringify({ ...run, claim: time }),
            made: Date.now(),
          });
          const faster = await db('runs')
            .where({ slug: row.slug, hash: row.hash })
            .andWhere((better) =>
              better
                .where('strokes', '<', strokes)
                .orWhere((equal) => equal.where({ strokes }).andWhere('time', '<', time)),
            )
            .countDistinct('maker as n')
            .first();
          res.status(201);
          return {
            time,
            place: Number(faster?.n ?? 0) + 1,
            best: await bestTimes(db, row, maker.id),
          };
        },
      ),
    );
}

/** Each player's best on the course as it is published now, the first in rank first. */
async function bestTimes(db: Knex, { slug, hash }: PublishedRow, viewer: string | undefined) {
  const ranked = db('runs')
    .where({ slug, hash })
    .select('player', 'maker', 'time', 'strokes')
    .rowNumber('rank', (over) =>
      over
        .partitionBy('maker')
        .orderBy([{ column: 'strokes' }, { column: 'time' }, { column: 'made' }]),
    );
  const rows = await db
    .from(ranked.as('ranked'))
    .where('rank', 1)
    .orderBy([{ column: 'strokes' }, { column: 'time' }])
    .limit(SHOWN)
    .select<Pick<RunRow, 'player' | 'maker' | 'time' | 'strokes'>[]>('*');
  return rows.map(({ player, maker, time, strokes }) => ({
    player,
    time,
    ...(strokes > 0 ? { strokes } : {}),
    own: maker === viewer,
  }));
}
