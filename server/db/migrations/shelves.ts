import type { Knex } from 'knex';

/** Folders and tags of a maker's own courses. */
export const shelves: Knex.Migration = {
  async up(knex) {
    await knex.schema.alterTable('courses', (t) => {
      t.text('folder');
      /** JSON, a list of words. */
      t.text('tags').notNullable().defaultTo('[]');
    });
  },
  async down(knex) {
    await knex.schema.alterTable('courses', (t) => t.dropColumns('folder', 'tags'));
  },
};
