import type { Knex } from 'knex';
import { CourseError, toCourse, type Course } from '@/core/course';
import { CORE_VERSION, courseHash, normalRun, type Run } from '@/core/run';
import { EARLIER } from './verifyAll';
import { lookOf, shownOf, summaryOf, unpack } from '../threads/intake';
import { verify } from '../threads/verify';
import { noteWhole } from '../api/whole';
import { wholeMarks } from '../threads/copies';
import { publishAnew } from './publishAnew';
import type { BodyRow, CourseRow, EditionRow, ListingRow, PublishedRow } from '../db/rows';
import { DEMO_MAKER } from '../db/demoMaker';
import { renewDemo } from './seed';

/** The form of documents, hashes and proofs; goes up when it changes. */
const FORM = 1;
/** The `user_version` of a database that is up to date. */
const NOW = 100 * CORE_VERSION + FORM;
/** Seconds that one proof may take to be tried, and all of them together; what is left its maker tries. */
const [ONE, ALL] = [2, 120];

/**
 * Brings what an earlier version kept to what this one makes of it, once: hashes and summaries, what others see of a
 * course, the demo's proofs, and proofs of an earlier simulation, whose inputs are tried again.
 * @param db the database, its tables up to date
 * @param told hears what is done
 */
export async function bringUp(db: Knex, told: (line: string) => void = () => {}): Promise<void> {
  const [{ user_version: kept }] = (await db.raw('PRAGMA user_version')) as {
    user_version: number;
  }[];
  if (kept === NOW) return;
  const courses = (await db<CourseRow>('courses')
    .whereNot('maker', 'like', `${DEMO_MAKER}%`)
    .pluck('id')) as string[];
  if (courses.length > 0) told(`Bringing ${courses.length} courses up to this version …`);
  const until = performance.now() + 1000 * ALL;
  for (const id of courses) await bringCourse(db, id, until, told);
  await renewDemo(db);
  await noteLooks(db);
  await db.raw(`PRAGMA user_version = ${NOW}`);
}

async function bringCourse(
  db: Knex,
  id: string,
  until: number,
  told: (line: string) => void,
): Promise<void> {
  const row = (await db<CourseRow>('courses').where({ id }).first('name', 'hash', 'proof_hash'))!;
  const body = (await db<BodyRow>('bodies').where('course', id).first('document', 'proof'))!;
  const course = courseOf(body.document);
  // What cannot be read any more stays as it is: its maker is told when they open it.
  if (!course) return told(`${row.name} cannot be read by this version.`);
  const { measured, length, ...summary } = summaryOf(course, body.document);
  const isProved =
    body.proof !== null && (row.proof_hash === row.hash || coreOf(body.proof) !== CORE_VERSION);
  const proof = isProved ? await provedAgain(body, course, until) : null;
  if (isProved && !proof) told(`${row.name} is to be proved again.`);
  await db.transaction(async (trx) => {
    await trx<CourseRow>('courses')
      .where({ id })
      .update({
        ...summary,
        ...(measured ? { length } : {}),
        ...(isProved ? (proof?.columns ?? { proof_hash: EARLIER }) : {}),
      });
    if (proof) await trx<BodyRow>('bodies').where('course', id).update({ proof: proof.run });
    await bringPublished(trx, id);
  });
}

const coreOf = (run: string): number => (JSON.parse(run) as Run).core;

const courseOf = (document: string): Course | null => {
  try {
    return toCourse(JSON.parse(document));
  } catch (error) {
    if (error instanceof CourseError) return null;
    throw error;
  }
};

/** A proof as it is of the course and the simulation now, or null where its inputs do not lead to the goal any more. */
async function provedAgain(
  { document, proof }: Pick<BodyRow, 'document' | 'proof'>,
  course: Course,
  until: number,
): Promise<{ run: string; columns: Partial<CourseRow> } | null> {
  const hash = courseHash(course);
  const run: Run = { ...(JSON.parse(proof!) as Run), core: CORE_VERSION, course: hash };
  const left = (until - performance.now()) / 1000;
  if (left <= 0) return null;
  const found = await verify({ document, run, budget: Math.min(ONE, left) });
  if ('refused' in found) return null;
  const { time, strokes, ticks } = found;
  return {
    run: JSON.stringify({ ...normalRun(run, ticks), claim: time }),
    columns: { proof_hash: hash, proof_time: time, proof_strokes: strokes },
  };
}

/** Updates the published copy of a course: without private parts, with the hash and digest of now. */
async function bringPublished(trx: Knex.Transaction, id: string): Promise<void> {
  const before = await trx<PublishedRow>('published').where('course', id).first();
  const course = before && courseOf(before.document);
  if (!before || !course) return;
  const { slug, published } = before;
  const document = shownOf(course);
  const { hash, shown, length, measured } = summaryOf(course, before.document);
  const now = { document, hash, length: measured ? length : before.length, published };
  const picture = shown === before.shown ? before.picture : null;
  await trx<PublishedRow>('published')
    .where({ slug })
    .update({ ...now, shown, picture });
  const proof = (await trx<CourseRow>('courses')
    .where({ id })
    .first('proof_hash', 'proof_time', 'proof_strokes'))!;
  const listing: Partial<ListingRow> =
    proof.proof_hash === hash ? { time: proof.proof_time!, strokes: proof.proof_strokes } : {};
  await publishAnew(trx, slug, { before, now, listing });
  await noteWhole(trx, slug, wholeMarks(course, null));
}

/** Keeps the digest of each earlier edition's document, by which it is asked for. */
async function noteLooks(db: Knex): Promise<void> {
  const known = db<EditionRow>('editions').whereNotNull('document').whereNull('look');
  for (const { slug, edition } of await known.select('slug', 'edition')) {
    const row = await db<EditionRow>('editions').where({ slug, edition }).first('document');
    const look = lookOf(unpack(row!.document!));
    await db<EditionRow>('editions').where({ slug, edition }).update({ look });
  }
}
