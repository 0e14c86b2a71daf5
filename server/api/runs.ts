import { randomBytes } from 'node:crypto';
import { Router } from 'express';
import type { Knex } from 'knex';
import type { CourseKind } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import {
  AttemptAnswer,
  DoneAnswer,
  MAKERS_RUN,
  OpenRunBody,
  PlayerRunAnswer,
  ShownRunAnswer,
  UNNAMED,
} from '@/core/protocol';
import { normalRun, ranksBefore, type Run, type Score } from '@/core/run';
import type { AttemptRow, CourseRow, ListingRow, MakerRow, PublishedRow, RunRow } from '../db/rows';
import { inputsDigest } from '../digest';
import { readJson, readRunText } from '../bodies';
import { handler, HttpError, NoBody, notFound, param } from '../http';
import { partyOf } from '../limits';
import { nameKey, refuseReserved } from '../names';
import { bestTimes, placeOf } from './boards';
import type { Context } from './context';
import { findPublished } from './found';
import { sentRun } from './sentRun';
import { known, makerOf, makerOrNew, newId, requireMaker } from './session';

/** Stretches from which on two people do not press the same by chance. */
const UNLIKELY = 8;
/** Most attempts at a course that one player may have begun and not sent. */
const MOST_OPEN = 5;

/**
 * What players run. Whoever runs for the list asks for an attempt first, which says where its chance comes
 * from: a seed one could choose is one to look for.
 */
export function runs(context: Context): Router {
  const { db, limits, verifier } = context;
  return Router()
    .post(
      '/published/:slug/attempts',
      handler({ body: NoBody, answer: AttemptAnswer }, async (_, req, res) => {
        limits.attempt(req);
        await limits.room();
        const { slug, hash } = await findPublished(db, param(req, 'slug'));
        const { id: maker } = await makerOrNew(context, req, res);
        const seed = randomBytes(4).readUInt32LE();
        const row = {
          id: newId(12),
          slug,
          maker,
          hash,
          seed,
          given: Date.now(),
          begun: 0,
          told: 0,
          inputs: null,
        };
        await db.transaction(async (trx) => {
          await trx<AttemptRow>('attempts').insert(row);
          const open = { slug, maker, inputs: null };
          const old = await trx<AttemptRow>('attempts')
            .where(open)
            .orderBy([
              { column: 'given', order: 'desc' },
              { column: 'rowid', order: 'desc' },
            ])
            .offset(MOST_OPEN)
            .limit(MOST_OPEN)
            .select('id');
          await trx<AttemptRow>('attempts')
            .whereIn(
              'id',
              old.map(({ id }) => id),
            )
            .delete();
        });
        res.status(201);
        return { attempt: row.id, hash, seed };
      }),
    )
    .put(
      '/published/:slug/attempts/:attempt',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const { slug } = await findPublished(db, param(req, 'slug'));
        const { id: maker } = await requireMaker(context, req);
        const asked = { id: param(req, 'attempt'), slug, maker };
        if (!(await db<AttemptRow>('attempts').where(asked).first('id'))) {
          throw notFound('The attempt');
        }
        await db.transaction((trx) => noteBegun(trx, asked));
        return { done: true };
      }),
    )
    .post(
      '/published/:slug/runs',
      known(context),
      readRunText,
      handler({ body: NoBody, answer: PlayerRunAnswer }, async (_, req, res) => {
        await limits.room();
        const body = await sentRun(context, req, 'player');
        const { player, open = true } = body;
        const run = normalRun(body.run);
        const found = await findPublished(db, param(req, 'slug'), ['document']);
        const { slug, hash } = found;
        const maker = await requireMaker(context, req);
        const inputs = inputsDigest(run);
        const attempt = await attemptOf(db, { id: body.attempt, slug, maker: maker.id }, run);
        const answer = async (score: Score) => ({
          time: score.time,
          place: await placeOf(db, found, { maker: maker.id, ...score }),
          best: await bestTimes(db, found, maker.id),
        });
        if (attempt.inputs === inputs) {
          // The same run again: its answer was lost on the way.
          res.status(201);
          return answer({ time: attempt.time!, strokes: attempt.strokes! });
        }
        if (attempt.inputs !== null) throw usedUp();
        if (run.course !== hash || attempt.hash !== hash) throw otherVersion();
        const name = maker.name ?? (await playersName(db, player));
        const party = partyOf(req, maker.id);
        const replayed = await verifier.verify(party, found.document, run, res);
        const { time, strokes: made, way } = replayed;
        const played = normalRun(run, replayed.ticks);
        const kept = inputsDigest(played);
        const { kind } = (await db<CourseRow>('courses').where('id', found.course).first('kind'))!;
        const score = { time, strokes: kind === 'strokes' ? made : 0 };
        await db.transaction(async (trx) => {
          if (played.inputs.length >= UNLIKELY) {
            await refuseCopies(trx, found, { inputs: kept, way }, maker.id);
          }
          await trx<AttemptRow>('attempts')
            .where('id', attempt.id)
            .update({ inputs, ...score });
          await keepBest(trx, kind as CourseKind, {
            ...{ slug, hash, maker: maker.id, player: name, player_key: nameKey(name) },
            ...{ inputs: kept, way },
            ...score,
            attempt: attempt.id,
            open: open ? 1 : 0,
            run: JSON.stringify({ ...played, claim: time }),
            made: Date.now(),
            stale: 0,
          });
          // Whatever was finished was begun, even where that was not heard.
          await noteBegun(trx, attempt);
          await noteFinish(trx, { slug, hash }, kind as CourseKind);
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

const usedUp = () =>
  new HttpError(409, 'no-attempt', 'Another run was sent for this attempt. Begin a new one.');
const otherVersion = () =>
  new HttpError(
    409,
    'other-version',
    'The course has changed since this run began. Load it again and run the new one.',
  );

/**
 * The attempt a run was made in.
 * @throws HttpError 409 when there is none, or the run has another seed
 */
async function attemptOf(
  db: Knex,
  asked: Pick<AttemptRow, 'id' | 'slug' | 'maker'>,
  run: Run,
): Promise<AttemptRow> {
  const attempt = await db<AttemptRow>('attempts').where(asked).first();
  if (!attempt || attempt.seed !== run.seed) {
    throw new HttpError(
      409,
      'no-attempt',
      'This run was not begun with the server in reach, or too long ago; it counts on this device only.',
    );
  }
  return attempt;
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
  const owner = await db<MakerRow>('makers').where('name_key', nameKey(player)).first('id');
  if (!owner) return player;
  throw new HttpError(
    409,
    'name-taken',
    `${player} is a maker here. Sign in to run under that name, or choose another.`,
  );
}

/** Counts a try, once an attempt. */
async function noteBegun(db: Knex, { id, slug }: Pick<AttemptRow, 'id' | 'slug'>): Promise<void> {
  const begun = await db<AttemptRow>('attempts').where({ id, begun: 0 }).update({ begun: 1 });
  if (begun > 0) await db<ListingRow>('listings').where({ slug }).increment('tries', 1);
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
