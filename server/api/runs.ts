import { Router } from 'express';
import type { Knex } from 'knex';
import type { CourseKind } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import {
  DoneAnswer,
  MAKERS_RUN,
  OpenRunBody,
  PlayerRunAnswer,
  ShownRunAnswer,
  UNNAMED,
} from '@/core/protocol';
import { normalRun, ranksBefore, type Run, type Score } from '@/core/run';
import type { AttemptRow, CourseRow, ListingRow, MakerRow, PublishedRow, RunRow } from '../db/rows';
import { inputsDigest } from '../base/digest';
import { readJson, readRunText } from '../base/bodies';
import { handler, HttpError, NoBody, notFound, param } from '../base/http';
import { partyOf } from './limits';
import { looksOf, nameKey, refuseReserved } from '../base/names';
import { attemptOf, noteTry, otherVersion, refuseTooSoon, usedUp } from './attempts';
import { bestTimes, placeOf } from './boards';
import type { Context } from './context';
import { editionByHash } from './editions';
import { findPublished } from './found';
import { sentRun } from './sentRun';
import { known, makerOf, requireMaker } from './session';

/** Stretches from which on two people do not press the same by chance. */
const UNLIKELY = 8;
/** Players' runs for the list. */
export function runs(context: Context): Router {
  const { db, config, limits, verifier } = context;
  return Router()
    .post(
      '/published/:slug/runs',
      known(context),
      readRunText,
      handler({ body: NoBody, answer: PlayerRunAnswer }, async (_, req, res) => {
        await limits.room();
        const body = await sentRun(context, req, 'player');
        const { player, open = true } = body;
        const run = normalRun(body.run);
        const maker = await requireMaker(context, req);
        const edition = await editionRun(db, param(req, 'slug'), run.course);
        const { slug, hash } = edition;
        const inputs = inputsDigest(run);
        const attempt = await attemptOf(db, { id: body.attempt, slug, maker: maker.id }, run);
        const answer = async (score: Score) => ({
          time: score.time,
          place: await placeOf(db, edition, { maker: maker.id, ...score }),
          best: await bestTimes(db, edition, maker.id),
        });
        if (attempt.inputs === inputs) {
          // The same run again: its answer was lost on the way.
          res.status(201);
          return answer({ time: attempt.time!, strokes: attempt.strokes! });
        }
        if (attempt.inputs !== null) throw usedUp();
        const name = maker.name ?? (await playersName(db, player));
        const party = partyOf(req, maker.id);
        // What cannot have been played yet is not worth replaying.
        const ticks = run.inputs.reduce((sum, [count]) => sum + count, 0);
        if (config.inRealTime) refuseTooSoon(attempt, ticks / TICKS_PER_SECOND);
        const replayed = await verifier.verify(party, edition.document, run, res);
        const { time, strokes: made, way } = replayed;
        const played = normalRun(run, replayed.ticks);
        const kept = inputsDigest(played);
        const score = { time, strokes: edition.kind === 'strokes' ? made : 0 };
        await db.transaction(async (trx) => {
          // Replaying took its time: whatever it belongs to may be gone, taken down or published anew.
          const now = await findPublished(trx, slug);
          if (played.inputs.length >= UNLIKELY) {
            await refuseCopies(trx, edition, { inputs: kept, way }, maker.id);
          }
          const taken = await trx<AttemptRow>('attempts')
            .where({ id: attempt.id, inputs: null })
            .update({ inputs, ...score });
          if (taken === 0) throw usedUp();
          await keepBest(trx, edition.kind, {
            ...{ slug, hash, maker: maker.id, player: name, player_key: nameKey(name) },
            ...{ inputs: kept, way },
            ...score,
            attempt: attempt.id,
            open: open ? 1 : 0,
            run: JSON.stringify({ ...played, claim: time }),
            made: Date.now(),
            stale: 0,
          });
          if (now.hash !== hash) return;
          // Whatever was finished was begun, even where that was not heard.
          await noteTry(trx, attempt);
          await noteFinish(trx, { slug, hash }, edition.kind);
        });
        res.status(201);
        return answer(score);
      }),
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
  name: string,
  viewer: string | undefined,
): Promise<string | null> {
  if (name === MAKERS_RUN) {
    const row = await db<CourseRow>('courses')
      .join('bodies', 'bodies.course', 'courses.id')
      .where({ 'courses.id': course, 'courses.proof_hash': hash })
      .first<{ proof: string | null } | undefined>('bodies.proof');
    return row?.proof ?? null;
  }
  const row = await db<RunRow>('runs')
    .where({ slug, hash, id: Number(name) || 0 })
    .first('run', 'open', 'maker');
  return row && (row.open === 1 || row.maker === viewer) ? row.run : null;
}

/** An edition that a run is made on. */
interface EditionRun extends Pick<PublishedRow, 'slug' | 'hash' | 'course' | 'document'> {
  readonly kind: CourseKind;
}

/**
 * The edition of a published course that a run is made on: one that was begun on an edition counts there, whatever is
 * published in the meantime.
 * @throws HttpError 409 where there is no such edition
 */
async function editionRun(db: Knex, asked: string, hash: string): Promise<EditionRun> {
  const { slug, course, ...newest } = await findPublished(db, asked, ['document']);
  const { kind } = (await db<CourseRow>('courses').where('id', course).first('kind'))!;
  const of = { slug, course, hash, kind: kind as CourseKind };
  if (newest.hash === hash) return { ...of, document: newest.document };
  const earlier = await editionByHash(db, slug, hash);
  if (earlier === null) throw otherVersion();
  return { ...of, document: earlier };
}

/**
 * @param of the course it was run on
 * @param run what was pressed, and the way that came of it: what is pressed without any effect makes no other run
 * @throws HttpError 409 when somebody else sent in the very same run
 */
async function refuseCopies(
  db: Knex,
  { slug, hash, course }: Pick<PublishedRow, 'slug' | 'hash' | 'course'>,
  { inputs, way }: Pick<RunRow, 'inputs' | 'way'>,
  maker: string,
): Promise<void> {
  const same = await db<RunRow>('runs')
    .where({ slug, hash })
    .whereNot({ maker })
    .andWhere((either) => void either.where({ inputs }).orWhere({ way }))
    .first('id');
  if (!same && !(await isProof(db, { course, hash, inputs }, maker))) return;
  throw new HttpError(409, 'same-run', 'Somebody else has sent in this very run, press by press.');
}

/** Whether a run is the one by which somebody else proved the course: anybody may look at that. */
async function isProof(
  db: Knex,
  { course, hash, inputs }: Pick<PublishedRow, 'course' | 'hash'> & Pick<RunRow, 'inputs'>,
  maker: string,
): Promise<boolean> {
  const row = await db<CourseRow>('courses')
    .join('bodies', 'bodies.course', 'courses.id')
    .where({ 'courses.id': course, 'courses.proof_hash': hash })
    .whereNot('courses.maker', maker)
    .first<{ proof: string | null; proof_time: number } | undefined>(
      'bodies.proof',
      'courses.proof_time',
    );
  if (!row?.proof) return false;
  const ticks = Math.ceil(row.proof_time * TICKS_PER_SECOND);
  return inputsDigest(normalRun(JSON.parse(row.proof) as Run, ticks)) === inputs;
}

/**
 * What a player without an account is called.
 * @throws HttpError 409 for the name of somebody who has one
 */
async function playersName(db: Knex, player: string | undefined): Promise<string> {
  if (player === undefined || player === UNNAMED) return UNNAMED;
  refuseReserved(player);
  const looks = looksOf(player);
  const owner = await db<MakerRow>('makers')
    .where('look_small', looks.look_small)
    .orWhere('look_as_is', looks.look_as_is)
    .first('id');
  if (!owner) return player;
  throw new HttpError(
    409,
    'name-taken',
    `${player} is a maker here, or looks like one. Sign in to run under that name, or choose another.`,
  );
}

/** Counts a finish, and how near the best three now are to each other. */
async function noteFinish(
  db: Knex,
  { slug, hash }: Pick<RunRow, 'slug' | 'hash'>,
  kind: CourseKind,
): Promise<void> {
  const best = await db<RunRow>('runs')
    .where({ slug, hash })
    .orderBy(['strokes', 'time', 'made', 'id'])
    .limit(3)
    .select('time', 'strokes');
  const [first, , third] = best.map(({ time, strokes }) => (kind === 'strokes' ? strokes : time));
  const closeness = third === undefined ? null : (third - first) / first;
  await db<ListingRow>('listings').where({ slug }).increment('finishes', 1).update({ closeness });
}

/** Keeps a run if it is its maker's best on the course. */
async function keepBest(db: Knex, kind: CourseKind, run: Omit<RunRow, 'id'>): Promise<void> {
  const { slug, hash, maker } = run;
  const best = await db<RunRow>('runs')
    .where({ slug, hash, maker })
    .first('id', 'time', 'strokes', 'stale');
  if (!best) await db<RunRow>('runs').insert(run);
  // One that no longer holds gives way to any that does.
  else if (best.stale === 1 || ranksBefore(kind, run, best))
    await db<RunRow>('runs').where('id', best.id).update(run);
}
