import type { Knex } from 'knex';

/** Series of courses, who follows whom, notes to makers, and the editions a published course had. */
export const together: Knex.Migration = {
  async up(knex) {
    await knex.schema.createTable('series', (t) => {
      t.text('id').primary();
      t.text('maker').notNullable().references('makers.id').onDelete('CASCADE');
      t.text('name').notNullable();
      t.text('words').notNullable();
      t.integer('sitting').notNullable();
      t.integer('changed').notNullable();
      t.integer('deleted');
      t.index(['maker']);
    });
    await knex.schema.createTable('series_courses', (t) => {
      t.text('series').notNullable().references('series.id').onDelete('CASCADE');
      t.integer('place').notNullable();
      t.text('slug').notNullable().references('published.slug').onDelete('CASCADE');
      t.primary(['series', 'slug']);
      t.index(['slug']);
    });
    await knex.schema.createTable('follows', (t) => {
      t.text('maker').notNullable().references('makers.id').onDelete('CASCADE');
      t.text('follower').notNullable().references('makers.id').onDelete('CASCADE');
      t.integer('made').notNullable();
      t.primary(['follower', 'maker']);
      t.index(['maker']);
    });
    await knex.schema.createTable('notes', (t) => {
      t.increments('id');
      t.text('slug').notNullable().references('published.slug').onDelete('CASCADE');
      t.text('maker').notNullable().references('makers.id').onDelete('CASCADE');
      t.text('words').notNullable();
      t.integer('made').notNullable();
      /** When the course's maker reported it. */
      t.integer('reported');
      t.index(['slug']);
      t.index(['maker']);
      t.index(['reported']);
    });
    await knex.schema.createTable('editions', (t) => {
      t.text('slug').notNullable().references('published.slug').onDelete('CASCADE');
      t.integer('edition').notNullable();
      t.text('hash').notNullable();
      t.float('length').notNullable();
      t.integer('published').notNullable();
      /** JSON; what became of the edition before. */
      t.text('changes');
      /** Packed; null of the one that is published now, whose document is there already. */
      t.binary('document');
      t.primary(['slug', 'edition']);
    });
    await knex.raw(
      'insert into editions (slug, edition, hash, length, published) ' +
        'select slug, edition, hash, length, published from listings',
    );
  },
  async down(knex) {
    for (const table of ['editions', 'notes', 'follows', 'series_courses', 'series']) {
      await knex.schema.dropTable(table);
    }
  },
};
