import type { Knex } from 'knex';

/** How hard published courses are, as the server reads it off their proofs. */
export const difficulty: Knex.Migration = {
  async up(knex) {
    await knex.schema.alterTable('listings', (t) => {
      /** From 1 to 10; null until it is read, or where nothing can be said. */
      t.float('difficulty');
      /** The hash of what it was read of. */
      t.text('read_hash');
    });
  },
  async down(knex) {
    await knex.schema.alterTable('listings', (t) => t.dropColumns('difficulty', 'read_hash'));
  },
};
