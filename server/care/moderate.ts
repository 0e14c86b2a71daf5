import type { Knex } from 'knex';
import type { ListingRow, NoteRow, ReportRow, RunRow } from '../db/rows';

/** What a word of `moderate` does, with what it is told. */
type Act = (db: Knex, subject: string) => Promise<string[]>;

/** How each is asked for. */
export const MODERATE_USAGE = `stonehop moderate                  reports that are not settled, the newest first
stonehop moderate down SLUG        takes a published course down; its maker cannot put it back
stonehop moderate up SLUG          puts it back
stonehop moderate settle ID        has a report be dealt with
stonehop moderate remove-run ID    takes a run off its list
stonehop moderate remove-note ID   removes a note that a maker reported
stonehop moderate keep-note ID     leaves it where it is`;

const ACTS: Readonly<Record<string, Act>> = {
  down: (db, slug) => hold(db, slug, Date.now()),
  up: (db, slug) => hold(db, slug, null),
  settle: async (db, id) => {
    const settled = { settled: Date.now() };
    const done = await db<ReportRow>('reports').where('id', id).update(settled);
    return [done ? `Report ${id} is settled.` : `There is no report ${id}.`];
  },
  'remove-run': async (db, id) => {
    const done = await db<RunRow>('runs').where('id', id).delete();
    return [done ? `The run ${id} is off its list.` : `There is no run ${id}.`];
  },
  'remove-note': async (db, id) => {
    const done = await db<NoteRow>('notes').where('id', id).delete();
    return [done ? `The note ${id} is gone.` : `There is no note ${id}.`];
  },
  'keep-note': async (db, id) => {
    const done = await db<NoteRow>('notes').where('id', id).update({ reported: null });
    return [done ? `The note ${id} stays.` : `There is no note ${id}.`];
  },
};

/** Takes a course down or puts it back, and settles what was told of it. */
async function hold(db: Knex, slug: string, held: number | null): Promise<string[]> {
  const done = await db<ListingRow>('listings').where({ slug }).update({ held });
  if (done === 0) return [`Nothing is published under ${slug}.`];
  await db<ReportRow>('reports').where({ slug, settled: null }).update({ settled: Date.now() });
  return [held === null ? `${slug} is up again.` : `${slug} is down.`];
}

/** Reports that wait, as lines. */
async function waiting(db: Knex): Promise<string[]> {
  const rows: (ReportRow & { name: string; by: string })[] = await db('reports')
    .join('listings', 'listings.slug', 'reports.slug')
    .where({ settled: null })
    .orderBy('reports.made', 'desc')
    .limit(200)
    .select('reports.*', 'listings.name', { by: 'listings.maker' });
  const notes = await db<NoteRow>('notes')
    .whereNotNull('reported')
    .orderBy('reported', 'desc')
    .limit(200);
  if (rows.length + notes.length === 0) return ['No report waits.'];
  return [
    ...rows.map(
      ({ id, slug, name, by, words, made }) =>
        `${id}  ${new Date(made).toISOString()}  ${slug} (${name} by ${by}): ${inLine(words)}`,
    ),
    ...notes.map(
      ({ id, slug, words, reported }) =>
        `note ${id}  ${new Date(reported!).toISOString()}  on ${slug}: ${inLine(words)}`,
    ),
  ];
}

const inLine = (words: string): string => words.replace(/\s+/g, ' ');

/**
 * Lists reports, or acts on what was reported.
 * @returns lines to be shown; null where it is not said what to do
 */
export async function moderate(db: Knex, args: readonly string[]): Promise<string[] | null> {
  const [act, subject, ...more] = args;
  if (act === undefined) return waiting(db);
  if (!Object.hasOwn(ACTS, act) || subject === undefined || more.length > 0) return null;
  return ACTS[act](db, subject);
}
