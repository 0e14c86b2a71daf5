import type { Knex } from 'knex';

/** Runs are told apart by the way that came of what was pressed as well. */
export const ways: Knex.Migration = {
  async up(knex) {
    await knex.schema.alterTable('runs', (t) => {
      t.text('way');
      t.index(['slug', 'hash', 'way']);
    });
  },
  async down(knex) {
    await knex.schema.alterTable('runs', (t) => {
      t.dropIndex(['slug', 'hash', 'way']);
      t.dropColumn('way');
    });
  },
};
