import type { Knex } from 'knex';
import { apart } from './apart';
import { difficulty } from './difficulty';
import { ends } from './ends';
import { explore } from './explore';
import { inputsDigest, nameKey, pack, toldOf } from './frozen';
import { people } from './people';
import { shelves } from './shelves';
import { tellNamesApart } from './tellNamesApart';
import { together } from './together';
import { ways } from './ways';

const migrations: Record<string, Knex.Migration> = {
  '001_makers': {
    async up(knex) {
      await knex.schema.createTable('makers', (t) => {
        t.text('id').primary();
        t.text('name').unique();
        t.text('passphrase');
        t.integer('created').notNullable();
      });
      await knex.schema.createTable('sessions', (t) => {
        // Only a digest of the cookie is kept: the file alone lets nobody in.
        t.text('digest').primary();
        t.text('maker').notNullable().references('makers.id').onDelete('CASCADE');
        t.integer('created').notNullable();
      });
    },
    async down(knex) {
      await knex.schema.dropTable('sessions');
      await knex.schema.dropTable('makers');
    },
  },
  '002_courses': {
    async up(knex) {
      await knex.schema.createTable('courses', (t) => {
        t.text('id').primary();
        t.text('maker').notNullable().references('makers.id').onDelete('CASCADE');
        t.integer('revision').notNullable();
        t.text('document').notNullable();
        t.text('hash').notNullable();
        /** The maker's best unaided finished run, and the hash of the course it was made on. */
        t.text('proof');
        t.text('proof_hash');
        t.float('proof_time');
        t.integer('created').notNullable();
        t.integer('changed').notNullable();
        t.integer('deleted');
        t.index(['maker', 'changed']);
      });
      await knex.schema.createTable('revisions', (t) => {
        t.text('course').notNullable().references('courses.id').onDelete('CASCADE');
        t.integer('revision').notNullable();
        t.text('document').notNullable();
        t.integer('saved').notNullable();
        t.primary(['course', 'revision']);
      });
    },
    async down(knex) {
      await knex.schema.dropTable('revisions');
      await knex.schema.dropTable('courses');
    },
  },
  '003_published': {
    async up(knex) {
      await knex.schema.createTable('published', (t) => {
        t.text('slug').primary();
        t.text('course').notNullable().unique().references('courses.id').onDelete('CASCADE');
        t.text('document').notNullable();
        t.text('hash').notNullable();
        t.integer('published').notNullable();
      });
      await knex.schema.createTable('runs', (t) => {
        t.increments('id');
        t.text('slug').notNullable().references('published.slug').onDelete('CASCADE');
        t.text('hash').notNullable();
        t.text('maker').notNullable().references('makers.id').onDelete('CASCADE');
        t.text('player').notNullable();
        t.float('time').notNullable();
        t.text('run').notNullable();
        t.integer('made').notNullable();
        t.index(['slug', 'hash', 'time']);
      });
    },
    async down(knex) {
      await knex.schema.dropTable('runs');
      await knex.schema.dropTable('published');
    },
  },
  '004_kits': {
    async up(knex) {
      await knex.schema.createTable('kits', (t) => {
        t.text('id').primary();
        t.text('maker').notNullable().references('makers.id').onDelete('CASCADE');
        t.text('document').notNullable();
        t.integer('changed').notNullable();
        t.index(['maker', 'changed']);
      });
    },
    async down(knex) {
      await knex.schema.dropTable('kits');
    },
  },
  '005_recordings': {
    async up(knex) {
      await knex.schema.createTable('recordings', (t) => {
        t.text('file').primary();
        t.text('maker').notNullable().references('makers.id').onDelete('CASCADE');
        t.binary('data').notNullable();
        t.integer('made').notNullable();
        t.index(['maker']);
      });
    },
    async down(knex) {
      await knex.schema.dropTable('recordings');
    },
  },
  '006_strokes': {
    async up(knex) {
      await knex.schema.alterTable('runs', (t) => {
        t.integer('strokes').notNullable().defaultTo(0);
      });
      await knex.schema.alterTable('courses', (t) => {
        t.integer('proof_strokes');
      });
    },
    async down(knex) {
      await knex.schema.alterTable('runs', (t) => t.dropColumn('strokes'));
      await knex.schema.alterTable('courses', (t) => t.dropColumn('proof_strokes'));
    },
  },
  '007_summaries': {
    async up(knex) {
      await knex.schema.alterTable('courses', (t) => {
        // What lists tell of a course, so that they read no document.
        t.text('name').notNullable().defaultTo('');
        t.text('kind').notNullable().defaultTo('point');
        t.text('runner').notNullable().defaultTo('hopper');
        t.integer('pieces').notNullable().defaultTo(0);
        t.integer('bytes').notNullable().defaultTo(0);
        t.float('length').notNullable().defaultTo(0);
        /** Digest of what others would see. */
        t.text('shown').notNullable().defaultTo('');
        t.index(['maker', 'bytes']);
      });
      // What is long stands apart: SQLite reads through it to what stands behind it in a row.
      await knex.schema.createTable('bodies', (t) => {
        t.text('course').primary().references('courses.id').onDelete('CASCADE');
        t.text('document').notNullable();
        /** Drawn when it is first asked for after a change. */
        t.text('picture');
        t.text('proof');
      });
      await knex.schema.alterTable('published', (t) => {
        t.text('shown').notNullable().defaultTo('');
        t.text('picture');
        t.float('length').notNullable().defaultTo(0);
      });
      await knex.schema.alterTable('kits', (t) => {
        t.text('name').notNullable().defaultTo('');
        t.integer('pieces').notNullable().defaultTo(0);
        t.integer('bytes').notNullable().defaultTo(0);
        t.integer('deleted');
        t.text('picture');
      });
      await eachRow(knex, 'courses', 'id', async ({ id, document }) => {
        await knex('courses').where({ id }).update(toldOf(document));
      });
      await knex.raw(
        'insert into bodies (course, document, proof) select id, document, proof from courses',
      );
      await eachRow(knex, 'kits', 'id', async ({ id, document }) => {
        const { name, pieces } = JSON.parse(document) as { name: string; pieces: unknown[] };
        const bytes = Buffer.byteLength(document);
        await knex('kits').where({ id }).update({ name, pieces: pieces.length, bytes });
      });
      await knex.raw(
        'update published set length = (select length from courses where courses.id = published.course)',
      );
      await knex.raw(
        'update published set shown = (select shown from courses where courses.id = published.course) ' +
          'where document = (select document from courses where courses.id = published.course)',
      );
      // Taken out in place: a table made anew would take along what belongs to the old one.
      await knex.raw('alter table courses drop column document');
      await knex.raw('alter table courses drop column proof');
      // Documents of earlier versions are much alike, and packed.
      await knex.schema.createTable('versions', (t) => {
        t.text('course').notNullable().references('courses.id').onDelete('CASCADE');
        t.integer('revision').notNullable();
        t.binary('document').notNullable();
        t.integer('pieces').notNullable();
        t.text('label');
        t.integer('saved').notNullable();
        t.primary(['course', 'revision']);
      });
      const old = await knex('revisions').select('course', 'revision');
      for (const key of old) {
        const { document, saved } = await knex('revisions').where(key).first();
        const { pieces } = JSON.parse(document) as { pieces: unknown[] };
        const row = { document: pack(document), pieces: pieces.length, saved };
        await knex('versions').insert({ ...key, ...row });
      }
      await knex.schema.dropTable('revisions');
    },
    async down(knex) {
      await knex.schema.dropTable('versions');
    },
  },
  '008_keeping': {
    async up(knex) {
      await knex.schema.alterTable('makers', (t) => {
        /** The name as names are compared; see names. */
        t.text('name_key').unique();
      });
      await tellNamesApart(knex);
      // A recording is kept once, by all who sent it in. Taking a column out makes the table anew, and with the
      // old one would go whatever belongs to it already.
      const kept = await knex('recordings').select(
        'file',
        'maker',
        knex.raw('length(data) as bytes'),
        'made',
      );
      await knex.schema.alterTable('recordings', (t) => {
        t.dropForeign('maker');
        t.dropIndex(['maker']);
        t.dropColumn('maker');
      });
      await knex.schema.createTable('keeps', (t) => {
        t.text('file').notNullable().references('recordings.file').onDelete('CASCADE');
        t.text('maker').notNullable().references('makers.id').onDelete('CASCADE');
        t.integer('bytes').notNullable();
        t.integer('made').notNullable();
        t.integer('deleted');
        t.primary(['file', 'maker']);
        t.index(['maker']);
      });
      if (kept.length > 0) await knex.batchInsert('keeps', kept, 50);
      await knex.schema.createTable('attempts', (t) => {
        t.text('id').primary();
        t.text('slug').notNullable().references('published.slug').onDelete('CASCADE');
        t.text('maker').notNullable().references('makers.id').onDelete('CASCADE');
        t.text('hash').notNullable();
        t.integer('seed').notNullable();
        t.integer('given').notNullable();
        t.text('inputs');
        t.float('time');
        t.integer('strokes');
        t.index(['maker', 'slug']);
      });
      await knex.schema.alterTable('runs', (t) => {
        /** Digest of the inputs, and the player's name as names are compared. */
        t.text('inputs').notNullable().defaultTo('');
        t.text('player_key').notNullable().defaultTo('');
        t.text('attempt');
        t.index(['slug', 'hash', 'inputs']);
      });
      // Of each maker's runs on a course only the best stays.
      await knex.raw(
        'delete from runs where id not in (select id from (select id, row_number() over ' +
          '(partition by slug, hash, maker order by strokes, time, made, id) as place from runs) where place = 1)',
      );
      await knex.schema.alterTable('runs', (t) => t.unique(['slug', 'hash', 'maker']));
      await eachRow(knex, 'runs', 'id', async ({ id, player, run }) => {
        const row = { player_key: nameKey(player), inputs: inputsDigest(JSON.parse(run)) };
        await knex('runs').where({ id }).update(row);
      });
    },
    async down(knex) {
      await knex.schema.dropTable('attempts');
      await knex.schema.dropTable('keeps');
    },
  },
  '008_apart': apart,
  '009_shown_runs': {
    async up(knex) {
      await knex.schema.alterTable('runs', (t) => {
        /** Whether others may see it run. */
        t.integer('open').notNullable().defaultTo(1);
      });
    },
    async down(knex) {
      await knex.schema.alterTable('runs', (t) => t.dropColumn('open'));
    },
  },
  '010_explore': explore,
  '011_previews': {
    async up(knex) {
      await knex.schema.createTable('previews', (t) => {
        t.text('slug').primary().references('published.slug').onDelete('CASCADE');
        /** What of it is shown, by which it is drawn anew. */
        t.text('shown').notNullable();
        t.binary('png').notNullable();
      });
    },
    async down(knex) {
      await knex.schema.dropTable('previews');
    },
  },
  '012_devices': {
    async up(knex) {
      await knex.schema.alterTable('sessions', (t) => {
        /** What kind of device it is, in a word; since when it is signed in. */
        t.text('device').notNullable().defaultTo('computer');
        t.integer('begun');
        t.index(['maker']);
      });
    },
    async down(knex) {
      await knex.schema.alterTable('sessions', (t) => {
        t.dropIndex(['maker']);
        t.dropColumns('device', 'begun');
      });
    },
  },
  '013_ranks': {
    async up(knex) {
      await knex.schema.alterTable('runs', (t) => {
        // As lists of best times are ordered.
        t.index(['slug', 'hash', 'strokes', 'time', 'made', 'id'], 'runs_ranked');
      });
    },
    async down(knex) {
      await knex.schema.alterTable('runs', (t) => t.dropIndex([], 'runs_ranked'));
    },
  },
  '014_care': {
    async up(knex) {
      await knex.schema.alterTable('listings', (t) => {
        /** Since when whoever runs the server holds it down. */
        t.integer('held');
      });
      await knex.schema.alterTable('runs', (t) => {
        /** Whether it no longer holds: it was run by an earlier simulation. */
        t.integer('stale').notNullable().defaultTo(0);
      });
      await knex.schema.createTable('reports', (t) => {
        t.increments('id');
        t.text('slug').notNullable().references('published.slug').onDelete('CASCADE');
        t.text('maker').notNullable().references('makers.id').onDelete('CASCADE');
        t.text('words').notNullable();
        t.integer('made').notNullable();
        /** When it was dealt with. */
        t.integer('settled');
        t.unique(['slug', 'maker']);
        t.index(['settled']);
      });
    },
    async down(knex) {
      await knex.schema.dropTable('reports');
      await knex.schema.alterTable('runs', (t) => t.dropColumn('stale'));
      await knex.schema.alterTable('listings', (t) => t.dropColumn('held'));
    },
  },
  '015_together': together,
  '016_difficulty': difficulty,
  '017_ends': ends,
  '018_shelves': shelves,
  '019_ways': ways,
  '020_people': people,
};

/** Does something with each row of a table, one at a time: documents are large. */
async function eachRow(
  knex: Knex,
  table: string,
  key: string,
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  act: (row: any) => Promise<void>,
): Promise<void> {
  const keys: Record<string, unknown>[] = await knex(table).select(key);
  for (const one of keys) await act(await knex(table).where(one).first());
}

/** The migrations as code, so that their names are the same bundled or not. */
export const migrationSource: Knex.MigrationSource<string> = {
  getMigrations: async () => Object.keys(migrations),
  getMigrationName: (name) => name,
  getMigration: async (name) => migrations[name],
};
