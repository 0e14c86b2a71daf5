import { Router } from 'express';
import type { Knex } from 'knex';
import {
  DoneAnswer,
  MAKERS_RUN,
  OpenRunBody,
  PlayerRunAnswer,
  ShownRunAnswer,
} from '@/core/protocol';
import type { Run } from '@/core/run';
import { readJson, readRunText } from '../base/bodies';
import { handler, NoBody, notFound } from '../base/http';
import { param } from '../base/params';
import type { CourseRow, PublishedRow, RunRow } from '../db/rows';
import type { Context } from './context';
import { findPublished } from './found';
import { receiveRun } from './receivedRun';
import { known, makerOf, requireMaker } from './session';

/** Players' runs for the list. */
export function runs(context: Context): Router {
  const { db } = context;
  return Router()
    .post(
      '/published/:slug/runs',
      known(context),
      readRunText,
      handler({ body: NoBody, answer: PlayerRunAnswer }, (_, req, res) =>
        receiveRun(context, req, res),
      ),
    )
    .put(
      '/published/:slug/runs/own',
      known(context),
      readJson,
      handler({ body: OpenRunBody, answer: DoneAnswer }, async ({ open }, req) => {
        const { slug, hash } = await findPublished(db, param(req, 'slug'));
        const { id: maker } = await requireMaker(context, req);
        const done = await db<RunRow>('runs')
          .where({ slug, hash, maker })
          .update({ open: open ? 1 : 0 });
        if (done === 0) throw notFound('The run');
        return { done: true };
      }),
    )
    .get(
      '/published/:slug/runs/:run',
      handler({ body: NoBody, answer: ShownRunAnswer }, async (_, req) => {
        const found = await findPublished(db, param(req, 'slug'));
        const viewer = await makerOf(context, req);
        const run = await shownRun(db, found, param(req, 'run'), viewer?.id);
        if (!run) throw notFound('The run');
        return { run: JSON.parse(run) as Run };
      }),
    );
}

/** A run of a course as it is published now, as text: its maker's, or one whose player lets the viewer see it. */
async function shownRun(
  db: Knex,
  { slug, hash, course }: Pick<PublishedRow, 'slug' | 'hash' | 'course'>,
  asked: typeof MAKERS_RUN | number,
  viewer: string | undefined,
): Promise<string | null> {
  if (asked === MAKERS_RUN) {
    const row = await db<CourseRow>('courses')
      .join('bodies', 'bodies.course', 'courses.id')
      .where({ 'courses.id': course, 'courses.proof_hash': hash })
      .first<{ proof: string | null } | undefined>('bodies.proof');
    return row?.proof ?? null;
  }
  const row = await db<RunRow>('runs')
    .where({ slug, hash, id: asked })
    .first('run', 'open', 'maker');
  return row && (row.open === 1 || row.maker === viewer) ? row.run : null;
}
