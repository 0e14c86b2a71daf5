import type { Knex } from 'knex';

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
};

/** The migrations as code, so that their names are the same bundled or not. */
export const migrationSource: Knex.MigrationSource<string> = {
  getMigrations: async () => Object.keys(migrations),
  getMigrationName: (name) => name,
  getMigration: async (name) => migrations[name],
};
