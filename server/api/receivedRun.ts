import type { Request, Response } from 'express';
import type { Knex } from 'knex';
import type { CourseKind } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import { UNNAMED, type PlayerRunAnswer } from '@/core/protocol';
import { normalRun, type Run, type Score } from '@/core/run';
import type { InferOutput } from 'valibot';
import { inputsDigest } from '../base/digest';
import { HttpError } from '../base/http';
import { param } from '../base/params';
import { looksOf, nameKey, refuseReserved } from '../base/names';
import type { AttemptRow, CourseRow, MakerRow, PublishedRow } from '../db/rows';
import { attemptOf, noteTry, otherVersion, refuseTooSoon, usedUp } from './attempts';
import { keepBest, noteFinish } from './bestRuns';
import { bestTimes, placeOf } from './boards';
import type { Context } from './context';
import { refuseCopies } from './copiedRuns';
import { editionByHash } from './editions';
import { findPublished } from './found';
import { partyOf } from './limits';
import { sentRun } from './sentRun';
import { requireMaker } from './session';

/** A run that was replayed, and all that is kept with it. */
interface ReplayedRun {
  readonly attempt: AttemptRow;
  readonly edition: EditionRun;
  readonly maker: string;
  readonly player: string;
  /** True where others may look at it. */
  readonly open: boolean;
  /** The digest of the inputs as they were sent. */
  readonly sent: string;
  /** The run in its normal form, ended at the goal. */
  readonly run: Run;
  readonly way: string;
  readonly score: Score;
}

/**
 * Replays the run that a request sends in, keeps it if it is its maker's best, and answers with its place.
 * @throws HttpError 409 for a used attempt, a name that is taken, or the run of somebody else; 429 where it comes
 * sooner than it can have been played; whatever the replay is refused with
 */
export async function receiveRun(
  context: Context,
  req: Request,
  res: Response,
): Promise<InferOutput<typeof PlayerRunAnswer>> {
  const { db, config, limits, verifier } = context;
  await limits.room();
  const body = await sentRun(context, req, 'player');
  const run = normalRun(body.run);
  const maker = await requireMaker(context, req);
  const edition = await editionRun(db, param(req, 'slug'), run.course);
  const sent = inputsDigest(run);
  const attempt = await attemptOf(
    db,
    { id: body.attempt, slug: edition.slug, maker: maker.id },
    run,
  );
  const answer = async ({ time, strokes }: Score) => ({
    time,
    place: await placeOf(db, edition, { maker: maker.id, time, strokes }),
    best: await bestTimes(db, edition, maker.id),
  });
  res.status(201);
  // The same run again: its answer was lost on the way.
  if (attempt.inputs === sent) return answer({ time: attempt.time!, strokes: attempt.strokes! });
  if (attempt.inputs !== null) throw usedUp();
  const player = maker.name ?? (await playersName(db, body.player));
  // What cannot have been played yet is not worth replaying.
  if (config.inRealTime) refuseTooSoon(attempt, secondsOf(run));
  const replayed = await verifier.verify(partyOf(req, maker.id), edition.document, run, res);
  const { time, strokes, way } = replayed;
  const score = { time, strokes: edition.kind === 'strokes' ? strokes : 0 };
  const played = normalRun(run, replayed.ticks);
  await db.transaction((trx) =>
    keepReplayed(trx, {
      ...{ attempt, edition, maker: maker.id, player, open: body.open ?? true },
      ...{ sent, run: played, way, score },
    }),
  );
  return answer(score);
}

const secondsOf = (run: Run): number =>
  run.inputs.reduce((sum, [count]) => sum + count, 0) / TICKS_PER_SECOND;

/**
 * Uses up the attempt, keeps the run and counts it.
 * @throws HttpError 404, 409 or 410 where course, attempt or run went to somebody else while it was replayed
 */
async function keepReplayed(trx: Knex.Transaction, replayed: ReplayedRun): Promise<void> {
  const { attempt, edition, maker, player, open, sent, run, way, score } = replayed;
  const { slug, hash, kind } = edition;
  // Replaying took its time: whatever it belongs to may be gone, taken down or published anew.
  const newest = await findPublished(trx, slug);
  const inputs = inputsDigest(run);
  await refuseCopies(trx, edition, { stretches: run.inputs.length, inputs, way }, maker);
  const taken = await trx<AttemptRow>('attempts')
    .where({ id: attempt.id, inputs: null })
    .update({ inputs: sent, ...score });
  if (taken === 0) throw usedUp();
  await keepBest(trx, kind, {
    ...{ slug, hash, maker, player, player_key: nameKey(player), inputs, way, ...score },
    attempt: attempt.id,
    open: open ? 1 : 0,
    run: JSON.stringify({ ...run, claim: score.time }),
    made: Date.now(),
    stale: 0,
  });
  if (newest.hash !== hash) return;
  // Whatever was finished was begun, even where that was not heard.
  await noteTry(trx, attempt);
  await noteFinish(trx, { slug, hash }, kind);
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
